<script lang="ts">
  import type { Schemas } from '../api/client';
  import Button from '../ui/Button.svelte';
  import SmallSelect from '../ui/SmallSelect.svelte';

  /** Codes that another system would have filled in, and the fields of ours that take their places. */
  let {
    clean,
    onput,
  }: {
    clean: Schemas['Brought'];
    /** Puts fields in, by the code whose place they take. */
    onput: (fields: Record<string, string>) => Promise<void>;
  } = $props();

  const LEFT = '-';
  let said = $state<Record<string, string>>({});
  let busy = $state(false);
  const meant = (code: Schemas['CodeToMatch']) => said[code.written] ?? code.meant ?? LEFT;
  const chosen = $derived(
    Object.fromEntries(
      clean.codes.map((code) => [code.written, meant(code)]).filter(([, path]) => path !== LEFT),
    ),
  );
  const count = $derived(Object.keys(chosen).length);
  const groups = $derived([...new Set(clean.fields.map((field) => field.whose))]);

  async function put() {
    busy = true;
    await onput(chosen);
    said = {};
    busy = false;
  }
</script>

<details open>
  <summary
    >{clean.codes.length === 1 ? 'One code' : `${clean.codes.length} codes`} of another system, which nothing would
    fill in</summary
  >
  <ul>
    {#each clean.codes as code (code.written)}
      <li>
        <code>{code.shown}</code>{#if code.times > 1}<small>{code.times} places</small>{/if}
        <SmallSelect
          aria-label="Field for {code.shown}"
          value={meant(code)}
          onchange={(event) => (said[code.written] = event.currentTarget.value)}
        >
          <option value={LEFT}>leave it as it is</option>
          {#each groups as whose (whose)}
            <optgroup label={whose}>
              {#each clean.fields.filter((field) => field.whose === whose) as field (field.path)}
                <option value={field.path}>{field.label}</option>
              {/each}
            </optgroup>
          {/each}
        </SmallSelect>
      </li>
    {/each}
  </ul>
  <p class="put">
    <Button disabled={busy || !count} onclick={() => void put()}
      >{count === 1 ? 'Put the field in' : `Put ${count || 'the'} fields in`}</Button
    >
    <small>What you choose is remembered for the next import.</small>
  </p>
</details>

<style>
  details {
    margin-top: 6px;
    padding: 4px 10px 8px;
    background: var(--query-tint);
    font-size: 13px;
  }

  ul {
    max-height: 180px;
    margin: 4px 0 6px;
    padding: 0;
    overflow: auto;
    list-style: none;
  }

  li {
    display: flex;
    flex-wrap: wrap;
    gap: 2px 10px;
    align-items: baseline;
    padding: 2px 0;
  }

  li :global(select) {
    max-width: 220px;
    margin-left: auto;
  }

  .put {
    display: flex;
    flex-wrap: wrap;
    gap: 4px 10px;
    align-items: center;
  }

  code {
    overflow-wrap: anywhere;
  }

  small {
    color: var(--ink-soft);
    font-size: 12.5px;
  }
</style>
