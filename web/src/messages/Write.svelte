<script lang="ts">
  import { tick, untrack } from 'svelte';
  import { go } from '../app/router';
  import { ask, fieldsOf, Problem, sentence, type Schemas } from '../api/client';
  import { shortcuts } from '../app/keys.svelte';
  import type { TypedAhead } from '../app/typedAhead';
  import { Composing } from '../desk/body/composing.svelte';
  import type Draft from '../desk/Draft.svelte';
  import { draftKey, readDraft } from '../desk/keptDrafts';
  import type { Chip } from '../desk/draftText';
  import Button from '../ui/Button.svelte';
  import { drawn } from '../ui/drawn';
  import MessageFrame from '../ui/MessageFrame.svelte';
  import BlanksForm from './BlanksForm.svelte';
  import { takeBack, takeNewer } from './byHand';
  import ChangeSlip from './ChangeSlip.svelte';
  import { Conversation } from './conversation.svelte';
  import EnvelopeLine from './Envelope.svelte';
  import GapSlip from './GapSlip.svelte';
  import { isKeptMessage } from './keptMessage';
  import { MergingAgain } from './mergingAgain.svelte';
  import { MessageState, type Envelope } from './messageState.svelte';
  import { openKept } from './opening';
  import MessageSheet from './MessageSheet.svelte';
  import NewerValues from './NewerValues.svelte';
  import { discard, putAside } from './puttingAside';
  import SendRow from './SendRow.svelte';
  import StopsList from './StopsList.svelte';
  import { onItsWay } from './takingBack';
  import TemplateChooser from '../library/TemplateChooser.svelte';

  type Mode = NonNullable<Schemas['Draft']['mode']>;

  /** Writing to a record: choose a template, change whatever one likes for this message, send. */
  let {
    page,
    contacts,
    after = null,
    draft: wanted = null,
    ahead,
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
    /** The draft on the server that is to be gone on with. */
    draft?: string | null;
    /** What was typed before this was there. */
    ahead?: TypedAhead;
    onclose: () => void;
    onsent: () => void;
    onused: (paths: string[]) => void;
    onfilled: () => void;
  } = $props();

  const key = untrack(() => draftKey(page.kind, page.id));
  /** Files of the deal that can go along. */
  const documents = $derived(page.documents.flatMap(({ file, name }) => (file ? [{ ...file, name }] : [])));
  const onDeal = untrack(() => page.kind === 'deal');
  const about = $derived<Schemas['TemplateLine']['about']>(
    onDeal ? 'DEAL' : page.kind === 'lead' ? 'LEAD' : 'CONTACT',
  );

  function nobodyYet(): Envelope {
    return {
      template: null,
      kind: onDeal ? 'contact' : page.kind,
      person: onDeal ? (contacts[0]?.id ?? '') : page.id,
      deal: onDeal ? page.id : null,
      address: null,
      sender: null,
      after: after?.id ?? null,
      wishes: null,
    };
  }

  const message = untrack(() => new MessageState(key, nobodyYet()));
  const composing = new Composing(message);
  let writing = $state(false);
  /** Whether the chooser may go: to take its preview away takes longer than to hide it, and the message is to be seen first. */
  let begun = $state(false);
  const conversation = untrack(() => new Conversation(message, after));
  let envelope = $state<Schemas['ShownEnvelope'] | null>(null);
  let envelopeLine = $state<EnvelopeLine>();
  let wrong = $state('');
  let sending = $state(false);
  let gap = $state<{ piece: Schemas['ShownPiece']; anchor: HTMLElement } | null>(null);
  let change = $state<{ change: Schemas['HandChange']; anchor: HTMLElement } | null>(null);
  let draft = $state<Draft>();
  let blanks = $state<BlanksForm>();
  /** Whether it is looked at as it will be read, rather than written. */
  let looking = $state(false);
  /** Whether it is asked to send although something is to be checked. */
  let asking = $state(false);

  const proof = $derived(message.preview.proof);
  const open = $derived((proof?.blanks ?? []).filter((one) => !one.answer).map((one) => one.hint));
  const notes = $derived((proof?.notes ?? []).filter((one) => !one.waved));
  /** How much has to be fixed before it can go. */
  const toFix = $derived(message.stops.length + (envelope?.stops.length ?? 0));
  /** Changes when lines of the message may have moved. */
  let layout = $state(0);
  let noteAt = -1;

  message.preview.onproof = (read, fresh) => {
    void tick().then(() => {
      draft?.texts.read(read, fresh);
      layout++;
      message.settleWhatIsKnown(fresh);
    });
    const { addresses } = fresh.person;
    if (!addresses.some((one) => one.id === message.envelope.address)) {
      message.envelope.address = addresses[0]?.id ?? null;
    }
    message.envelope.deal ??= fresh.person.deal || null;
    const open = [fresh.subject, fresh.previewText, fresh.body].flatMap((part) => part.pieces);
    onused([...message.hand.values, ...open].map((one) => one.path).filter(Boolean));
  };

  $effect(() => () => message.close());

  /** Goes on with what is kept here, or with the draft that is wanted, or asks for a template. */
  async function goOn() {
    try {
      const found = await openKept(message, key, wanted);
      writing = begun = found === 'message';
      if (found === 'gone') onclose();
      await conversation.find();
    } catch (failure) {
      wrong = sentence(failure);
    }
  }

  async function begin(template: string | null, mode: Mode | null) {
    message.envelope.template = template;
    await merge(mode);
  }

  /** Merges anew; words that were changed are left behind. */
  async function merge(mode: Mode | null = null) {
    try {
      wrong = '';
      await message.begin(mode ?? message.draft?.mode ?? null, conversation.subject());
      writing = true;
      await untilRead();
      void drawn().then(() => (begun = true));
      keepBegun();
      // What the template asks comes before anything else.
      if (!open.length) await goToFirst();
    } catch (failure) {
      wrong = sentence(failure);
    }
  }

  /** Until the message stands there to be written in. */
  async function untilRead() {
    for (let turn = 0; turn < 200 && !draft; turn++) await new Promise((done) => requestAnimationFrame(done));
    await tick();
  }

  /** To the first value that is missing, else to the words. */
  async function goToFirst() {
    // It may stand in a block that is drawn last.
    if (pieces().some(isOpen)) await draft?.texts.allDrawn();
    const first = draft?.texts.firstField();
    if (first && openField(first.chip, first.anchor)) return;
    if (message.draft?.subject) draft?.texts.focusText();
    else draft?.texts.focusSubject();
  }

  function pieces(): Schemas['ShownPiece'][] {
    return [proof?.subject, proof?.previewText, proof?.body].flatMap((part) => part?.pieces ?? []);
  }

  const isOpen = ({ origin }: Schemas['ShownPiece']) => origin === 'GAP' || origin === 'BROKEN';

  /** A missing value is filled in on a slip, a blank above the message. */
  function openField(chip: Chip, anchor: HTMLElement): boolean {
    if (chip.role === 'WRITE_IN') {
      document.querySelector<HTMLElement>('.blanks textarea')?.focus();
      return true;
    }
    const piece = pieces().find((one) => one.written === chip.written && isOpen(one));
    if (!piece) return false;
    gap = { piece, anchor };
    return true;
  }

  function stepNote(way: number) {
    if (!notes.length) return;
    noteAt = (noteAt + way + notes.length) % notes.length;
    goTo(notes[noteAt]);
  }

  /** Goes to what a note is about. */
  function goTo(stop: Pick<Schemas['Stop'], 'code' | 'part' | 'start' | 'block'>) {
    draft?.texts.goTo(stop.part, stop.start, stop.block || null);
    const first = ['gap', 'sender', 'ask-open'].includes(stop.code) ? draft?.texts.firstField() : null;
    if (first) openField(first.chip, first.anchor);
  }

  const again = new MergingAgain(message, {
    merge,
    subject: () => conversation.subject(),
    keepBegun,
    failed: (failure) => (wrong = sentence(failure)),
  });

  /** The server knows a draft by what it was begun with, so it has it before anything else changes. */
  function keepBegun() {
    message.moved();
    void message.flush();
  }

  async function send() {
    if (sending) return;
    if (blanks && !(await blanks.putIn())) return;
    await message.preview.newest();
    await tick();
    const first = draft?.texts.firstField();
    if (open.length) {
      wrong = `“${open[0]}” is not filled in yet.`;
      document.querySelector<HTMLElement>('.blanks textarea')?.focus();
      return;
    }
    if (first && openField(first.chip, first.anchor)) return;
    sending = true;
    wrong = '';
    try {
      await message.flush();
      // Which of two windows counts has to be said first.
      if (message.keeping === 'elsewhere') return;
      const taken = await ask('post', '/api/messages', { body: message.asItIs() });
      const to = proof!.person;
      message.sent();
      onItsWay(taken, to.name, { kind: page.kind, id: page.id });
      onsent();
    } catch (failure) {
      if (failure instanceof Problem && ['changed-meanwhile', 'sent'].includes(failure.code)) {
        message.isElsewhere();
        return;
      }
      wrong =
        failure instanceof Problem && failure.code === 'offline'
          ? 'There is no connection to the server. The message is saved here; send it when the connection is back.'
          : (Object.values(fieldsOf(failure))[0] ?? sentence(failure));
    } finally {
      sending = false;
    }
  }

  async function leaveConversation() {
    await conversation.leave().catch((failure) => (wrong = sentence(failure)));
  }

  async function aside() {
    const mailing = message.envelope.wishes?.mailing;
    wrong = await putAside(message);
    if (wrong) return;
    onclose();
    // What is one of a mailing was written on from there.
    if (mailing) go(`/mailings/${mailing}`);
  }

  async function throwAway() {
    await discard(message);
    onclose();
  }

  $effect(() =>
    shortcuts([
      {
        key: 'Ctrl+Enter',
        label: 'Send; for some seconds u takes it back',
        always: true,
        run: () => {
          if (!writing) return;
          if (message.envelope.wishes?.mailing) void aside();
          // Where something has to be fixed, that is what is said.
          else if (message.checks().length && !toFix) asking = true;
          else void send();
        },
      },
      { key: 'Alt+n', label: 'Next note', run: () => stepNote(1), always: true },
      { key: 'Alt+N', label: 'Previous note (Alt+Shift+N)', run: () => stepNote(-1), always: true },
    ]),
  );

  void goOn();
</script>

<section class="write" aria-label="Write">
  {#if conversation.follows}
    <p class="follows">
      Follows “{conversation.follows.subject}”, in the same conversation.
      <Button quiet onclick={() => void leaveConversation()}>Start a new conversation</Button>
    </p>
  {/if}
  {#if !begun && !readDraft(key, isKeptMessage) && !wanted}
    <div hidden={writing}>
      <TemplateChooser
        {about}
        whom={{
          kind: message.envelope.kind,
          person: message.envelope.person,
          deal: message.envelope.deal,
        }}
        {ahead}
        look={(template) => message.look(template)}
        onchoose={(one, mode) => void begin(one, mode)}
        {onclose}
      />
    </div>
  {/if}
  {#if writing && message.draft && proof}
    {#if open.length}
      <BlanksForm
        bind:this={blanks}
        {open}
        onanswer={(hint, answer) => message.settle({ answers: { [hint]: answer } })}
        ondone={() => void tick().then(goToFirst)}
      />
    {/if}
    <EnvelopeLine
      bind:this={envelopeLine}
      {message}
      to={proof.person}
      {contacts}
      {onDeal}
      bind:shown={envelope}
      onaddress={(to) => {
        message.envelope.address = to;
        message.moved();
      }}
      onsender={(to) => again.after(() => (message.envelope.sender = to))}
      onperson={(to) => again.after(() => (message.envelope.person = to))}
      ondeal={(to) => again.after(() => (message.envelope.deal = to))}
      onpeople={(wishes) => again.wish(wishes)}
      onhour={(at) => again.wish({ ...message.envelope.wishes, hour: at } as Schemas['SendingWishes'])}
    />
    {#if message.templateChanged}
      <p class="follows">
        The template has been changed since this draft was begun.
        <Button quiet onclick={() => again.after(() => {})}>Use it as it is now</Button>
      </p>
    {/if}
    {#if message.hand.newer.length}
      <NewerValues {message} onnewer={(one) => void takeNewer(one, message, draft)} />
    {/if}
    {#if looking && proof.rendering}
      <div class="seen"><MessageFrame html={proof.rendering.html} title="The message" /></div>
    {/if}
    <MessageSheet
      bind:draft
      bind:layout
      {message}
      {composing}
      {proof}
      hidden={looking}
      files={envelope?.files}
      {documents}
      onchip={openField}
      onhand={(one, anchor) => (change = { change: one, anchor })}
      ongoto={goTo}
    />
    <SendRow
      {message}
      {proof}
      {sending}
      bind:looking
      bind:asking
      onsend={() => void send()}
      onaside={() => void aside()}
      ondiscard={() => void throwAway()}
      onfailed={(why) => (wrong = why)}
    />
    {#if again.asked}
      <p class="wrong" role="alert">
        The message is merged again; whatever you changed in it is lost.
        <Button quiet onclick={() => again.asked?.()}>Merge again</Button>
        <Button quiet onclick={() => (again.asked = null)}>Cancel</Button>
      </p>
    {/if}
    {#if toFix}
      <StopsList
        envelope={envelope?.stops ?? []}
        stops={message.stops}
        onenvelope={(stop) => (stop.part === 'files' ? draft?.focusFiles() : envelopeLine?.open(stop.part))}
        onshow={goTo}
      />
    {/if}
  {:else if message.preview.failed}
    <p class="wrong" role="alert">{message.preview.failed}</p>
  {/if}
  {#if wrong}<p class="wrong" role="alert">{wrong}</p>{/if}
</section>
{#if gap}
  {#key gap.anchor}
    <GapSlip
      piece={gap.piece}
      anchor={gap.anchor}
      onmessage={(path, value) => message.settle({ chosen: { [path]: value } })}
      onrecord={async () => {
        await message.people.mended();
        onfilled();
      }}
      onclose={() => (gap = null)}
    />
  {/key}
{/if}
{#if change}
  {#key change.anchor}
    <ChangeSlip
      change={change.change}
      anchor={change.anchor}
      onback={() => {
        const back = change!.change;
        change = null;
        void takeBack(back, message, draft);
      }}
      onclose={() => (change = null)}
    />
  {/key}
{/if}

<style>
  .write {
    margin-bottom: 16px;
  }

  .follows {
    margin-bottom: 6px;
    color: var(--ink-soft);
  }

  .seen {
    border: 1px solid var(--rule);
    background: #fff;
  }

  .wrong {
    margin-top: 8px;
    color: var(--stop);
  }
</style>
