<script lang="ts">
  import type { Schemas } from '../api/client';
  import Button from '../ui/Button.svelte';
  import Slip from '../ui/Slip.svelte';

  /** What else can be done with a template of the list. */
  let {
    line,
    anchor,
    shown,
    ondo,
    onclose,
  }: {
    line: Schemas['TemplateLine'];
    anchor: HTMLElement;
    /** Whether the list shows the bin, the archive, or what is in use. */
    shown: 'deleted' | 'archived' | 'all';
    ondo: (what: Doing) => void;
    onclose: () => void;
  } = $props();

  type Doing =
    | 'restore'
    | 'duplicate'
    | 'rename'
    | 'move'
    | 'tag'
    | 'occasion'
    | 'handOver'
    | 'archive'
    | 'unarchive'
    | 'delete';
</script>

{#snippet way(what: Doing, word: string, main = false)}
  <Button {main} onclick={() => ondo(what)}>{word}</Button>
{/snippet}

<Slip title={line.name} {anchor} placement="bottom-end" {onclose}>
  <p class="ways">
    {#if shown === 'deleted'}
      {@render way('restore', 'Bring back', true)}
    {:else}
      {#if shown === 'archived' && line.mayChange}{@render way('unarchive', 'Bring back', true)}{/if}
      {@render way('duplicate', 'Duplicate')}
      {#if line.mayChange}
        {@render way('rename', 'Rename')}
        {@render way('move', 'Move…')}
        {@render way('tag', 'Tags…')}
        {@render way('occasion', 'When it is used…')}
        {@render way('handOver', 'Hand over…')}
        {#if shown !== 'archived'}{@render way('archive', 'Archive')}{/if}
        {@render way('delete', 'Delete template')}
      {/if}
    {/if}
  </p>
  <p class="remark">
    {shown === 'deleted'
      ? 'It is here for thirty days after it was deleted.'
      : shown === 'archived'
        ? 'An archived template is offered to nobody. Messages written from it keep their history.'
        : line.mayChange
          ? 'Archived templates are out of the way; deleted ones are in the bin for thirty days.'
          : `${line.owner} keeps this template. A duplicate is yours.`}
  </p>
</Slip>

<style>
  .ways {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    max-width: 400px;
  }

  .remark {
    max-width: 400px;
    margin-top: 10px;
    color: var(--ink-soft);
  }
</style>
