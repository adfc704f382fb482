<script lang="ts">
  import type { Composing } from './composing.svelte';
  import Kinds from './Kinds.svelte';
  import { barred } from './kinds';

  /** The block drawer at the foot of the draft: blocks to drag up, or to put in where the cursor was. */
  let {
    composing,
    open = $bindable(),
    after,
  }: { composing: Composing; open: boolean; after: () => string | undefined } = $props();

  let drawer = $state<HTMLElement>();

  $effect(() => {
    if (open) drawer?.querySelector('button')?.focus({ preventScroll: true });
  });
</script>

<div class="drawer" class:open>
  <button class="tab" aria-expanded={open} title="Alt+A" onclick={() => (open = !open)}
    >{open ? 'hide the blocks' : 'add a block'}</button
  >
  {#if open}
    <div
      class="blocks"
      bind:this={drawer}
      role="presentation"
      onkeydown={(event) => {
        if (event.key !== 'Escape') return;
        event.stopPropagation();
        open = false;
      }}
    >
      <Kinds
        drags
        without={barred(composing.desk.draft?.kind)}
        onchoose={(kind) => {
          const place = composing.placeAfter(after());
          open = false;
          composing.add(kind, place);
        }}
      />
    </div>
  {/if}
</div>

<style>
  .drawer {
    position: sticky;
    bottom: 0;
    z-index: 3;
    margin: auto -20px 0;
    padding: 0 20px;
  }

  .open {
    border-top: 1px solid var(--rule);
    background: var(--paper);
    box-shadow: 0 -6px 14px rgb(29 37 48 / 0.08);
  }

  .blocks {
    padding: 0 0 10px;
  }

  .tab {
    display: block;
    min-height: 26px;
    margin: 0 auto;
    padding: 0 14px;
    border: 1px solid var(--rule);
    border-bottom: 0;
    border-radius: var(--corner) var(--corner) 0 0;
    background: var(--paper);
    color: var(--ink);
    font: italic 13.5px/1.4 var(--serif);
    cursor: pointer;
  }

  .open .tab {
    border: 0;
  }
</style>
