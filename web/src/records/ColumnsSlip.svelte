<script lang="ts">
  import { untrack } from 'svelte';
  import { ask, fieldsOf, sentence, type Schemas } from '../api/client';
  import Button from '../ui/Button.svelte';
  import InlineButton from '../ui/InlineButton.svelte';
  import SmallSelect from '../ui/SmallSelect.svelte';
  import Slip from '../ui/Slip.svelte';
  import { Turns } from '../ui/turns';

  /** Which columns one sees in the list of a kind, and in which order. */
  let {
    kind,
    anchor,
    onclose,
    onchanged,
  }: {
    kind: Schemas['ListSelection']['kind'];
    anchor: HTMLElement;
    onclose: () => void;
    onchanged: () => void;
  } = $props();

  let choice = $state.raw<Schemas['ColumnChoice'] | null>(null);
  let wrong = $state('');
  const turns = new Turns();
  const labels = $derived(new Map(choice?.all.map((one) => [one.name, one.label])));
  const chosen = $derived(choice?.chosen ?? []);
  const others = $derived(choice?.all.filter((one) => !chosen.includes(one.name)) ?? []);
  const changed = $derived(choice !== null && chosen.join() !== choice.beginning.join());

  ask('get', '/api/records/{kind}/columns', { params: { kind: untrack(() => kind) } })
    .then((answer) => (choice = answer))
    .catch((failure) => (wrong = sentence(failure)));

  /** What is chosen counts at once, for what a quick hand chooses next; it is kept in the same order. */
  async function put(names: string[]) {
    if (!choice) return;
    wrong = '';
    const before = choice;
    choice = { ...choice, chosen: names.length ? names : choice.beginning };
    try {
      const kept = await turns.take(() =>
        ask('put', '/api/records/{kind}/columns', { params: { kind }, body: names }),
      );
      if (kept.chosen.join() === choice.chosen.join()) onchanged();
    } catch (failure) {
      choice = before;
      wrong = fieldsOf(failure).columns ?? sentence(failure);
    }
  }

  function move(at: number, by: number) {
    const names = [...chosen];
    [names[at], names[at + by]] = [names[at + by], names[at]];
    void put(names);
  }
</script>

{#if choice || wrong}
  <Slip title="Columns" {anchor} placement="bottom-end" {onclose}>
    <ol>
      {#each chosen as name, i (name)}
        <li>
          <span>{labels.get(name)}</span>
          {#if i > 0}
            <InlineButton
              sign
              soft
              aria-label="{labels.get(name)} further left"
              disabled={i === 1}
              onclick={() => move(i, -1)}>↑</InlineButton
            >
            <InlineButton
              sign
              soft
              aria-label="{labels.get(name)} further right"
              disabled={i === chosen.length - 1}
              onclick={() => move(i, 1)}>↓</InlineButton
            >
            <InlineButton
              sign
              soft
              aria-label="Without {labels.get(name)}"
              onclick={() => void put(chosen.filter((one) => one !== name))}>×</InlineButton
            >
          {/if}
        </li>
      {/each}
    </ol>
    {#if others.length}
      <SmallSelect
        whole
        aria-label="Add a column"
        value=""
        onchange={(event) => event.currentTarget.value && void put([...chosen, event.currentTarget.value])}
      >
        <option value="">Add a column …</option>
        {#each others as one (one.name)}<option value={one.name}>{one.label}</option>{/each}
      </SmallSelect>
    {/if}
    <p class="soft">You alone see the list with these columns.</p>
    {#if changed}<Button quiet onclick={() => void put([])}>Show the usual columns</Button>{/if}
    {#if wrong}<p class="failed" role="alert">{wrong}</p>{/if}
  </Slip>
{/if}

<style>
  ol {
    margin: 0 0 8px;
    padding: 0;
    list-style: none;
  }

  li {
    display: flex;
    gap: 4px;
    align-items: center;
    min-height: 27px;
    border-bottom: 1px solid var(--rule-soft);
  }

  span {
    flex: 1;
    min-width: 0;
    overflow-wrap: anywhere;
  }

  .soft {
    margin: 8px 0;
    color: var(--ink-soft);
  }

  .failed {
    color: var(--stop);
  }
</style>
