<script lang="ts">
  import Slip from '../ui/Slip.svelte';
  import { keys, turnSingleKeys } from './keys.svelte';

  const shown = $derived(
    keys.list.filter((one, i) => keys.list.findLastIndex((other) => other.key === one.key) === i),
  );
</script>

<Slip title="Keyboard shortcuts" onclose={() => (keys.shown = false)} modal>
  <dl>
    {#each shown as shortcut (shortcut.key)}
      <dt><kbd>{shortcut.key.replace('ArrowUp', '↑').replace('ArrowDown', '↓')}</kbd></dt>
      <dd>{shortcut.label}</dd>
    {/each}
    <dt><kbd>Esc</kbd></dt>
    <dd>Close a slip</dd>
  </dl>
  <label>
    <input
      type="checkbox"
      checked={keys.singleKeys}
      onchange={(event) => turnSingleKeys(event.currentTarget.checked)}
    />
    Single letters, digits and marks work outside text fields
  </label>
</Slip>

<style>
  dl {
    display: grid;
    grid-template-columns: auto 1fr;
    gap: 4px 14px;
    margin-bottom: 12px;
  }

  kbd {
    font: 600 var(--small) / 1.6 var(--sans);
    padding: 0 6px;
    border: 1px solid var(--rule);
    border-radius: var(--corner);
    background: var(--paper);
  }
</style>
