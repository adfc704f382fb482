<script lang="ts">
  import type { Schemas } from '../api/client';
  import Button from '../ui/Button.svelte';
  import Slip from '../ui/Slip.svelte';
  import TemplatesChange from './TemplatesChange.svelte';

  /** What marking a text ready does to the templates that have it, before it is done. */
  let {
    word,
    change,
    anchor,
    onready,
    onclose,
  }: {
    word: string;
    change: Schemas['TemplatesChange'];
    anchor?: HTMLElement;
    onready: () => void;
    onclose: () => void;
  } = $props();
</script>

<Slip title="Mark this {word} ready?" {anchor} page placement="bottom-end" {onclose}>
  <div class="shown">
    <TemplatesChange
      {change}
      count={change.templates === 1 ? 'One template changes:' : `${change.templates} templates change:`}
    />
  </div>
  <p class="ways">
    <Button main data-first onclick={onready}>Mark ready</Button>
    <Button quiet onclick={onclose}>Not yet</Button>
    <span>Messages that were sent stay as they were.</span>
  </p>
</Slip>

<style>
  .shown {
    max-height: calc(100vh - 130px);
    overflow: auto;
  }

  .ways {
    display: flex;
    gap: 10px;
    align-items: center;
    padding-top: 10px;
  }

  span {
    color: var(--ink-soft);
  }
</style>
