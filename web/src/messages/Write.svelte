<script lang="ts">
  import { tick, untrack } from 'svelte';
  import { ask, fieldsOf, Problem, sentence, type Schemas } from '../api/client';
  import { shortcuts } from '../app/keys.svelte';
  import { me } from '../app/session.svelte';
  import Button from '../ui/Button.svelte';
  import MessageFrame from '../ui/MessageFrame.svelte';
  import Slip from '../ui/Slip.svelte';
  import { notify } from '../ui/notices.svelte';
  import GapSlip from './GapSlip.svelte';
  import BlanksForm from './BlanksForm.svelte';
  import MessageField from './MessageField.svelte';
  import Route from './Route.svelte';
  import TemplateChooser from './TemplateChooser.svelte';
  import { draftKey, dropDraft, keepDraft, readDraft } from './keptDrafts';
  import { isKeptMessage, newMessageId, type KeptMessage } from './keptMessage';
  import { wordsOnly, type Piece } from './messageText';
  import StopsList from './StopsList.svelte';
  import { StopsWatch } from './stopsWatch.svelte';

  /** Writing to a record: choose a template, change words for this message only, send. */
  let {
    page,
    contacts,
    after = null,
    onclose,
    onsent,
    onused,
    onfilled,
  }: {
    page: Schemas['RecordPage'];
    /** On a deal's page: who can be written to. */
    contacts: Schemas['RelatedLine'][];
    /** The message to the same person that this one follows, in one conversation. */
    after?: { id: string; subject: string } | null;
    onclose: () => void;
    onsent: () => void;
    onused: (paths: string[]) => void;
    onfilled: () => void;
  } = $props();

  const key = untrack(() => draftKey(page.kind, page.id));
  const before = readDraft(key, isKeptMessage);
  const onDeal = untrack(() => page.kind === 'deal');
  const kind = untrack(() => (onDeal ? 'contact' : (page.kind as 'contact' | 'lead')));

  let id = $state(before?.id ?? newMessageId());
  let template = $state<string | null>(before?.template ?? null);
  let person = $state(before?.person ?? untrack(() => (onDeal ? (contacts[0]?.id ?? '') : page.id)));
  let deal = $state<string | null>(before?.deal ?? untrack(() => (onDeal ? page.id : null)));
  let address = $state(before?.address ?? '');
  let sender = $state(before?.sender ?? '');
  let follows = $state(before ? (before.after ?? null) : untrack(() => after));
  let chosen = $state<Record<string, string>>(before?.chosen ?? {});
  let answers = $state<Record<string, string>>(before?.answers ?? {});
  let message = $state<Schemas['BegunMessage'] | null>(null);
  let senders = $state<Schemas['Colleague'][]>([]);
  let wrong = $state('');
  let sending = $state(false);
  let asking = $state(false);
  let again = $state<(() => void) | null>(null);
  let gap = $state<{ piece: Piece; anchor: HTMLElement } | null>(null);
  let subject = $state<MessageField>();
  let body = $state<MessageField>();
  let sendButton = $state<HTMLButtonElement>();
  let pointed = $state<string | null>(null);
  let frame = $state<MessageFrame>();

  const about = $derived<Schemas['TemplateLine']['about']>(
    onDeal ? 'DEAL' : kind === 'lead' ? 'LEAD' : 'CONTACT',
  );
  const along = $derived([...(message?.proof.rendering?.attached ?? []), ...(message?.files ?? [])]);
  const addresses = $derived(message?.proof.person.addresses ?? []);

  function request() {
    return ask('post', '/api/messages/begin', {
      body: { template, kind, id: person, deal, sender: sender || null, chosen, answers },
    });
  }

  async function begin(from: string | null) {
    template = from;
    chosen = {};
    answers = {};
    id = newMessageId();
    await merge();
  }

  /** Merges anew; the words as they stand are left behind. */
  async function merge() {
    try {
      const fresh = await request();
      const first = message === null;
      take(fresh);
      if (!first) {
        subject?.begin(opening(fresh));
        body?.begin(fresh.proof.body.pieces);
      }
      await tick();
      keep();
      // What the template asks comes before anything else.
      if (!fresh.proof.blanks.some((one) => !one.answer)) goOn();
    } catch (failure) {
      wrong = sentence(failure);
    }
  }

  /** A gap is filled on a slip; a blank to write in above the message. */
  function open(piece: Piece, anchor: HTMLElement) {
    if (piece.origin === 'GAP' || piece.origin === 'BROKEN') gap = { piece, anchor };
    else document.querySelector<HTMLElement>('.blanks textarea')?.focus();
  }

  /** To the first gap, else to the words. */
  function goOn() {
    const open = firstOpen();
    if (open && open.piece.origin === 'GAP') gap = open;
    else body?.focus();
  }

  function firstOpen() {
    return subject?.firstGap() ?? body?.firstGap() ?? openInDesign();
  }

  /** What a letter or designed message waits for; its place is only on the sheet, so its slip opens at the button. */
  function openInDesign() {
    if (!message?.proof.rendering) return null;
    const piece = message.proof.body.pieces.find((one) => ['GAP', 'ASKED', 'BROKEN'].includes(one.origin));
    return piece && sendButton ? { piece: piece as Piece, anchor: sendButton as HTMLElement } : null;
  }

  /** The subject to begin with: a conversation keeps its own. */
  function opening(fresh: Schemas['BegunMessage']): Piece[] {
    const pieces = fresh.proof.subject.pieces;
    if (!follows) return pieces;
    return [wordsOnly(`Re: ${follows.subject.replace(/^\s*(re|aw)\s*:\s*/i, '')}`)];
  }

  function take(fresh: Schemas['BegunMessage']) {
    message = fresh;
    wrong = '';
    sender = fresh.senderId;
    deal ??= fresh.proof.person.deal || null;
    if (!fresh.proof.person.addresses.some((one) => one.id === address)) {
      address = fresh.proof.person.addresses[0]?.id ?? '';
    }
    const parts = [fresh.proof.subject, fresh.proof.previewText, fresh.proof.body];
    onused(parts.flatMap((part) => part.pieces.map((piece) => piece.path)).filter(Boolean));
  }

  async function restore() {
    try {
      take(await request());
      await tick();
      watch.changed();
    } catch (failure) {
      wrong = sentence(failure);
    }
  }

  const watch = new StopsWatch(() => (message ? asItIs() : null));

  /** Goes to what stops it. */
  function goTo(stop: Schemas['Stop']) {
    if (stop.part === 'SUBJECT') subject?.show(stop.start, stop.end);
    else if (stop.part === 'BODY' && body) body.show(stop.start, stop.end);
    else {
      pointed = stop.block || null;
      if (stop.block) frame?.show(stop.block);
    }
  }

  function asItIs() {
    return {
      id,
      template,
      kind,
      person,
      deal,
      address: address || null,
      sender: sender || null,
      after: follows?.id ?? null,
      chosen,
      answers,
      subject: subject?.runs() ?? [],
      body: body?.runs() ?? [],
    };
  }

  function keep() {
    watch.changed();
    const kept: KeptMessage = {
      id,
      template,
      person,
      deal,
      address,
      sender,
      after: follows,
      chosen,
      answers,
      subject: subject?.toKeep(),
      body: body?.toKeep(),
    };
    keepDraft(key, $state.snapshot(kept));
  }

  /** Changes what the message is merged with; asks first when words of this message would be lost. */
  function change(how: () => void) {
    const then = () => {
      again = null;
      how();
      void merge();
    };
    if (subject?.changed() || body?.changed()) again = then;
    else then();
  }

  async function refill() {
    const fresh = await request();
    take(fresh);
    if (!follows) subject?.fill(fresh.proof.subject.pieces);
    body?.fill(fresh.proof.body.pieces);
    keep();
  }

  async function chooseValue(path: string, value: string) {
    const earlier = chosen;
    chosen = { ...chosen, [path]: value };
    try {
      await refill();
    } catch (failure) {
      chosen = earlier;
      throw failure;
    }
  }

  /** What is asked is answered letter by letter; only the message with the newest answer is shown. */
  let answering = 0;

  /** The newest answer on its way into the message; sending waits for it. */
  let answered: Promise<void> = Promise.resolve();

  function answer(hint: string, typed: string) {
    answered = putIn(hint, typed);
  }

  async function putIn(hint: string, typed: string) {
    const mine = ++answering;
    answers = { ...answers, [hint]: typed };
    keep();
    try {
      const fresh = await request();
      if (mine !== answering) return;
      wrong = '';
      take(fresh);
      if (subject?.changed() || body?.changed()) {
        if (!follows) subject?.answer(hint, fresh.proof.subject.pieces);
        body?.answer(hint, fresh.proof.body.pieces);
      } else {
        subject?.begin(opening(fresh));
        body?.begin(fresh.proof.body.pieces);
      }
      keep();
    } catch (failure) {
      if (mine === answering) wrong = Object.values(fieldsOf(failure))[0] ?? sentence(failure);
    }
  }

  async function send() {
    asking = false;
    await answered;
    const open = firstOpen();
    if (open?.piece.origin === 'ASKED') {
      wrong = `“${open.piece.label}” is not filled in yet.`;
      return;
    }
    if (open) {
      gap = open;
      return;
    }
    sending = true;
    wrong = '';
    try {
      await ask('post', '/api/messages', { body: asItIs() });
      dropDraft(key);
      notify(`On its way to ${message!.proof.person.name}.`);
      onsent();
    } catch (failure) {
      wrong =
        failure instanceof Problem && failure.code === 'offline'
          ? 'There is no connection to the server. The message is saved here; send it when the connection is back.'
          : (Object.values(fieldsOf(failure))[0] ?? sentence(failure));
    } finally {
      sending = false;
    }
  }

  /** Leaves the conversation; the subject is the template's again, unless it was changed. */
  function alone() {
    const changed = subject?.changed();
    follows = null;
    if (!changed && message) subject?.begin(message.proof.subject.pieces);
    if (message) keep();
  }

  function discard() {
    const kept = readDraft(key, isKeptMessage);
    dropDraft(key);
    onclose();
    if (kept) {
      notify('The message is discarded.', {
        undo: () => {
          keepDraft(key, kept);
          location.reload();
        },
      });
    }
  }

  $effect(() =>
    shortcuts([
      {
        key: 'Ctrl+Enter',
        label: 'Send (asks)',
        always: true,
        run: () => {
          if (message) asking = true;
        },
      },
    ]),
  );

  if (untrack(() => me().role) === 'ASSISTANT') {
    void ask('get', '/api/team').then((team) => {
      senders = team.filter((one) => one.active && (one.role === 'AGENT' || one.role === 'KEEPER'));
    });
  }
  if (before) void restore();
</script>

<section class="write" aria-label="Write">
  {#if follows}
    <p class="follows">
      Follows “{follows.subject}”, in the same conversation.
      <Button quiet onclick={alone}>Start a new conversation</Button>
    </p>
  {/if}
  {#if !message && !before}
    <TemplateChooser {about} onchoose={(one) => void begin(one)} {onclose} />
  {:else if message}
    {#if message.proof.blanks.length}
      <BlanksForm
        blanks={message.proof.blanks}
        {answers}
        onanswer={(hint, typed) => void answer(hint, typed)}
        ondone={goOn}
      />
    {/if}
    {#key message.templateName}
      <div class="mail" lang={message.proof.person.language}>
        <div class="subject">
          <MessageField
            bind:this={subject}
            label="Subject of this message"
            pieces={untrack(() => opening(message!))}
            kept={before?.subject}
            oneLine
            marked={watch.about('SUBJECT')}
            onchange={keep}
            ongap={open}
          />
        </div>
        <div class="body" class:blank={!template} class:framed={!!message.proof.rendering}>
          {#if message.proof.rendering}
            <MessageFrame
              bind:this={frame}
              html={message.proof.rendering.html}
              title="The message"
              {pointed}
            />
          {:else}<MessageField
              bind:this={body}
              label="Text of this message"
              pieces={untrack(() => message!.proof.body.pieces)}
              kept={before?.body}
              marked={watch.about('BODY')}
              onchange={keep}
              ongap={open}
            />{/if}
        </div>
        {#if along.length}<p class="along">attached: {along.join(', ')}</p>{/if}
      </div>
    {/key}
    <div class="go">
      <Button main bind:element={sendButton} disabled={sending} onclick={() => void send()}>
        {sending ? 'Sending …' : 'Send now'}
      </Button>
      <Button quiet onclick={discard}>Discard</Button>
      <Route
        {message}
        {contacts}
        {senders}
        {onDeal}
        {sender}
        {person}
        {deal}
        bind:address
        onaddress={keep}
        onsender={(to) => change(() => (sender = to))}
        onperson={(to) => change(() => (person = to))}
        ondeal={(to) => change(() => (deal = to))}
      />
    </div>
  {/if}
  {#if message && watch.stops.length}<StopsList stops={watch.stops} onshow={goTo} />{/if}
  {#if wrong}<p class="wrong" role="alert">{wrong}</p>{/if}
</section>
{#if gap && message}
  {#key gap.anchor}
    <GapSlip
      piece={gap.piece}
      anchor={gap.anchor}
      onmessage={chooseValue}
      onrecord={async () => {
        await refill();
        onfilled();
      }}
      onclose={() => (gap = null)}
    />
  {/key}
{/if}
{#if asking && message}
  <Slip title="Send this message?" anchor={sendButton} placement="top-start" onclose={() => (asking = false)}>
    <p>
      To {message.proof.person.name}, {addresses.find((one) => one.id === address)?.address ??
        'who has no address'}.
    </p>
    <p class="ways">
      <Button main data-first onclick={() => void send()}>Send now</Button>
      <Button onclick={() => (asking = false)}>Not yet</Button>
    </p>
  </Slip>
{/if}
{#if again}
  <Slip title="Merge again?" anchor={sendButton} placement="top-start" onclose={() => (again = null)}>
    <p>The words you changed in this message would be lost.</p>
    <p class="ways">
      <Button main onclick={() => again?.()}>Merge again</Button>
      <Button onclick={() => (again = null)}>Cancel</Button>
    </p>
  </Slip>
{/if}

<style>
  .write {
    margin-bottom: 16px;
  }

  .follows {
    margin-bottom: 6px;
    color: var(--ink-soft);
  }

  .mail {
    border: 1px solid var(--rule);
    background: var(--sheet);
    font: 14px/1.5 var(--letter);
  }

  .subject {
    padding: 9px 20px 8px;
    border-bottom: 1px solid var(--rule-soft);
    font: 600 14px/1.4 var(--sans);
  }

  .body {
    padding: 12px 20px 16px;
  }

  .blank :global(.mine) {
    background: none;
  }

  .go {
    display: flex;
    flex-wrap: wrap;
    gap: 6px 10px;
    align-items: center;
    margin-top: 10px;
    color: var(--ink-soft);
    font-size: 12.5px;
  }

  .wrong {
    margin-top: 8px;
    color: var(--stop);
  }

  .ways {
    display: flex;
    gap: 8px;
    margin-top: 10px;
  }

  .body.framed {
    padding: 0;
  }

  .along {
    padding: 6px 18px;
    color: var(--ink-soft);
    font-size: 13px;
  }
</style>
