<script lang="ts">
  import type { Schemas } from '../api/client';
  import { recordAddress } from '../app/router';
  import Button from '../ui/Button.svelte';
  import PlainTable from '../ui/PlainTable.svelte';
  import SmallSelect from '../ui/SmallSelect.svelte';
  import { choices, many, outcome } from './importWords';
  import type { ImportWork } from './importWork.svelte';

  /** What a check of a file says, what happens with records that are here already, and the import. */
  type Choice = NonNullable<Schemas['ImportChoices']['all']>;
  let {
    shown,
    work,
    result,
    oncheck,
    onrun,
    onlook,
  }: {
    shown: Schemas['ImportShown'];
    work: ImportWork;
    result: Schemas['ImportResult'] | null;
    oncheck: () => void;
    onrun: (choices: Schemas['ImportChoices']) => void;
    /** Asks the server how an import ended. */
    onlook: () => void;
  } = $props();

  let all = $state<Choice>('SKIP');
  let some = $state<Record<string, Choice>>({});
  const kind = $derived(shown.kind);
  const place = $derived(shown.cards ? 'Card' : 'Line');
  const reasons = $derived({
    ADDRESS: 'same address',
    NAME: kind === 'organisation' ? 'same name' : 'same name and organisation',
  });
  const figure = (number: number) => number.toLocaleString('en');
  const will = $derived(result ? outcome(result, kind, all, Object.values(some)) : '');
  const nothing = $derived(result !== null && result.fresh === 0 && result.known === 0);

  $effect(() => {
    if (!result) some = {};
  });
</script>

<section aria-labelledby="the-check">
  <h2 id="the-check" tabindex="-1">Check and import</h2>
  {#if !result && !work.doing}
    <p class="about">Every row is checked, and compared with what is here already. Nothing is written.</p>
    <Button main disabled={Boolean(shown.wrong)} onclick={oncheck}>Check</Button>
  {/if}
  {#if work.doing}
    <p class="going" role="status">
      {work.doing === 'check' ? 'Checking' : 'Importing'}: {figure(work.read)} of {many(shown.rows, 'row')}
      <progress max={shown.rows} value={work.read}></progress>
      <Button onclick={() => work.stop()}>Stop</Button>
      {#if work.doing === 'run'}<span class="about">Leaving this page stops the import.</span>{/if}
    </p>
  {/if}
  {#if work.settling}<p role="status">Asking the server how the import ended …</p>{/if}
  {#if work.stopped}<p role="status">Stopped. Nothing was imported.</p>{/if}
  {#if work.failed}<p class="wrong" role="alert">{work.failed}</p>{/if}
  {#if work.unsure && !work.settling}
    <p class="unsure" role="alert">
      It is not sure whether the import was finished.
      <Button quiet onclick={onlook}>Look again</Button>
    </p>
  {/if}
  {#if result}
    <p role="status">
      {many(result.fresh, kind)}
      {result.fresh === 1 ? 'is' : 'are'} new{result.known
        ? `, ${figure(result.known)} here already`
        : ''}{result.faulty ? `, ${many(result.faulty, 'row')} with mistakes` : ''}.
      {#if result.organisations}{many(result.organisations, 'organisation')} will be added with them.{/if}
    </p>
    {#if result.known}
      <h3>Here already</h3>
      <p>
        What happens with them:
        <SmallSelect
          aria-label="What happens with records that are here already"
          value={all}
          disabled={Boolean(work.doing)}
          onchange={(event) => (all = event.currentTarget.value as Choice)}
        >
          <option value="SKIP">skip them</option>
          <option value="UPDATE">update them from the file</option>
          <option value="ADD">add them again</option>
        </SmallSelect>
        <span class="about">Blank cells never change anything.</span>
      </p>
      <PlainTable
        label="Here already"
        heads={[place, 'In the file', 'Here', 'Why', 'This one']}
        widths={['70px', '', '', '190px', '130px']}
      >
        {#each result.duplicates as one (one.line)}
          <tr>
            <td>{one.line}</td>
            <td>{one.name}</td>
            <td>
              {#if one.known}<a href={recordAddress(kind, one.known)} target="_blank">{one.knownName}</a>
              {:else}{place.toLowerCase()} {one.earlier} of this file{/if}
            </td>
            <td class="soft">{reasons[one.sameness]}</td>
            <td>
              <select
                aria-label="What happens with {one.name}, {place.toLowerCase()} {one.line}"
                value={some[one.line] ?? ''}
                disabled={Boolean(work.doing)}
                onchange={(event) => {
                  if (event.currentTarget.value) some[one.line] = event.currentTarget.value as Choice;
                  else delete some[one.line];
                }}
              >
                <option value="">as above</option>
                {#each choices as [code, word] (code)}<option value={code}>{word}</option>{/each}
              </select>
            </td>
          </tr>
        {/each}
      </PlainTable>
      {#if result.duplicates.length < result.known}
        <p class="about">
          The first {figure(result.duplicates.length)} are shown; the others go by the choice above.
        </p>
      {/if}
    {/if}
    {#if result.faulty}
      <h3>With mistakes</h3>
      <p>
        These rows are not imported.
        <a href="/api/imports/{shown.id}/faults.csv" download>Download them as CSV</a> with the reasons, correct
        them there, and import that file.
      </p>
      <PlainTable
        label="With mistakes"
        heads={[place, 'Column', 'Cell', 'Why']}
        widths={['70px', '18%', '24%', '']}
      >
        {#each result.faults as fault, i (i)}
          <tr>
            <td>{fault.line}</td>
            <td>{fault.heading}</td>
            <td class="soft">{fault.cell}</td>
            <td>{fault.sentence}</td>
          </tr>
        {/each}
      </PlainTable>
      {#if result.faults.length < result.faulty && result.faults.length === 200}
        <p class="about">The first 200 mistakes are shown; the download has all rows.</p>
      {/if}
    {/if}
    {#if nothing}
      <p>There is nothing to import: every row has a mistake.</p>
    {:else}
      <p class="end">
        <Button
          main
          disabled={Boolean(work.doing) || work.settling || work.unsure}
          onclick={() => onrun({ all, some })}>Import</Button
        >
        <span>This will {will}, in one step.</span>
      </p>
    {/if}
  {/if}
</section>

<style>
  h3 {
    padding-top: 14px;
    font-size: var(--base);
  }

  .about {
    color: var(--ink-soft);
  }

  p.about {
    padding-bottom: 8px;
  }

  .going,
  .end {
    display: flex;
    gap: 14px;
    align-items: center;
    padding: 12px 0;
    font-variant-numeric: tabular-nums;
  }

  progress {
    width: 200px;
    accent-color: var(--ink);
  }

  .wrong {
    padding: 8px 0;
    color: var(--stop);
  }

  .unsure {
    padding: 8px 0;
    color: var(--query);
  }

  a {
    color: var(--ink);
  }
</style>
