<script lang="ts">
  import { ask, download, fieldsOf, sentence, type Schemas } from '../api/client';
  import { go } from '../app/router';
  import Button from '../ui/Button.svelte';
  import InlineButton from '../ui/InlineButton.svelte';
  import { notify } from '../ui/notices.svelte';
  import HoursStrip from './HoursStrip.svelte';
  import type { MailingSheet } from './mailingSheet.svelte';
  import { several } from './mailingWords';
  import NamedDeals from './NamedDeals.svelte';
  import Part from './Part.svelte';
  import PassOnSlip from './PassOnSlip.svelte';

  /** What a mailing came to: who did what, which links, when, and what was hoped for. */
  let { sheet, folded = $bindable(false) }: { sheet: MailingSheet; folded?: boolean } = $props();

  type Group = Schemas['ListOfGroup']['group'];
  let report = $state.raw<Schemas['ShownReport'] | null>(null);
  let failed = $state('');
  let passing = $state<HTMLElement | null>(null);
  const mailing = $derived(sheet.mailing!);

  const read = () =>
    ask('get', '/api/mailings/{id}/report', { params: { id: sheet.id } })
      .then((read) => (report = read))
      .catch((failure) => (failed = sentence(failure)));

  $effect(() => {
    // Whatever is counted anew is read anew.
    void mailing.counts;
    void read();
  });

  const steps = $derived(
    report
      ? ([
          { label: 'delivered', group: 'GOT', part: report.opened.whole, rate: null },
          { label: 'opened', group: 'OPENED', part: report.opened.part, rate: report.opened },
          { label: 'followed a link', group: 'CLICKED', part: report.clicked.part, rate: report.clicked },
          { label: 'replied', group: 'REPLIED', part: report.replied.part, rate: report.replied },
          {
            label: 'unsubscribed',
            group: 'UNSUBSCRIBED',
            part: report.unsubscribed.part,
            rate: report.unsubscribed,
          },
        ] as const)
      : [],
  );
  const others: { label: string; group: Group }[] = [
    { label: 'those who did not open it', group: 'UNOPENED' },
    { label: 'those who have not replied', group: 'SILENT' },
    { label: 'those it did not reach', group: 'FAILED' },
    { label: 'those who did not get it', group: 'LEFT_OUT' },
  ];
  /** On what links were followed, in a sentence. */
  const devices = $derived.by(() => {
    const all = report?.devices ?? [];
    const known = all.filter((one) => one.device !== 'UNKNOWN');
    const unknown = all.find((one) => one.device === 'UNKNOWN')?.people ?? 0;
    const said = known.map((one, i) => `${one.people}${i ? '' : ' followed one'} on ${one.words}`).join(', ');
    if (!said) return `Of ${unknown} it is not known on what they followed one.`;
    return unknown ? `${said}, of ${unknown} it is not known.` : `${said}.`;
  });
  const summary = $derived(
    report
      ? `${report.opened.part} opened, ${report.clicked.part} followed a link, ${report.replied.part} replied`
      : '',
  );

  /** Makes a list of them, and opens it. */
  async function list(group: Group, label: string, link: string | null = null) {
    try {
      const name = `${mailing.name}: ${label}`.slice(0, 80);
      const made = await ask('post', '/api/mailings/{id}/report/list', {
        params: { id: sheet.id },
        body: { group, link, name },
      });
      notify(`“${made.name}” has ${several(made.members, 'record')}.`);
      go(made.kind === 'deal' ? '/deals' : `/people/${made.kind}s`, { search: `?list=${made.id}` });
    } catch (failure) {
      notify(Object.values(fieldsOf(failure))[0] ?? sentence(failure), { stop: true });
    }
  }

  async function table() {
    try {
      await download(
        `/api/mailings/${sheet.id}/report/table` as '/api/mailings/{id}/report/table',
        {},
        `${mailing.name}.csv`,
      );
    } catch (failure) {
      notify(sentence(failure), { stop: true });
    }
  }
</script>

<Part name="Report" {summary} bind:folded>
  {#if failed}
    <p class="wrong" role="alert">{failed}</p>
  {:else if report}
    <table>
      <caption class="unseen">How far it came</caption>
      <tbody>
        {#each steps as { label, group, part, rate } (group)}
          <tr>
            <th scope="row">{label}</th>
            <td class="figure">{part.toLocaleString('en')}</td>
            <td class="rule">
              <svg viewBox="0 0 200 14" aria-hidden="true">
                <rect
                  x="0"
                  y="4"
                  height="6"
                  width={report.opened.whole ? (part / report.opened.whole) * 200 : 0}
                />
                {#if rate}<line x1={rate.low * 200} x2={rate.high * 200} y1="12.5" y2="12.5" />{/if}
              </svg>
            </td>
            <td class="soft">{rate ? rate.words : ''}</td>
            <td>
              {#if part}<InlineButton
                  aria-label="A list of those: {label}"
                  onclick={() => void list(group, label)}>a list of them</InlineButton
                >{/if}
            </td>
          </tr>
        {/each}
      </tbody>
    </table>
    <p class="soft">
      In brackets is where the rate lies in 19 of 20 cases, and the thin line shows it. {report.counted
        ? `Some read without it being seen${report.byMachines ? `; ${several(report.byMachines, 'reading')} by machines ${report.byMachines === 1 ? 'is' : 'are'} left out` : ''}.`
        : 'Our company does not count opening and links.'}
    </p>
    <p>
      Go on with
      {#each others as { label, group }, i (group)}
        {i ? ', ' : ''}<InlineButton onclick={() => void list(group, label)}>{label}</InlineButton>
      {/each}
    </p>
    {#if report.links.length}
      <h3>Links</h3>
      <ul>
        {#each report.links as link (link.address)}
          <li>
            <span class="figure">{several(link.people, 'reader')}</span>
            <span class="address" title={link.address}>{link.address}</span>
            <InlineButton
              aria-label="A list of those who followed {link.address}"
              onclick={() => void list('CLICKED', 'followed one link', link.address)}
              >a list of them</InlineButton
            >
          </li>
        {/each}
      </ul>
      <p>
        {devices}
        <span class="soft"
          >This is as the program of each reader says; a tablet often says it is a computer. Opening tells
          nothing of it.</span
        >
      </p>
    {/if}
    {#if report.openings.length > 1}
      <h3>When it was opened</h3>
      <HoursStrip times={report.openings} what="openings" />
    {/if}
    {#if report.hoped || report.cost}
      <h3>Goal</h3>
      <p>
        {several(report.replied.part, 'reply', 'replies')} of {report.hoped.toLocaleString('en')} hoped for; worth
        {report.brought.toLocaleString('en')} as it was put down, planned cost {report.cost.toLocaleString(
          'en',
        )}, in our currency.
      </p>
    {/if}
    <NamedDeals id={sheet.id} mayChange={mailing.mayChange} came={report.cameOfIt} onchanged={read} />
    <p class="ways">
      <Button quiet onclick={() => void table()}>Export as CSV</Button>
      <Button quiet onclick={() => window.print()}>Print</Button>
      <Button quiet onclick={(event) => (passing = passing ? null : (event.currentTarget as HTMLElement))}
        >Show it to anybody…</Button
      >
    </p>
  {/if}
</Part>

{#if passing}
  <PassOnSlip id={sheet.id} mayMake={mailing.mayChange} anchor={passing} onclose={() => (passing = null)} />
{/if}

<style>
  table {
    border-collapse: collapse;
    line-height: 1.4;
  }

  th {
    padding: 3px 16px 3px 0;
    font-weight: 500;
    text-align: left;
  }

  td {
    padding: 3px 16px 3px 0;
  }

  .figure {
    font-variant-numeric: tabular-nums;
    text-align: right;
    white-space: nowrap;
  }

  .rule {
    width: 220px;
  }

  svg {
    display: block;
    width: 200px;
    height: 14px;
  }

  rect {
    fill: var(--ink);
  }

  line {
    stroke: var(--ink-soft);
  }

  h3 {
    margin-top: 8px;
    font: 500 15px/1.4 var(--serif);
  }

  ul {
    list-style: none;
  }

  li {
    display: grid;
    grid-template-columns: 90px minmax(0, 1fr) 110px;
    gap: 12px;
    align-items: baseline;
    max-width: 760px;
    border-top: 1px solid var(--rule-soft);
  }

  .address {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }

  .soft {
    color: var(--ink-soft);
  }

  .wrong {
    color: var(--stop);
  }

  .ways {
    display: flex;
    gap: 14px;
    margin-top: 8px;
  }

  @media (width <= 700px) {
    .rule {
      display: none;
    }

    th,
    td {
      padding-right: 8px;
    }
  }

  @media print {
    .ways {
      display: none;
    }
  }
</style>
