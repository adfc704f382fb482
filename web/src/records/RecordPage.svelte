<script lang="ts">
  import { ask, sentence, type Schemas } from '../api/client';
  import { onChange } from '../app/changes';
  import { shortcuts } from '../app/keys.svelte';
  import { route } from '../app/router';
  import { TypedAhead } from '../app/typedAhead';
  import Button from '../ui/Button.svelte';
  import Page from '../ui/Page.svelte';
  import { notify } from '../ui/notices.svelte';
  import Addresses from './Addresses.svelte';
  import Documents from './Documents.svelte';
  import Facts from './Facts.svelte';
  import ReaderChoice from './ReaderChoice.svelte';
  import RecordPicture from './RecordPicture.svelte';
  import Lines from './Lines.svelte';
  import RelatedRecords from './RelatedRecords.svelte';
  import History from './History.svelte';
  import { draftKey, hasDraft } from '../desk/keptDrafts';
  import Drafts from '../messages/Drafts.svelte';

  type RecordPage = Schemas['RecordPage'];

  const kind = $derived(
    (route.pathname.startsWith('/deals')
      ? 'deal'
      : String((route.params as Record<string, string>).kind ?? '').replace(/s$/, '')) as RecordPage['kind'],
  );
  const id = $derived(String((route.params as Record<string, string>).id ?? ''));
  let page = $state<RecordPage | null>(null);
  let failed = $state('');
  let writing = $state(false);
  /** Read while the page is looked at, so that what is typed right after w is not lost. */
  let Write = $state.raw<(typeof import('../messages/Write.svelte'))['default'] | null>(null);
  void import('../messages/Write.svelte').then((loaded) => (Write = loaded.default));
  /** What is typed between the key that opens the message and the message. */
  const ahead = new TypedAhead();
  /** The draft that is gone on with; null for what is kept in this browser, or a new one. */
  let draft = $state<string | null>(null);
  /** The message that the one being written follows. */
  let after = $state<{ id: string; subject: string } | null>(null);
  /** The fields the message being written takes its values from. */
  let used = $state<string[]>([]);

  const isPerson = $derived(kind === 'contact' || kind === 'lead');
  const contacts = $derived(page?.related.find((one) => one.title === 'Contacts')?.lines ?? []);
  const canWrite = $derived(isPerson || (kind === 'deal' && contacts.length > 0));

  async function read() {
    try {
      page = await ask('get', '/api/records/{kind}/{id}', { params: { kind, id } });
      failed = '';
    } catch (failure) {
      failed = sentence(failure);
      ahead.stop();
    }
  }

  /** Begins the next message of a conversation; one that is being written already is not put aside for it. */
  function follow(message: string, subject: string) {
    if (hasDraft(draftKey(kind, id))) {
      notify('A message is open here already. Close, send or discard it first.', { stop: true });
    } else {
      after = { id: message, subject };
    }
    writing = true;
  }

  /** Goes on with another draft; what is kept here of one is given to the server first. */
  function goOnWith(id: string) {
    draft = id;
    writing = true;
  }

  function stopWriting() {
    writing = false;
    draft = null;
    after = null;
    used = [];
    ahead.stop();
  }

  $effect(() => () => ahead.stop());

  $effect(() => {
    void kind;
    void id;
    page = null;
    used = [];
    after = null;
    const asked = route.search as Record<string, unknown>;
    const wanted = typeof asked.draft === 'string' ? asked.draft : null;
    draft = wanted;
    writing = wanted !== null || hasDraft(draftKey(kind, id)) || 'write' in asked;
    void read();
  });

  $effect(() =>
    onChange((change) => {
      if (change.what === 'hello' || (page && change.id === page.id) || change.what === 'outbox') void read();
    }),
  );

  $effect(() =>
    shortcuts([
      {
        key: 'w',
        label: 'Write to this record',
        run: () => {
          if (!canWrite) return;
          // Whoever goes on with a message has no template to choose.
          if (!writing && !hasDraft(draftKey(kind, id))) ahead.start();
          writing = true;
        },
      },
    ]),
  );

  const sent = $derived(page?.said.filter((one) => one.kind === 'MESSAGE').length ?? 0);
</script>

<Page title={page?.name ?? '…'} crumb={page?.crumb}>
  {#snippet actions()}
    {#if page && kind !== 'deal'}
      <a class="card" href="/api/exports/{kind}/{page.id}.vcf" download>Export as vCard</a>
    {/if}
    {#if canWrite}
      <Button main onclick={() => (writing = !writing)} aria-expanded={writing}
        >Write <span class="key">w</span></Button
      >
    {/if}
  {/snippet}
  {#snippet foot()}
    {#if page}<span>{sent === 1 ? 'one message' : `${sent} messages`} in its history</span>{/if}
    <span class="keys">w write · ? keys</span>
  {/snippet}
  {#if failed}
    <p class="failed" role="alert">{failed} <Button quiet onclick={() => void read()}>Try again</Button></p>
  {:else if page}
    <div class="columns">
      <section class="said" aria-label="Correspondence">
        {#if writing && canWrite && Write}
          {#key `${after?.id} ${draft}`}<Write
              {page}
              {contacts}
              {after}
              {draft}
              {ahead}
              onclose={stopWriting}
              onsent={() => {
                stopWriting();
                void read();
              }}
              onused={(paths) => (used = paths)}
              onfilled={() => void read()}
            />{/key}
        {/if}
        {#if !writing}
          <Drafts kind={page.kind} record={page.id} onopen={goOnWith} />
        {/if}
        {#if page.kind === 'contact' || page.kind === 'lead'}<ReaderChoice person={page.id} />{/if}
        <History {page} onchanged={() => void read()} onfollow={follow} />
      </section>
      <aside class="facts" aria-label="Details">
        <RecordPicture
          of={{ kind: page.kind, id: page.id }}
          name={page.name}
          picture={page.picture}
          onchanged={() => void read()}
        />
        <Facts {page} {used} onchanged={(next) => (page = next)} />
        {#if isPerson}<Addresses {page} onchanged={(next) => (page = next)} />{/if}
        {#if kind === 'deal'}<Lines {page} onchanged={(next) => (page = next)} />{/if}
        <RelatedRecords {page} onchanged={() => void read()} />
        {#if kind !== 'lead'}<Documents {page} onchanged={() => void read()} />{/if}
      </aside>
    </div>
  {/if}
</Page>

<style>
  .card {
    color: var(--ink);
    font-size: 13.5px;
    text-underline-offset: 3px;
  }

  .key {
    opacity: 0.8;
  }

  .keys {
    margin-left: auto;
  }

  .failed {
    padding: 20px;
  }

  .columns {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(280px, 400px);
    height: 100%;
  }

  .said {
    min-height: 0;
    padding: 12px 30px 20px 20px;
    overflow: auto;
    background: var(--shade);
  }

  .facts {
    min-height: 0;
    padding: 14px 20px 20px 26px;
    overflow: auto;
    border-left: 1px solid var(--rule);
  }

  @media (width <= 700px) {
    .columns {
      display: block;
      height: auto;
    }

    .said,
    .facts {
      padding: 12px 14px;
      overflow: visible;
      border: 0;
    }
  }
</style>
