<script lang="ts">
  import { tick } from 'svelte';
  import DeleteTemplate from './DeleteTemplate.svelte';
  import FolderSlip from './FolderSlip.svelte';
  import type { Folder } from './folders';
  import HandOverSlip from './HandOverSlip.svelte';
  import type { LineActs } from './lineActs.svelte';
  import type { ListState } from './listState.svelte';
  import MoreSlip from './MoreSlip.svelte';
  import MoveSlip from './MoveSlip.svelte';
  import OccasionSlip from './OccasionSlip.svelte';
  import type { Line, OpenSlips, Way } from './openSlips.svelte';
  import ShareSlip from './ShareSlip.svelte';
  import TagSlip from './TagSlip.svelte';

  /** The slips that open over the list of templates. */
  let {
    slips,
    acts,
    list,
    shown,
    ways,
    onchanged,
    onfolder,
  }: {
    slips: OpenSlips;
    acts: LineActs;
    list: ListState;
    /** Whether the list shows the bin, the archive, or what is in use. */
    shown: 'deleted' | 'archived' | 'all';
    /** What is done with a line. */
    ways: Record<Way, (line: Line, anchor: HTMLElement) => void>;
    onchanged: () => Promise<void>;
    onfolder: (all: Folder[], made?: string) => void;
  } = $props();
</script>

{#if slips.more}
  {@const { line, anchor } = slips.more}
  <MoreSlip
    {line}
    {anchor}
    {shown}
    ondo={(what) => {
      const at = { line, anchor };
      slips.more = null;
      // The slip gives the focus back first, so that nothing that opens next loses it.
      void tick().then(() => ways[what](at.line, at.anchor));
    }}
    onclose={() => (slips.more = null)}
  />
{/if}
{#if acts.deleting}
  {@const { template } = acts.deleting}
  <DeleteTemplate
    {...acts.deleting}
    ondeleted={(besides, undo) => void acts.removed(template, besides, undo)}
    onclose={() => (acts.deleting = null)}
  />
{/if}
{#if slips.tagging}
  <TagSlip {...slips.tagging} known={list.sorts.tags} onclose={() => (slips.tagging = null)} {onchanged} />
{/if}
{#if slips.timing}
  <OccasionSlip
    template={slips.timing.line}
    anchor={slips.timing.anchor}
    onclose={() => (slips.timing = null)}
  />
{/if}
{#if slips.handing}
  <HandOverSlip {...slips.handing} onclose={() => (slips.handing = null)} {onchanged} />
{/if}
{#if slips.moving}
  <MoveSlip {...slips.moving} onclose={() => (slips.moving = null)} onmoved={onchanged} />
{/if}
{#if slips.sharing}
  <ShareSlip
    {...slips.sharing}
    onclose={() => (slips.sharing = null)}
    onsaved={(all) => (list.folders = all)}
  />
{/if}
{#if slips.editing}
  <FolderSlip
    {...slips.editing}
    folders={list.folders}
    onclose={() => (slips.editing = null)}
    onsaved={onfolder}
  />
{/if}
