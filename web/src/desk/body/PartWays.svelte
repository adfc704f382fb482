<script lang="ts">
  import type { About } from '../../library/about';
  import Button from '../../ui/Button.svelte';
  import Condition from '../Condition.svelte';
  import type { FoundField } from '../finding';
  import type { Composing } from './composing.svelte';

  /** What can be done with any block or band: when it is shown, where it stands, a copy, an end. */
  let {
    composing,
    id,
    shownWhen,
    what,
    about,
    fields,
    more = '',
    onmore,
  }: {
    composing: Composing;
    id: string;
    shownWhen: string;
    what: 'block' | 'band';
    about: About;
    fields: FoundField[];
    /** One more thing that can be done; empty for none. */
    more?: string;
    onmore?: () => void;
  } = $props();

  /** Held for everybody that has the first field, until the writer says another. */
  const first = $derived(`${fields[0]?.path ?? 'today'} is filled`);

  function put(condition: string | undefined) {
    composing.change(id, { shownWhen: condition }, true);
  }
</script>

{#if shownWhen}
  <p class="head">Shown when</p>
  <Condition
    given={shownWhen}
    label="When this {what === 'band' ? 'row' : what} is shown"
    {about}
    {fields}
    editable={composing.editable}
    onchanged={put}
  />
{/if}
{#if composing.editable}
  <p class="ways">
    {#if more}<Button quiet onclick={onmore}>{more}</Button>{/if}
    {#if shownWhen}
      <Button quiet onclick={() => put(undefined)}>Always show it</Button>
    {:else}
      <Button quiet onclick={() => put(first)}>Show it only when …</Button>
    {/if}
    <Button quiet onclick={() => composing.step(id, -1)}>Move up</Button>
    <Button quiet onclick={() => composing.step(id, 1)}>Move down</Button>
    <Button quiet onclick={() => composing.duplicate(id)}>Duplicate</Button>
    <Button quiet onclick={() => composing.remove([id])}
      >{what === 'band' ? 'Delete with all in it' : 'Delete'}</Button
    >
  </p>
{/if}

<style>
  .head {
    color: var(--ink-soft);
    font-size: 12.5px;
  }

  .ways {
    display: flex;
    flex-wrap: wrap;
    gap: 2px 8px;
    margin: 8px 0 0 -6px;
    padding-top: 4px;
    border-top: 1px solid var(--rule-soft);
  }
</style>
