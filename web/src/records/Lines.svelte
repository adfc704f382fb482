<script lang="ts">
  import { ask, fieldsOf, sentence, type Schemas } from '../api/client';
  import InlineButton from '../ui/InlineButton.svelte';
  import Button from '../ui/Button.svelte';

  /** What is sold by a deal, line by line, with the totals the server works out. */
  let { page, onchanged }: { page: Schemas['RecordPage']; onchanged: (page: Schemas['RecordPage']) => void } =
    $props();

  interface Typed {
    description: string;
    quantity: string;
    unit: string;
    price: string;
    discount: string;
    tax: string;
    note: string;
  }
  let typed = $state<Typed[] | null>(null);
  let wrong = $state<Record<string, string>>({});
  const columns = [
    ['description', 'Description'],
    ['quantity', 'Quantity'],
    ['unit', 'Unit'],
    ['price', 'Price'],
    ['discount', 'Off %'],
    ['tax', 'Tax %'],
    ['note', 'Note'],
  ] as const;

  async function open() {
    wrong = {};
    try {
      const lines = page.moreLines
        ? await ask('get', '/api/records/deal/{id}/lines', { params: { id: page.id } })
        : page.lines;
      typed = lines.map((line) => ({
        description: line.description,
        quantity: String(line.quantity),
        unit: line.unit,
        price: line.price.toFixed(2),
        discount: line.discount ? String(line.discount) : '',
        tax: line.tax ? String(line.tax) : '',
        note: line.note,
      }));
      if (!typed.length) add();
    } catch (failure) {
      wrong = { lines: sentence(failure) };
    }
  }

  function add() {
    typed = [
      ...(typed ?? []),
      { description: '', quantity: '', unit: '', price: '', discount: '', tax: '', note: '' },
    ];
  }

  async function keep() {
    try {
      const lines = typed!.map((line) => ({
        ...line,
        quantity: Number(line.quantity) || 0,
        price: line.price.trim() === '' ? -1 : Number(line.price),
        discount: Number(line.discount) || 0,
        tax: Number(line.tax) || 0,
      }));
      onchanged(
        await ask('put', '/api/records/deal/{id}/lines', { params: { id: page.id }, body: lines as never }),
      );
      typed = null;
    } catch (failure) {
      wrong = fieldsOf(failure);
      if (!Object.keys(wrong).length) wrong = { lines: sentence(failure) };
    }
  }
</script>

<section>
  <h2>
    Lines {#if !typed}<InlineButton onclick={() => void open()}>edit</InlineButton>{/if}
  </h2>
  {#if typed}
    {#each typed as line, i (i)}
      <div class="typed" role="group" aria-label="Line {i + 1}">
        {#each columns as [name, label] (name)}
          <label class={name}>
            <span>{label}</span>
            <input
              aria-label="{label}, line {i + 1}"
              aria-invalid={wrong[`lines.${i}.${name}`] ? true : undefined}
              title={wrong[`lines.${i}.${name}`]}
              bind:value={line[name]}
            />
          </label>
        {/each}
        <span class="out">
          <InlineButton sign aria-label="Remove line {i + 1}" onclick={() => (typed = typed!.toSpliced(i, 1))}
            >×</InlineButton
          >
        </span>
      </div>
    {/each}
    {#each Object.values(wrong) as one, i (i)}<p class="wrong" role="alert">{one}</p>{/each}
    <p class="ways">
      <Button main onclick={() => void keep()}>Save lines</Button>
      <Button quiet onclick={add}>Add a line</Button>
      <Button quiet onclick={() => (typed = null)}>Cancel</Button>
    </p>
  {:else if page.lines.length}
    <table>
      <thead>
        <tr
          ><th scope="col">Description</th><th scope="col" class="figures">Quantity</th><th
            scope="col"
            class="figures">Price</th
          ><th scope="col" class="figures">Total</th></tr
        >
      </thead>
      <tbody>
        {#each page.lines as line, i (i)}
          <tr>
            <td>{line.description} <small>{line.note}</small></td>
            <td class="figures">{line.quantity} {line.unit}</td>
            <td class="figures"
              >{line.price.toFixed(2)}{#if line.discount}<small> −{line.discount} %</small>{/if}</td
            >
            <td class="figures">{line.total}</td>
          </tr>
        {/each}
      </tbody>
      <tfoot>
        {#if page.moreLines}
          <tr
            ><td colspan="4" class="none"
              >and {page.moreLines.toLocaleString('en')} more lines, which are in the sum</td
            ></tr
          >
        {/if}
        <tr><th scope="row" colspan="3">Sum</th><td class="figures">{page.linesTotal}</td></tr>
        {#if page.linesWithTax}
          <tr><th scope="row" colspan="3">with tax</th><td class="figures">{page.linesWithTax}</td></tr>
        {/if}
      </tfoot>
    </table>
  {:else}
    {#each Object.values(wrong) as one, i (i)}<p class="wrong" role="alert">{one}</p>{/each}
    <p class="none">Nothing on this deal yet.</p>
  {/if}
</section>

<style>
  section {
    margin-bottom: 16px;
  }

  h2 {
    margin-bottom: 4px;
    font: 500 15.5px/1.2 var(--serif);
  }

  table {
    width: 100%;
    border-collapse: collapse;
    font-size: 13px;
  }

  th {
    padding: 3px 4px 3px 0;
    color: var(--ink-soft);
    font-weight: 400;
    font-size: 12px;
    text-align: left;
  }

  td {
    padding: 4px 4px 4px 0;
    border-top: 1px solid var(--rule-soft);
  }

  tfoot td {
    border-top: 1px solid var(--rule);
    font-weight: 600;
  }

  .figures {
    text-align: right;
    white-space: nowrap;
  }

  small {
    color: var(--ink-soft);
  }

  .typed {
    display: grid;
    grid-template-columns: 1.1fr 1.1fr 1.2fr 0.9fr 0.9fr 20px;
    gap: 4px 6px;
    align-items: end;
    padding: 6px 0 8px;
    border-top: 1px solid var(--rule-soft);
  }

  .typed span {
    display: block;
    color: var(--ink-soft);
    font-size: 12px;
  }

  .description {
    grid-column: 1 / 6;
  }

  .out {
    grid-row: 1;
    grid-column: 6;
  }

  .note {
    grid-column: 1 / 6;
  }

  input {
    width: 100%;
    min-width: 0;
    padding: 2px 4px;
    border: 1px solid var(--edge);
    border-radius: var(--corner);
    background: var(--sheet);
    color: var(--ink);
    font: inherit;
    font-size: 13px;
  }

  [aria-invalid] {
    border-color: var(--stop);
  }

  .wrong {
    color: var(--stop);
    font-size: 12.5px;
  }

  .ways {
    margin-top: 8px;
  }

  .none {
    color: var(--ink-soft);
    font-size: 13.5px;
  }
</style>
