<script lang="ts">
  import { tick, untrack } from 'svelte';
  import { ask, sentence, type Schemas } from '../api/client';
  import { shortcuts } from '../app/keys.svelte';
  import { go, route } from '../app/router';
  import Button from '../ui/Button.svelte';
  import Choose from '../ui/Choose.svelte';
  import Field from '../ui/Field.svelte';
  import Page from '../ui/Page.svelte';
  import Slip from '../ui/Slip.svelte';
  import { notify } from '../ui/notices.svelte';
  import { timeOrDay } from '../ui/when';
  import { aboutLabels, aboutOptions, type About, modeLabels } from '../library/about';
  import ChipSlip from './ChipSlip.svelte';
  import ChoiceSlip from './ChoiceSlip.svelte';
  import DraftField from './DraftField.svelte';
  import Gutter from './Gutter.svelte';
  import ProofPane from './ProofPane.svelte';
  import { DeskState } from './deskState.svelte';
  import { isMark, type Chip } from './draftText';
  import BlockWords from './BlockWords.svelte';
  import Dress from './Dress.svelte';
  import ModeChange from './ModeChange.svelte';
  import { withWords, wordsAt } from './designWords';
  import { branchChip, otherwiseChip } from './finding';

  type Part = Schemas['ShownNote']['part'];
  type Slot = Schemas['ShownSlot'];
  const id = $derived(String((route.params as Record<string, string>).id ?? ''));
  let desk = $state<DeskState>(new DeskState(''));
  /** The texts on the desk: subject, preview text, and the body, or each string of its design by its key. */
  const texts: Record<string, DraftField | undefined> = {};
  let layout = $state(0);
  let chip = $state<{ chip: Chip; key: string; at: number; anchor: HTMLElement } | null>(null);
  let naming = $state(false);
  let nameOpener = $state<HTMLButtonElement>();
  let noteAt = -1;

  const notes = $derived(desk.proof?.notes ?? []);
  const stops = $derived(notes.filter((note) => note.level === 'STOP').length);
  const queries = $derived(notes.length - stops);

  const designed = $derived(!!desk.draft?.mode && desk.draft.mode !== 'PLAIN');
  const blocks = $derived(desk.proof?.rendering?.blocks ?? []);
  const slots = $derived(blocks.flatMap((block) => block.slots).toSorted((a, b) => a.start - b.start));

  /** The text that a place of a part lies in, and where that text begins. */
  function spot(part: Part, at: number): { key: string; from: number } {
    if (part !== 'BODY' || !designed) return { key: part, from: 0 };
    const slot = slots.findLast((one) => one.start <= at);
    return { key: slot?.key ?? '', from: slot?.start ?? 0 };
  }

  function goTo(part: Part, at: number) {
    const { key, from } = spot(part, at);
    texts[key]?.goTo(at - from);
  }

  function replace(part: Part, start: number, end: number, words: string) {
    const { key, from } = spot(part, start);
    texts[key]?.replaceSource(start - from, end - from, words);
    return texts[key];
  }

  /** What of a proof belongs to one string of a design, counted from where it begins. */
  function within<T extends { start: number; end: number }>(all: T[], slot: Slot): T[] {
    return all
      .filter((one) => one.start >= slot.start && one.end <= slot.end)
      .map((one) => ({ ...one, start: one.start - slot.start, end: one.end - slot.start }));
  }

  function chipDesign(design: string, proof: Schemas['ShownProof']) {
    for (const slot of proof.rendering?.blocks.flatMap((block) => block.slots) ?? []) {
      texts[slot.key]?.chipUp(wordsAt(design, slot.key), within(proof.body.chips, slot));
    }
  }

  $effect(() => {
    const opened = new DeskState(id);
    let begun = false;
    untrack(() => {
      desk = opened;
      opened.onproof = (draft, proof) => {
        texts.SUBJECT?.chipUp(draft.subject, proof.subject.chips);
        texts.PREVIEW_TEXT?.chipUp(draft.previewText, proof.previewText.chips);
        if (draft.mode === 'PLAIN') texts.BODY?.chipUp(draft.body, proof.body.chips);
        else chipDesign(draft.design ?? '', proof);
        void tick().then(() => {
          layout++;
          if (!begun && opened.mayChange && !draft.subject && !draft.body) texts.SUBJECT?.focus();
          begun = true;
        });
      };
      void opened.open();
    });
    return () => opened.close();
  });

  $effect(() => {
    const back = () => desk.reconnected();
    const moved = () => layout++;
    window.addEventListener('online', back);
    window.addEventListener('resize', moved);
    return () => {
      window.removeEventListener('online', back);
      window.removeEventListener('resize', moved);
    };
  });

  function stepNote(way: number) {
    if (!notes.length) return;
    noteAt = (noteAt + way + notes.length) % notes.length;
    openNote(notes[noteAt]);
  }

  function openNote(note: Schemas['ShownNote']) {
    noteAt = notes.indexOf(note);
    goTo(note.part, note.start);
  }

  /**
   * Changes the chip that a slip was opened for, even when the slip has been closed before the answer came; while it is
   * open it stays beside its chip.
   */
  function changer(opened: NonNullable<typeof chip>): (changed: Chip) => void {
    const { key, at } = opened;
    return (changed) => {
      const anchor = texts[key]?.replaceChip(at, changed);
      if (chip?.key === key && chip.at === at) {
        chip = { ...chip, chip: changed, anchor: anchor ?? chip.anchor };
      }
    };
  }

  /** A branch like the first one a new choice has, until the writer says when it prints. */
  function anotherBranch(): Chip {
    const first = desk.fields[0];
    return branchChip(false, `${first?.path ?? 'today'} is filled`, `${first?.label ?? 'Today'} is filled`);
  }

  /** Puts a near name in the place of one that leads nowhere. */
  function remedy(note: Schemas['ShownNote'], name: string) {
    replace(note.part, note.start, note.end, name);
  }

  $effect(() =>
    shortcuts([
      { key: '.', label: 'Next proof person', run: () => void desk.step(true) },
      { key: ',', label: 'Previous proof person', run: () => void desk.step(false) },
      {
        key: 'F9',
        label: 'Next proof person, also while writing',
        run: () => void desk.step(true),
        always: true,
      },
      {
        key: 'Shift+F9',
        label: 'Previous proof person, also while writing',
        run: () => void desk.step(false),
        always: true,
      },
      { key: 'F2', label: 'Next stress proof', run: () => void desk.stepStress(1), always: true },
      { key: 'Shift+F2', label: 'Previous stress proof', run: () => void desk.stepStress(-1), always: true },
      { key: 'F8', label: 'Next note', run: () => stepNote(1), always: true },
      { key: 'Shift+F8', label: 'Previous note', run: () => stepNote(-1), always: true },
    ]),
  );

  /** The draft in another mode; one step takes it back. */
  function changeMode(part: Partial<Schemas['Draft']>) {
    const { mode, design, body } = $state.snapshot(desk.draft!);
    desk.replace(part);
    naming = false;
    notify(`It is ${modeLabels[part.mode ?? 'PLAIN']} now.`, {
      undo: async () => desk.replace({ mode, design, body }),
    });
  }

  async function duplicate() {
    try {
      const made = await ask('post', '/api/templates/{id}/duplicate', { params: { id } });
      go(`/templates/${made.template.id}`);
    } catch (failure) {
      notify(sentence(failure), { stop: true });
    }
  }

  async function remove() {
    const name = desk.draft?.name;
    try {
      await ask('delete', '/api/templates/{id}', { params: { id } });
      go('/templates');
      notify(`“${name}” is deleted.`, {
        undo: async () => {
          await ask('post', '/api/templates/{id}/restore', { params: { id } });
        },
      });
    } catch (failure) {
      notify(sentence(failure), { stop: true });
    }
  }
</script>

{#snippet part(which: Part, label: string, oneLine: boolean, placeholder: string)}
  {@const key = which === 'SUBJECT' ? 'subject' : which === 'PREVIEW_TEXT' ? 'previewText' : 'body'}
  {@const shown = desk.proof![key]}
  {@const source = desk.draft![key]}
  {#snippet made(register: (one: DraftField | undefined) => void)}
    <DraftField
      bind:this={() => undefined, (one: DraftField | undefined) => register(one)}
      {label}
      {source}
      chips={untrack(() => shown.chips)}
      fields={desk.fields}
      about={desk.draft!.about}
      filled={desk.filled}
      notes={notes.filter((note) => note.part === which)}
      {oneLine}
      {placeholder}
      editable={desk.mayChange}
      onchange={(next) => {
        if (next === desk.draft?.[key]) return;
        desk.change({ [key]: next });
        layout++;
      }}
      onchip={(one, at, anchor) => (chip = { chip: one, key: which, at, anchor })}
    />
  {/snippet}
  {@render made((one) => (texts[which] = one))}
{/snippet}

{#snippet string(slot: Slot, label: string)}
  {@const key = slot.key}
  <DraftField
    bind:this={() => undefined, (one: DraftField | undefined) => (texts[key] = one)}
    {label}
    source={untrack(() => wordsAt(desk.draft?.design ?? '', key))}
    chips={untrack(() => within(desk.proof!.body.chips, slot))}
    fields={desk.fields}
    about={desk.draft!.about}
    filled={desk.filled}
    notes={within(
      notes.filter((note) => note.part === 'BODY'),
      slot,
    )}
    oneLine={!/\/\d+\.\d+$/.test(key)}
    editable={desk.mayChange}
    onchange={(next) => {
      const design = desk.draft?.design ?? '';
      if (next === wordsAt(design, key)) return;
      desk.change({ design: withWords(design, key, next) });
      layout++;
    }}
    onchip={(one, at, anchor) => (chip = { chip: one, key, at, anchor })}
  />
{/snippet}

<Page title={desk.draft?.name || '…'}>
  {#snippet heading()}
    <h1>
      <button
        bind:this={nameOpener}
        title={desk.mayChange ? 'Change name, purpose or what it is about' : undefined}
        disabled={!desk.mayChange}
        onclick={() => (naming = !naming)}>{desk.draft?.name || '…'}</button
      >
    </h1>
    {#if desk.draft}
      <span class="crumb">
        {desk.draft.purpose ? `${desk.draft.purpose} · ` : ''}{modeLabels[desk.draft.mode ?? 'PLAIN']}, about {aboutLabels[
          desk.draft.about
        ]}
        {desk.mayChange ? '' : ` · kept by ${desk.template?.ownerName}, so you can read it and use it`}
      </span>
    {/if}
  {/snippet}
  {#snippet actions()}
    {#if desk.draft}
      <Button onclick={() => void duplicate()}>Duplicate</Button>
      {#if desk.mayChange}<Button danger onclick={() => void remove()}>Delete template</Button>{/if}
    {/if}
  {/snippet}
  {#snippet foot()}
    <span role="status" class={desk.keeping.is}>
      {#if !desk.mayChange}read only
      {:else if desk.keeping.is === 'kept'}kept {timeOrDay(desk.keeping.at)}
      {:else if desk.keeping.is === 'keeping'}keeping …
      {:else if desk.keeping.is === 'unkept'}not kept yet: {desk.keeping.why} Your words are safe in this browser.
      {:else}not kept: {desk.keeping.why}{/if}
    </span>
    {#if desk.keeping.is === 'conflict'}
      <Button quiet onclick={() => void desk.keepMine()}>Keep mine</Button>
      <Button quiet onclick={() => void desk.takeTheirs()}>Take theirs</Button>
    {/if}
    {#if desk.proof}
      <span>{desk.proof.words} words</span>
      {#if desk.proof.rendering}<span>{Math.ceil(desk.proof.rendering.bytes / 1000)} KB</span>{/if}
      <span class:stop={stops > 0}><b>{stops}</b> {stops === 1 ? 'stop' : 'stops'}</span>
      {#if queries}<span class="query"><b>{queries}</b> {queries === 1 ? 'query' : 'queries'}</span>{/if}
    {/if}
    <span class="keys">&#123; field · F9 next person · F2 stress proofs · F8 next note · ? keys</span>
  {/snippet}
  {#if desk.failed}
    <p class="failed" role="alert">{desk.failed} <a href="/templates">Back to Templates</a></p>
  {:else if desk.draft && desk.proof}
    <div class="desk">
      <div class="writing">
        <section class="draft" aria-label="Draft">
          {#key desk.generation}
            <div class="line">
              <span aria-hidden="true">Subject</span>
              {@render part('SUBJECT', 'Subject', true, 'what it is about, in a line')}
            </div>
            <div class="line">
              <span aria-hidden="true">Preview text</span>
              {@render part('PREVIEW_TEXT', 'Preview text', true, 'the grey text after the subject')}
            </div>
            <div class="sheet">
              {#if designed}
                <BlockWords {blocks} design={desk.draft.design ?? ''} text={string} />
              {:else}
                {@render part('BODY', 'Text', false, 'Write the message. Type { to put in a field.')}
              {/if}
            </div>
          {/key}
        </section>
        <Gutter
          {notes}
          {layout}
          topOf={(note) => {
            const { key, from } = spot(note.part, note.start);
            return texts[key]?.topOf(note.start - from) ?? 0;
          }}
          onopen={openNote}
          onremedy={remedy}
          onfix={(note, fix) => {
            replace(note.part, fix.start, fix.end, fix.text)?.focus();
          }}
        />
      </div>
      <ProofPane {desk} ongoto={goTo} />
    </div>
  {:else if desk.draft && desk.proofFailed}
    <p class="failed" role="alert">{desk.proofFailed}</p>
  {/if}
</Page>
{#if chip && isMark(chip.chip) && desk.draft}
  {@const open = chip}
  {@const marks = texts[open.key]?.choice(open.at) ?? []}
  {@const end = marks.at(-1)}
  {@const last = marks.at(-2)}
  {#key `${open.key} ${open.at}`}
    <ChoiceSlip
      chip={open.chip}
      anchor={open.anchor}
      about={desk.draft.about}
      fields={desk.fields}
      editable={desk.mayChange}
      hasOtherwise={last !== undefined && last.chip.role === 'OTHERWISE' && !last.chip.label}
      onchanged={changer(open)}
      onbranch={() => {
        const before = last && last.chip.role === 'OTHERWISE' && !last.chip.label ? last : end;
        if (before) texts[open.key]?.addBranch(before.position, anotherBranch());
        chip = null;
      }}
      onotherwise={() => {
        if (end) texts[open.key]?.addBranch(end.position, otherwiseChip());
        chip = null;
      }}
      onremovebranch={() => {
        texts[open.key]?.removeBranch(open.at);
        chip = null;
      }}
      onremove={(keepWords) => {
        texts[open.key]?.removeChoice(open.at, keepWords);
        chip = null;
      }}
      onclose={() => (chip = null)}
    />
  {/key}
{:else if chip && desk.draft && desk.proof}
  {@const open = chip}
  <ChipSlip
    chip={open.chip}
    anchor={open.anchor}
    about={desk.draft.about}
    kind={desk.proof.person.kind}
    fields={desk.fields}
    personName={desk.proof.person.name}
    editable={desk.mayChange}
    onchanged={changer(open)}
    onmended={() => void desk.mended()}
    onremove={() => {
      texts[open.key]?.removeChip(open.at);
      chip = null;
    }}
    onclose={() => (chip = null)}
  />
{/if}
{#if naming && desk.draft}
  <Slip title="About this template" anchor={nameOpener} onclose={() => (naming = false)}>
    <ModeChange draft={desk.draft} onchange={changeMode} />
    {#if designed}<Dress draft={desk.draft} onchange={(part) => desk.change(part)} />{/if}
    <Field
      label="Name for colleagues"
      value={desk.draft.name}
      oninput={(event: Event) => desk.change({ name: (event.target as HTMLInputElement).value })}
      error={desk.draft.name.trim() ? '' : 'A template needs a name.'}
    />
    <Field
      label="Purpose"
      value={desk.draft.purpose}
      oninput={(event: Event) => desk.change({ purpose: (event.target as HTMLInputElement).value })}
    />
    <Choose
      label="It is about"
      value={desk.draft.about}
      options={aboutOptions}
      onchange={(code) => desk.change({ about: code as About })}
    />
  </Slip>
{/if}

<style>
  h1 {
    min-width: 0;
  }

  h1 button {
    max-width: 100%;
    padding: 0;
    overflow: hidden;
    border: 0;
    background: none;
    color: var(--ink);
    font: 500 21px/1.3 var(--serif);
    text-overflow: ellipsis;
    cursor: pointer;
  }

  h1 button:disabled {
    cursor: default;
  }

  h1 button:hover:not(:disabled) {
    text-decoration: underline dotted;
  }

  .crumb {
    min-width: 0;
    overflow: hidden;
    color: var(--ink-soft);
    font-size: 13px;
    text-overflow: ellipsis;
  }

  .failed {
    padding: 20px;
  }

  .desk {
    display: grid;
    position: relative;
    grid-template-columns: minmax(0, 730fr) minmax(0, 462fr);
    height: 100%;
  }

  .writing {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 178px;
    min-height: 0;
    overflow: hidden auto;
  }

  .draft {
    padding: 14px 20px 40px;
  }

  .line {
    display: grid;
    grid-template-columns: 84px minmax(0, 1fr);
    align-items: baseline;
    padding: 4px 0;
    border-bottom: 1px solid var(--rule-soft);
  }

  .line > span {
    color: var(--ink-soft);
    font-size: 13px;
  }

  .sheet {
    min-height: 420px;
    margin-top: 14px;
    padding: 14px 22px 30px;
    border: 1px solid var(--rule);
    background: var(--sheet);
    font-size: 15px;
  }

  .keys {
    margin-left: auto;
  }

  b {
    font-weight: 600;
  }

  .stop,
  .wrong,
  .conflict {
    color: var(--stop);
  }

  .query,
  .unkept {
    color: var(--query);
  }

  @media (width <= 1100px) {
    .writing {
      grid-template-columns: minmax(0, 1fr) 140px;
    }
  }

  @media (width <= 700px) {
    .desk,
    .writing {
      display: block;
      height: auto;
      overflow: visible;
    }
  }
</style>
