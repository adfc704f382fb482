<script lang="ts">
  import { ask, sentence, type Schemas } from '../api/client';
  import { go, recordAddress } from '../app/router';
  import GapSlip from '../messages/GapSlip.svelte';
  import InlineButton from '../ui/InlineButton.svelte';
  import { notify } from '../ui/notices.svelte';
  import { dayAndTime } from '../ui/when';
  import type { MailingSheet } from './mailingSheet.svelte';
  import { goes, remarkBy, several } from './mailingWords';
  import MoveMessage from './MoveMessage.svelte';
  import Part from './Part.svelte';
  import StepPreviews from './StepPreviews.svelte';

  /** What everybody would get: those with trouble first. */
  let { sheet, folded = $bindable(false) }: { sheet: MailingSheet; folded?: boolean } = $props();

  type Row = Schemas['ShownPreview'];
  /** So many are drawn at once; the others on demand. */
  const SOME = 60;
  let all = $state(false);
  let stepping = $state('');
  let gap = $state.raw<{ row: Row; piece: Schemas['ShownPiece']; anchor: HTMLElement } | null>(null);

  const shown = $derived(all ? sheet.sorted : sheet.sorted.slice(0, SOME));
  const languages = $derived(new Set(sheet.rows.map((row) => row.language)).size > 1);
  const summary = $derived(
    sheet.rows.length ? `${sheet.going} as they are, ${sheet.held} held` : 'Nothing to look at yet',
  );
  const language = (code: string) => new Intl.DisplayNames('en', { type: 'language' }).of(code) ?? code;
  const stops = (row: Row) => row.notes.filter((note) => note.stops);
  const checks = (row: Row) => row.notes.filter((note) => !note.stops);

  const hold = (row: Row, held: boolean) => () =>
    void sheet.act(() =>
      ask('put', '/api/mailings/{id}/people/{key}/held', {
        params: { id: sheet.id, key: row.key },
        body: { held, why: '' },
      }),
    );

  const asTheMailingSays = (row: Row) => () =>
    void sheet.act(() =>
      ask('delete', '/api/mailings/{id}/people/{key}/own-words', {
        params: { id: sheet.id, key: row.key },
      }),
    );

  async function changeWords(row: Row) {
    try {
      await sheet.keep();
      const { draft } = await ask('post', '/api/mailings/{id}/people/{key}/own-words', {
        params: { id: sheet.id, key: row.key },
      });
      go(recordAddress(row.kind, row.person), { search: `?draft=${draft}` });
    } catch (failure) {
      notify(sentence(failure), { stop: true });
    }
  }

  /** Finds what is missing, to be filled in where it is missed. */
  async function fill(row: Row, anchor: HTMLElement) {
    try {
      const proof = await ask('get', '/api/mailings/{id}/people/{key}', {
        params: { id: sheet.id, key: row.key },
      });
      const piece = [proof.subject, proof.previewText, proof.body]
        .flatMap((part) => part.pieces)
        .find((one) => one.origin === 'GAP');
      if (piece) gap = { row, piece, anchor };
      else await changeWords(row);
    } catch (failure) {
      notify(sentence(failure), { stop: true });
    }
  }
</script>

<Part name="Previews" {summary} said={sheet.sentBack} bind:folded>
  {#if sheet.wrong.previews}<p class="wrong" role="alert">{sheet.wrong.previews}</p>{/if}
  {#if !sheet.rows.length}
    <p class="soft" role="status">
      {sheet.reading
        ? 'Reading what each of them gets …'
        : 'Once somebody gets it and it says something, each message is shown here before it leaves.'}
    </p>
  {:else}
    {#each sheet.whole as one (one)}<p class="check">{one}</p>{/each}
    <table>
      <caption class="unseen">What each of them gets</caption>
      <thead>
        <tr><th>to</th><th>subject</th><th>first line</th><th>notes</th><th>leaves</th></tr>
      </thead>
      <tbody>
        {#each shown as row (row.key)}
          <tr class:held={!goes(row)}>
            <td
              ><button class="name" onclick={() => (stepping = row.key)}><bdi>{row.name}</bdi></button><small
                >{[row.organisation, row.sender].filter(Boolean).join(' · ')}</small
              ></td
            >
            <td><bdi>{row.subject}</bdi></td>
            <td class="first"><bdi>{row.opening}</bdi></td>
            <td>
              {#each stops(row) as note (note.code + note.title)}
                <span class="stop" title={note.remedy}>{note.title}</span>
                {#if sheet.open && note.code === 'gap'}
                  <InlineButton
                    aria-label="Fill in what is missing for {row.name}"
                    onclick={(event) => void fill(row, event.currentTarget as HTMLElement)}
                    >fill in</InlineButton
                  >
                {/if}
              {/each}
              {#if row.held}
                <span>held back by {row.held}{row.heldWhy ? `: ${row.heldWhy}` : ''}</span>
              {/if}
              {#each checks(row) as note (note.code + note.title)}
                <span class="look" title={note.remedy}>{note.title}</span>
              {/each}
              {#each sheet.sentBack.comments.filter((one) => one.key === row.key) as one, i (i)}
                <span class="look">{remarkBy(sheet.sentBack.by, one)}</span>
              {/each}
              {#if row.fallbacks.length}<span class="look">fallback for {row.fallbacks.join(', ')}</span>{/if}
              {#if row.own}<span>words of their own</span>{/if}
              {#if languages}<span class="soft">{language(row.language)}</span>{/if}
              {#if sheet.open}
                <span class="ways">
                  <InlineButton
                    soft
                    aria-label="Change words for {row.name}"
                    onclick={() => void changeWords(row)}
                    >{row.own ? 'change them' : 'change words'}</InlineButton
                  >
                  {#if row.own}
                    <InlineButton
                      soft
                      aria-label="As the mailing says for {row.name}"
                      onclick={asTheMailingSays(row)}>as the mailing says</InlineButton
                    >
                  {/if}
                  {#if row.held}
                    <InlineButton soft aria-label="Let {row.name} have it" onclick={hold(row, false)}
                      >let it go</InlineButton
                    >
                  {:else}
                    <InlineButton soft aria-label="Hold {row.name} back" onclick={hold(row, true)}
                      >hold back</InlineButton
                    >
                  {/if}
                </span>
              {/if}
            </td>
            <td class="at"
              >{goes(row) ? (row.at ? dayAndTime(row.at) : '') : 'held'}{#if goes(row)}
                <span class="ways"
                  >{#if sheet.open}<MoveMessage
                      mailing={sheet.id}
                      to={row}
                      started={false}
                      label={row.moved ? 'moved…' : 'move…'}
                      onmoved={() => sheet.look()}
                    />{/if}</span
                >
              {/if}</td
            >
          </tr>
        {/each}
      </tbody>
    </table>
    <p class="below" role="status">
      <InlineButton onclick={() => (stepping = sheet.sorted[0].key)}
        >step through {sheet.rows.length === 1 ? 'it' : `all ${sheet.rows.length}`}</InlineButton
      >
      {#if !all && sheet.sorted.length > SOME}
        · <InlineButton onclick={() => (all = true)}
          >show {several(sheet.sorted.length - SOME, 'more', 'more')}</InlineButton
        >
      {/if}
      {sheet.reading ? '· reading the others …' : '· those with trouble first'}
    </p>
  {/if}
</Part>

{#if stepping}
  <StepPreviews {sheet} key={stepping} onstep={(key) => (stepping = key)} onclose={() => (stepping = '')} />
{/if}
{#if gap}
  {@const { row, piece, anchor } = gap}
  <GapSlip
    {piece}
    {anchor}
    onmessage={async (path, value) => {
      await ask('post', '/api/mailings/{id}/people/{key}/values', {
        params: { id: sheet.id, key: row.key },
        body: { path, value },
      });
      await sheet.look();
    }}
    onrecord={() => sheet.look()}
    onclose={() => (gap = null)}
  />
{/if}

<style>
  table {
    width: 100%;
    border-collapse: collapse;
    line-height: 1.4;
    table-layout: fixed;
  }

  th {
    padding: 0 10px 4px 0;
    color: var(--ink-soft);
    font-size: 12.5px;
    font-weight: 500;
    text-align: left;
  }

  th:first-child {
    width: 18%;
  }

  th:nth-child(2) {
    width: 21%;
  }

  th:nth-child(4) {
    width: 25%;
  }

  th:last-child {
    width: 102px;
  }

  td {
    padding: 6px 10px 6px 0;
    border-top: 1px solid var(--rule-soft);
    vertical-align: baseline;
    overflow-wrap: anywhere;
  }

  .name {
    display: block;
    padding: 0;
    border: 0;
    background: none;
    color: var(--ink);
    font: inherit;
    text-align: left;
    cursor: pointer;
  }

  .name:hover {
    text-decoration: underline;
  }

  small,
  .soft,
  .below,
  .at,
  .held td,
  .held .name {
    color: var(--ink-soft);
  }

  small,
  .at {
    font-size: 12.5px;
  }

  td > span:not(.ways) {
    display: inline;
  }

  td > span:not(.ways) + span:not(.ways)::before {
    content: '· ';
    color: var(--ink-soft);
  }

  .ways {
    display: block;
    white-space: nowrap;
  }

  .at .ways {
    white-space: normal;
  }

  .stop,
  .held .stop,
  .wrong {
    color: var(--stop);
  }

  .look,
  .check {
    color: var(--query);
  }

  .below {
    margin-top: 6px;
  }

  @media (width <= 700px) {
    .ways {
      white-space: normal;
    }

    th:nth-child(3),
    .first {
      display: none;
    }
  }
</style>
