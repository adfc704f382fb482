<script lang="ts">
  import Button from '../ui/Button.svelte';
  import ExportSlip from './ExportSlip.svelte';
  import type { ListState } from './listState.svelte';
  import type { Wants } from './wants';

  /** The line below the library: how much there is, and what can be done with what is chosen or with all of it. */
  let {
    list,
    wants,
    chosen,
    found,
    gallery,
    onmove,
    ontag,
    onhand,
    onarchive,
    onnone,
  }: {
    list: ListState;
    wants: Wants;
    chosen: string[];
    /** Whether what is shown was looked for. */
    found: boolean;
    gallery: boolean;
    onmove: (event: MouseEvent) => void;
    ontag: (event: MouseEvent) => void;
    onhand: (event: MouseEvent) => void;
    onarchive: (event: MouseEvent) => void;
    onnone: () => void;
  } = $props();

  let taking = $state.raw<{ which: string[][]; what: string; anchor: HTMLElement } | null>(null);
  const take = (which: string[][], what: string) => (event: MouseEvent) =>
    (taking = { which, what, anchor: event.currentTarget as HTMLElement });
  const total = $derived(`${list.total.toLocaleString('en')} template${list.total === 1 ? '' : 's'}`);
</script>

{#if chosen.length}
  <span role="status">{chosen.length} chosen</span>
  <Button quiet onclick={onmove}>Move…</Button>
  <Button quiet onclick={ontag}>Tags…</Button>
  <Button quiet onclick={onhand}>Hand over…</Button>
  <Button quiet onclick={onarchive}>{wants.which === 'archived' ? 'Bring back' : 'Archive'}</Button>
  <Button
    quiet
    onclick={take(
      chosen.map((id) => ['template', id]),
      chosen.length === 1 ? 'one template' : `${chosen.length} templates`,
    )}>Export…</Button
  >
  <Button quiet onclick={onnone}>Choose none</Button>
{:else}
  <span aria-live="polite"
    >{list.lines ? `${list.uncounted ? 'more than ' : ''}${total}` : ''}{found ? ' found' : ''}{list.unread
      ? `, and ${list.unread.toLocaleString('en')} not looked at yet …`
      : ''}</span
  >
  {#if wants.which !== 'deleted'}
    <a href="/templates/import">Import</a>
    <Button
      quiet
      onclick={take(
        wants.folder ? [['folder', wants.folder]] : [],
        wants.folder ? 'this folder' : 'all templates',
      )}>{wants.folder ? 'Export this folder…' : 'Export all…'}</Button
    >
  {/if}
{/if}
{#if taking}<ExportSlip {...taking} onclose={() => (taking = null)} />{/if}
<span class="keys"
  >{gallery
    ? '← → ↑ ↓ walk · Enter open · n new · ? keys'
    : '↑ ↓ walk · space choose · f favourite · m move · t tags · r rename · n new · ? keys'}</span
>

<style>
  .keys {
    margin-left: auto;
  }

  a {
    color: var(--ink);
    font: 500 13.5px/1.1 var(--sans);
    text-underline-offset: 3px;
  }
</style>
