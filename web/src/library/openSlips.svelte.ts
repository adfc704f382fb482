import type { ComponentProps } from 'svelte';
import type { Schemas } from '../api/client';
import type { Folder } from './folders';
import type MoreSlip from './MoreSlip.svelte';

export type Line = Schemas['TemplateLine'];
/** What can be done with a line of the list. */
export type Way = Parameters<ComponentProps<typeof MoreSlip>['ondo']>[0];
type Several = { templates: Line[]; anchor: HTMLElement } | null;

/** Which slips are open over the list of templates, and for what. */
export class OpenSlips {
  more = $state<{ line: Line; anchor: HTMLElement } | null>(null);
  moving = $state<Several>(null);
  tagging = $state<Several>(null);
  handing = $state<Several>(null);
  timing = $state<{ line: Line; anchor: HTMLElement } | null>(null);
  sharing = $state<{ folder: Folder; anchor: HTMLElement } | null>(null);
  editing = $state<{ folder: Folder | null; anchor: HTMLElement } | null>(null);
}
