<script lang="ts">
  import Button from '../ui/Button.svelte';
  import SmallSelect from '../ui/SmallSelect.svelte';
  import { apart, type FromMessage } from './fromMessage.svelte';

  /** What was found in a message, line by line, with the fields that can take its place; and what else is to be seen to. */
  let { from, onreread }: { from: FromMessage; onreread: () => void } = $props();

  const read = $derived(from.read!);
  const rows = $derived(apart(read.found));
  const pasted = $derived(!from.words.message);

  function see(at: number) {
    document.getElementById(`found-${at}`)?.scrollIntoView({ block: 'nearest' });
  }
</script>

<section aria-label="What was found">
  <h2>Values that can be fields</h2>
  {#if read.deals.length}
    <p class="deal">
      of {read.name} and
      <SmallSelect
        word
        aria-label="Which deal it is about"
        value={from.words.deal ?? ''}
        onchange={(event) => {
          from.words.deal = event.currentTarget.value || null;
          onreread();
        }}
      >
        {#if !from.words.deal}<option value="">no deal in particular</option>{/if}
        {#each read.deals as deal (deal.id)}<option value={deal.id}>{deal.name}</option>{/each}
      </SmallSelect>
    </p>
  {/if}
  {#if rows.length}
    <p class="soft">
      <Button quiet onclick={() => from.takeAll(true)}>Take all</Button>
      <Button quiet onclick={() => from.takeAll(false)}>Take none</Button>
    </p>
    <ul>
      {#each rows as { found, at, places } (at)}
        <li onfocusin={() => see(at)}>
          <label>
            <input
              type="checkbox"
              checked={from.taken[at] >= 0}
              onchange={(event) => from.take(found, event.currentTarget.checked ? 0 : -1)}
            />
            <span
              >“{found.words}”{#if places > 1}<small>{places} places</small>{/if}</span
            >
          </label>
          {#if found.fields.length > 1}
            <SmallSelect
              aria-label="Field for {found.words}"
              value={String(Math.max(from.taken[at], 0))}
              onchange={(event) => from.take(found, Number(event.currentTarget.value))}
            >
              {#each found.fields as field, i (field.written)}<option value={String(i)}>{field.label}</option
                >{/each}
            </SmallSelect>
          {:else}<span class="label">{found.fields[0].label}</span>{/if}
          <code>{found.fields[Math.max(from.taken[at], 0)].written}</code>
        </li>
      {/each}
    </ul>
  {:else}
    <p class="soft">
      {read.name
        ? `No value of ${read.name} stands in it.`
        : 'Nobody was chosen whose values could be found. The words stay as they are.'}
    </p>
  {/if}
  {#if read.left.length}
    <h2>Names that stay</h2>
    <ul>
      {#each read.left as left (left.words)}
        <li class="left"><b>{left.words}</b> <small>{left.what}</small></li>
      {/each}
    </ul>
    <p class="soft">Everybody would read them. Change them on the desk.</p>
  {/if}
  {#if pasted && (read.signature || read.thread)}
    <h2>Its end</h2>
    {#if read.signature}
      <label class="cut">
        <input type="checkbox" bind:checked={from.words.withoutSignature} onchange={onreread} />
        <span>Leave out the old signature; the sender’s takes its place</span>
      </label>
    {/if}
    {#if read.thread}
      <label class="cut">
        <input type="checkbox" bind:checked={from.words.withoutThread} onchange={onreread} />
        <span>Leave out the messages quoted below it</span>
      </label>
    {/if}
  {/if}
</section>

<style>
  section {
    min-height: 0;
    padding: 14px 20px 30px;
    overflow: auto;
    border-left: 1px solid var(--rule);
  }

  h2 {
    margin: 14px 0 2px;
    font: 500 16px/1.3 var(--serif);
  }

  h2:first-child {
    margin-top: 0;
  }

  .deal {
    color: var(--ink-soft);
    line-height: 1.9;
  }

  .soft {
    color: var(--ink-soft);
    font-size: 13px;
  }

  ul {
    margin: 4px 0;
    padding: 0;
    list-style: none;
  }

  li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) max-content;
    gap: 0 10px;
    padding: 6px 0;
    border-bottom: 1px solid var(--rule-soft);
  }

  .left {
    display: block;
  }

  label {
    display: grid;
    grid-template-columns: max-content minmax(0, 1fr);
    gap: 8px;
    overflow-wrap: anywhere;
  }

  .cut {
    padding: 4px 0;
  }

  input {
    margin: 3px 0 0;
    accent-color: var(--ink);
  }

  small {
    margin-left: 6px;
    color: var(--ink-soft);
    font-size: 12.5px;
  }

  .label {
    color: var(--ink-soft);
  }

  code {
    grid-column: 1 / -1;
    padding-left: 22px;
    color: var(--ink-soft);
    font: 12px/1.4 monospace;
    overflow-wrap: anywhere;
  }
</style>
