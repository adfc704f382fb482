<script lang="ts">
  import { tick } from 'svelte';
  import { ask, bring, fieldsOf, sentence, type Schemas } from '../api/client';
  import RecordFinder from '../records/RecordFinder.svelte';
  import Button from '../ui/Button.svelte';
  import DropArea from '../ui/DropArea.svelte';
  import Field from '../ui/Field.svelte';
  import SmallSelect from '../ui/SmallSelect.svelte';
  import MailboxLines from './MailboxLines.svelte';
  import { isMailbox } from './mailbox';
  import type { FromMessage } from './fromMessage.svelte';

  /** The words of a message from elsewhere, pasted or from a file, and whom it was written to. */
  let { from, wrong, onlook }: { from: FromMessage; wrong: string; onlook: () => void } = $props();

  const LARGEST = 25 * 1024 * 1024;
  let chooser = $state<HTMLInputElement>();
  let fileButton = $state<HTMLButtonElement>();
  let goOn = $state<HTMLButtonElement>();
  let fault = $state('');
  let reading = $state(false);
  let mailbox = $state.raw<Schemas['Mailbox'] | null>(null);
  let opened: File | null = null;
  let to = $state.raw<string[]>([]);
  let likely = $state.raw<Schemas['LikelyPerson'][]>([]);
  let kind = $state<'contact' | 'lead'>('contact');
  let person = $state('');
  let timer: ReturnType<typeof setTimeout>;
  let run = 0;

  async function choose(files: FileList | null) {
    const file = files?.[0];
    if (!file) return;
    fault = '';
    if (await isMailbox(file)) await open(file);
    else await read(file, file.name);
  }

  /** A mailbox may be larger than any message: one of its messages is chosen first. */
  async function open(file: File) {
    reading = true;
    try {
      mailbox = await bring<Schemas['Mailbox']>('/api/templates/from-message/mailbox', file);
      opened = file;
    } catch (failure) {
      fault = Object.values(fieldsOf(failure))[0] ?? sentence(failure);
    }
    reading = false;
  }

  /** Back to the form, where a keyboard goes on with what comes next: with a message of the mailbox, or another file. */
  async function leave(one?: Schemas['MailboxMessage']) {
    const file = opened;
    mailbox = opened = null;
    if (one && file) await read(file.slice(one.start, one.end), one.subject || 'This message');
    await tick();
    (one && !fault ? goOn : fileButton)?.focus();
  }

  async function read(file: Blob, name: string) {
    if (file.size > LARGEST) {
      fault = `${name} is larger than 25 MB.`;
      return;
    }
    reading = true;
    try {
      const said = await bring<Schemas['MessageRead']>('/api/templates/from-message/file', file);
      Object.assign(from.words, { subject: said.subject, text: said.text, sent: said.sent });
      to = said.to;
      await guess();
    } catch (failure) {
      fault = Object.values(fieldsOf(failure))[0] ?? sentence(failure);
    }
    reading = false;
  }

  /** Looks whom it may have been for; whoever it went to is taken at once. */
  async function guess() {
    const mine = ++run;
    const text = from.words.text ?? '';
    if (!text.trim()) return;
    const found = await ask('post', '/api/templates/from-message/people', { body: { to, text } }).catch(
      () => [],
    );
    if (mine !== run) return;
    likely = found;
    if (to.length && found.length && !from.words.person) take(found[0]);
  }

  function take(one: Schemas['LikelyPerson']) {
    kind = one.kind === 'lead' ? 'lead' : 'contact';
    Object.assign(from.words, { kind, person: one.id, deal: null });
    person = one.name;
  }

  function typed() {
    clearTimeout(timer);
    timer = setTimeout(() => void guess(), 400);
  }
</script>

<DropArea ondropped={(files) => void choose(files)}>
  {#if mailbox}
    <MailboxLines {mailbox} onclose={() => void leave()} onchoose={(one) => void leave(one)} />
  {:else}
    <form
      onsubmit={(event) => {
        event.preventDefault();
        onlook();
      }}
    >
      <p class="says">
        Paste a message that worked, or drop an e-mail file (.eml) or a mailbox (.mbox) here. The names, days
        and amounts of whoever it was written to are found in it; fields take their places.
      </p>
      <p>
        <Button bind:element={fileButton} onclick={() => chooser?.click()}
          >{reading ? 'Reading …' : 'Choose a file'}</Button
        >
        <input
          bind:this={chooser}
          type="file"
          accept=".eml,.mbox,message/rfc822,application/mbox"
          hidden
          onchange={(event) => void choose(event.currentTarget.files)}
        />
        {#if fault}<span class="fault" role="alert">{fault}</span>{/if}
      </p>
      <Field
        label="Subject"
        value={from.words.subject ?? ''}
        oninput={(event) => (from.words.subject = event.currentTarget.value)}
      />
      <div oninput={typed}>
        <Field
          label="The message"
          lines={12}
          bind:value={() => from.words.text ?? '', (text) => (from.words.text = text)}
          error={wrong}
        />
      </div>
      <fieldset>
        <legend>Written to</legend>
        {#if likely.length}
          <ul>
            {#each likely as one (one.id)}
              <li>
                <button type="button" aria-pressed={from.words.person === one.id} onclick={() => take(one)}
                  ><b>{one.name}</b>
                  <small>{[one.company, one.why].filter(Boolean).join(', ')}</small></button
                >
              </li>
            {/each}
          </ul>
        {/if}
        <div class="who">
          {#key `${kind} ${person}`}
            <RecordFinder
              label={kind === 'lead' ? 'Lead' : 'Contact'}
              {kind}
              name={person}
              onchoose={(id, name) => {
                Object.assign(from.words, { kind: id ? kind : null, person: id || null, deal: null });
                if (id) person = name;
              }}
            />
          {/key}
          <SmallSelect
            aria-label="Contact or lead"
            value={kind}
            onchange={(event) => {
              kind = event.currentTarget.value === 'lead' ? 'lead' : 'contact';
              person = '';
              Object.assign(from.words, { kind: null, person: null, deal: null });
            }}
          >
            <option value="contact">a contact</option>
            <option value="lead">a lead</option>
          </SmallSelect>
        </div>
      </fieldset>
      <Button bind:element={goOn} main type="submit" disabled={!from.words.text?.trim()}
        >{from.words.person ? 'Find the fields' : 'Go on without a person'}</Button
      >
    </form>
  {/if}
</DropArea>

<style>
  form {
    max-width: 720px;
    padding-top: 14px;
  }

  .says {
    color: var(--ink-soft);
  }

  p {
    margin-bottom: 10px;
  }

  .fault {
    margin-left: 8px;
    color: var(--stop);
  }

  fieldset {
    margin: 0 0 12px;
    padding: 0;
    border: 0;
  }

  legend {
    padding: 0;
    color: var(--ink-soft);
    font-size: 12.5px;
  }

  ul {
    display: flex;
    flex-wrap: wrap;
    gap: 6px;
    margin: 4px 0 8px;
    padding: 0;
    list-style: none;
  }

  li button {
    min-height: 28px;
    padding: 3px 9px;
    border: 1px solid var(--edge);
    border-radius: var(--corner);
    background: none;
    color: var(--ink);
    font: 13.5px/1.3 var(--sans);
    cursor: pointer;
  }

  li button[aria-pressed='true'] {
    border-color: var(--ink);
    background: var(--chosen);
  }

  li small {
    color: var(--ink-soft);
    font-size: 12.5px;
  }

  .who :global(select) {
    align-self: start;
    margin-top: 23px;
  }

  .who {
    display: grid;
    grid-template-columns: minmax(0, 360px) max-content;
    gap: 10px;
  }
</style>
