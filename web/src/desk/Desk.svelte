<script lang="ts">
  import { searchParams } from 'sv-router';
  import { tick, untrack } from 'svelte';
  import { ask, sentence, type Schemas } from '../api/client';
  import { onChange } from '../app/changes';
  import { shortcuts } from '../app/keys.svelte';
  import { route } from '../app/router';
  import Button from '../ui/Button.svelte';
  import Choose from '../ui/Choose.svelte';
  import Field from '../ui/Field.svelte';
  import Page from '../ui/Page.svelte';
  import Slip from '../ui/Slip.svelte';
  import { notify } from '../ui/notices.svelte';
  import { timeOrDay } from '../ui/when';
  import { count, named, nowhere } from '../library/usedIn';
  import { aboutLabels, aboutOptions, type About, modeLabels } from '../library/about';
  import { Composing } from './body/composing.svelte';
  import DeskActions from './DeskActions.svelte';
  import Draft from './Draft.svelte';
  import Gutter from './Gutter.svelte';
  import { kindWords, wraps } from './kindWords';
  import ProofPane from './ProofPane.svelte';
  import { DeskState } from './deskState.svelte';
  import StyleChoice from './StyleChoice.svelte';
  import ModeChange from './ModeChange.svelte';
  import Variants from './Variants.svelte';
  import Where from './Where.svelte';

  const id = $derived(String((route.params as Record<string, string>).id ?? ''));
  let desk = $state<DeskState>(new DeskState(''));
  let composing = $state.raw(untrack(() => new Composing(desk)));
  let draft = $state<Draft>();
  let layout = $state(0);
  let naming = $state(false);
  let nameOpener = $state<HTMLButtonElement>();
  let noteAt = -1;
  let others = $state<string[]>([]);
  const STILL_HERE = 20_000;

  const all = $derived(desk.preview.proof?.notes ?? []);
  const notes = $derived(all.filter((note) => !note.waved));
  const stops = $derived(notes.filter((note) => note.level === 'STOP').length);
  const queries = $derived(notes.length - stops);
  const stages = { draft: 'not ready', ready: 'ready', changed: 'changed since it was ready' };
  const tested = $derived.by(() => {
    if (!desk.lastTest) return 'not tested';
    return desk.lastTest.version === desk.version && desk.keeping.is === 'kept'
      ? `tested ${timeOrDay(new Date(desk.lastTest.at))}`
      : 'changed since its test';
  });
  const kind = $derived(desk.draft?.kind ?? 'TEMPLATE');
  const word = $derived(kindWords[kind]);
  /** Texts that are marked ready for the templates that have them. */
  const inTemplates = $derived(kind === 'PASSAGE' || wraps(kind));
  let variants = $state.raw<Schemas['ShownVariant'][]>([]);
  let using = $state.raw(nowhere);

  $effect(() => {
    const opened = new DeskState(id);
    let begun = false;
    untrack(() => {
      desk = opened;
      composing = new Composing(opened);
      opened.preview.onproof = (read, proof) => {
        // The first proof is what the draft is drawn for.
        void tick().then(() => {
          draft?.texts.read(read, proof);
          layout++;
          // What has no subject yet has only just been begun.
          if (!begun && opened.mayChange && !read.subject) draft?.texts.focusSubject();
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
    const leaving = () => desk.keepSteps();
    window.addEventListener('online', back);
    window.addEventListener('resize', moved);
    window.addEventListener('pagehide', leaving);
    return () => {
      window.removeEventListener('pagehide', leaving);
      window.removeEventListener('online', back);
      window.removeEventListener('resize', moved);
    };
  });

  // Says that the template is on this desk, and hears who else has it on theirs.
  $effect(() => {
    const on = id;
    const here = () =>
      document.visibilityState === 'visible' &&
      void ask('post', '/api/templates/{id}/here', { params: { id: on } })
        .then(({ names }) => (others = names))
        .catch(() => undefined);
    const leave = () =>
      void ask('delete', '/api/templates/{id}/here', { params: { id: on } }).catch(() => undefined);
    here();
    const again = setInterval(here, STILL_HERE);
    const unfollow = onChange((change) => {
      if (change.id !== on) return;
      if (change.what === 'presence') here();
      else if (change.what === 'template') void desk.follow();
    });
    return () => {
      clearInterval(again);
      unfollow();
      leave();
    };
  });

  $effect(() => {
    if (!inTemplates) return;
    ask('get', '/api/templates/{id}/using', { params: { id } })
      .then((found) => (using = found))
      .catch(() => (using = nowhere));
  });

  function stepNote(way: number) {
    if (!notes.length) return;
    noteAt = (noteAt + way + notes.length) % notes.length;
    openNote(notes[noteAt]);
  }

  function openNote(note: Schemas['ShownNote']) {
    noteAt = notes.indexOf(note);
    draft?.texts.goTo(note.part, note.start, note.block);
  }

  $effect(() =>
    shortcuts([
      { key: '.', label: 'Next person in the preview', run: () => void desk.people.step(true) },
      { key: ',', label: 'Previous person in the preview', run: () => void desk.people.step(false) },
      {
        key: 'F9',
        label: 'Next person in the preview, also while writing',
        run: () => void desk.people.step(true),
        always: true,
      },
      {
        key: 'Shift+F9',
        label: 'Previous person in the preview, also while writing',
        run: () => void desk.people.step(false),
        always: true,
      },
      { key: 'F2', label: 'Next hard case', run: () => void desk.people.stepStress(1), always: true },
      {
        key: 'Shift+F2',
        label: 'Previous hard case',
        run: () => void desk.people.stepStress(-1),
        always: true,
      },
      { key: 'Alt+n', label: 'Next note', run: () => stepNote(1), always: true },
      { key: 'Alt+N', label: 'Previous note (Alt+Shift+N)', run: () => stepNote(-1), always: true },
    ]),
  );

  async function wave({ code, words }: Schemas['ShownNote'], reason: string | null) {
    try {
      await ask('post', '/api/templates/{id}/waved', { params: { id }, body: { code, words, reason } });
      desk.preview.ask();
    } catch (failure) {
      notify(sentence(failure), { stop: true });
    }
  }

  /** The draft in another mode; one step takes it back. */
  function changeMode(part: Partial<Schemas['Draft']>) {
    const { mode, design, body } = $state.snapshot(desk.draft!);
    desk.change(part, true);
    naming = false;
    notify(`It is ${modeLabels[part.mode ?? 'PLAIN']} now.`, {
      undo: async () => desk.change({ mode, design, body }, true),
    });
  }
</script>

<Page title={desk.draft?.name || '…'}>
  {#snippet heading()}
    <h1>
      <button
        bind:this={nameOpener}
        title={desk.mayChange && !wraps(kind) ? 'Change name, purpose or what it is for' : undefined}
        disabled={!desk.mayChange || wraps(kind)}
        onclick={() => (naming = !naming)}>{desk.draft?.name || '…'}</button
      >
    </h1>
    {#if desk.draft}
      <span class="crumb">
        {desk.draft.purpose ? `${desk.draft.purpose} · ` : ''}{kind === 'TEMPLATE'
          ? modeLabels[desk.draft.mode ?? 'PLAIN']
          : `a ${word}`}, for {aboutLabels[desk.draft.about]} · {stages[desk.stage]}
        {#if kind === 'MAILING' && searchParams.get('mailing')}·
          <a href="/mailings/{searchParams.get('mailing')}">back to the mailing</a>{/if}
        {#if inTemplates}· {count(using)
            ? `marking it ready changes ${named(using)}`
            : 'used nowhere yet'}{/if}
        {others.length ? ` · ${others.join(' and ')} ${others.length > 1 ? 'are' : 'is'} here too` : ''}
        {desk.mayChange ? '' : ` · owned by ${desk.template?.ownerName}: you can read and use it`}
      </span>
      {#if desk.template?.folder && kind !== 'MAILING'}<Where
          template={desk.template}
          archived={desk.archived}
          mayChange={desk.mayChange}
          onmoved={() => desk.reread()}
        />{/if}
      {#if kind === 'TEMPLATE'}<Variants {id} mayChange={desk.mayChange} bind:variants />{/if}
    {/if}
  {/snippet}
  {#snippet actions()}
    {#if desk.draft}<DeskActions {desk} {stops} />{/if}
  {/snippet}
  {#snippet foot()}
    <span role="status" class={desk.keeping.is}>
      {#if !desk.mayChange}read only
      {:else if desk.keeping.is === 'kept'}saved {timeOrDay(desk.keeping.at)}
      {:else if desk.keeping.is === 'keeping'}saving …
      {:else if desk.keeping.is === 'unkept'}not saved yet: {desk.keeping.why} Your words are safe in this browser.
      {:else}not saved: {desk.keeping.why}{/if}
    </span>
    {#if desk.keeping.is === 'conflict'}
      <Button quiet onclick={() => void desk.choose(true)}>Keep mine</Button>
      <Button quiet onclick={() => void desk.choose(false)}>Take theirs</Button>
    {/if}
    {#if desk.preview.proof}
      <span>{desk.preview.proof.words} words</span>
      {#if desk.preview.proof.rendering}<span>{Math.ceil(desk.preview.proof.rendering.bytes / 1000)} KB</span
        >{/if}
      <span class:stop={stops > 0}><b>{stops}</b> must fix</span>
      {#if queries}<span class="query"><b>{queries}</b> to check</span>{/if}
    {/if}
    {#if desk.mayChange && tested && kind === 'TEMPLATE'}<span>{tested}</span>{/if}
    <span class="keys">&#123; field · F9 next · F2 hard cases · Alt+N note · ? keys</span>
  {/snippet}
  {#if desk.failed}
    <p class="failed" role="alert">{desk.failed} <a href="/templates">Back to Templates</a></p>
  {:else if desk.draft && desk.preview.proof}
    <div class="desk">
      <div class="writing">
        <Draft
          bind:this={draft}
          {desk}
          {composing}
          {notes}
          attached={desk.attached}
          onmoved={() => layout++}
        />
        <Gutter
          notes={all}
          onwave={desk.mayChange ? (note, reason) => void wave(note, reason) : undefined}
          {layout}
          topOf={(note) => draft?.texts.topOf(note) ?? 0}
          onopen={openNote}
          onremedy={(note, name) => draft?.texts.replace(note.part, note.start, note.end, name)}
          onfix={(note, fix) => draft?.texts.replace(note.part, fix.start, fix.end, fix.text)}
        />
      </div>
      <ProofPane
        {desk}
        {composing}
        {variants}
        onword={(block, word, nth) => draft?.texts.goToWord(block, word, nth)}
        ongoto={(part, start) => draft?.texts.goTo(part, start)}
      />
    </div>
  {:else if desk.draft && desk.preview.failed}
    <p class="failed" role="alert">{desk.preview.failed}</p>
  {/if}
</Page>
{#if naming && desk.draft}
  <Slip title="About this {word}" anchor={nameOpener} onclose={() => (naming = false)}>
    {#if kind === 'TEMPLATE'}<ModeChange draft={desk.draft} onchange={changeMode} />{/if}
    {#if kind === 'TEMPLATE'}<StyleChoice
        draft={desk.draft}
        {composing}
        onchange={(part) => desk.change(part)}
      />{/if}
    <Field
      label="Name for colleagues"
      value={desk.draft.name}
      oninput={(event: Event) => desk.change({ name: (event.target as HTMLInputElement).value })}
      error={desk.draft.name.trim() ? '' : `A ${word} needs a name.`}
    />
    <Field
      label="Purpose"
      value={desk.draft.purpose}
      oninput={(event: Event) => desk.change({ purpose: (event.target as HTMLInputElement).value })}
    />
    <Choose
      label="It is for"
      value={desk.draft.about}
      options={aboutOptions}
      onchange={(code) => desk.change({ about: code as About })}
    />
  </Slip>
{/if}

<style>
  /* What is said of it gives way before its name. */
  h1 {
    flex-shrink: 0.1;
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
