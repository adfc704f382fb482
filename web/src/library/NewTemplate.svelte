<script lang="ts">
  import { tick } from 'svelte';
  import { ask, fieldsOf, sentence, type Schemas } from '../api/client';
  import { shortcuts } from '../app/keys.svelte';
  import { go } from '../app/router';
  import Button from '../ui/Button.svelte';
  import Choose from '../ui/Choose.svelte';
  import Field from '../ui/Field.svelte';
  import Find from '../ui/Find.svelte';
  import type { Way } from '../ui/MessageFrame.svelte';
  import Page from '../ui/Page.svelte';
  import Slip from '../ui/Slip.svelte';
  import ViewSwitch from '../ui/ViewSwitch.svelte';
  import { notify } from '../ui/notices.svelte';
  import { proofOf } from '../desk/proofOf';
  import BringHtml from './BringHtml.svelte';
  import DesignPreview from './DesignPreview.svelte';
  import { EMPTY } from './emptyDesigns';
  import { LOOKS } from './looks';
  import { cleaned, starterOf, type Brought } from './brought';
  import { aboutLabels, aboutOptions, modeLabels, type About } from './about';

  /** Beginning a template: designs to start from on the left, the chosen one merged for somebody real on the right. */
  type Starter = Schemas['Starter'];
  type Mode = NonNullable<Schemas['Draft']['mode']>;
  let starters = $state<Starter[]>([]);
  let failed = $state('');
  let words = $state('');
  let mode = $state<Mode | 'any'>('any');
  let at = $state('');
  let way = $state<Way>('wide');
  let proof = $state<Schemas['ShownProof'] | null>(null);
  let naming = $state(false);
  let opener = $state<HTMLButtonElement>();
  let name = $state('');
  let purpose = $state('');
  let about = $state<About>('CONTACT');
  let wrong = $state<Record<string, string>>({});
  let run = 0;
  let preview = $state<HTMLElement>();
  let bringing = $state(false);
  let bringer = $state<HTMLButtonElement>();
  /** What was imported, and the design to begin with that it makes. */
  let brought = $state.raw<Brought | null>(null);
  let starter = $state.raw<Starter | null>(null);
  /** The fields that take the places of codes in it. */
  let given: Record<string, string> = {};

  const found = $derived(
    [...(starter ? [starter] : []), ...starters].filter(
      (one) =>
        (mode === 'any' || one.draft.mode === mode) &&
        words
          .toLowerCase()
          .split(/\s+/)
          .every((word) =>
            `${one.draft.name} ${one.draft.purpose} ${one.description}`.toLowerCase().includes(word),
          ),
    ),
  );
  const chosen = $derived(found.find((one) => one.name === at) ?? found[0]);

  const empty = $derived(EMPTY.some((one) => one.name === chosen?.name));

  async function read() {
    try {
      starters = [...EMPTY, ...(await ask('get', '/api/templates/starters'))];
      failed = '';
      // The keys of the list work at once, unless somebody is typing already.
      await tick();
      if (document.activeElement === document.body) goTo(chosen);
    } catch (failure) {
      failed = sentence(failure);
    }
  }

  function take(one: Brought) {
    brought = one;
    starter = starterOf(one);
    mode = 'any';
    words = '';
    at = starter.name;
    bringing = false;
    // On a narrow page it stands below all designs.
    void tick().then(() => preview?.scrollIntoView({ block: 'nearest' }));
  }

  async function putFields(fields: Record<string, string>) {
    if (!brought) return;
    try {
      // What has taken the place of a code before stays there.
      given = { ...given, ...fields };
      take(await cleaned(brought, given));
    } catch (failure) {
      notify(sentence(failure), { stop: true });
    }
  }

  /** Merged for the first person it could go to. */
  async function prove(starter: Starter) {
    const mine = ++run;
    const { draft } = starter;
    try {
      const { person } = await ask('get', '/api/desk/people/step', {
        query: { about: draft.about, forward: true },
      });
      const kind = person.kind as 'contact' | 'lead';
      const made = await proofOf(draft, null, { kind, id: person.id, deal: person.dealId ?? null });
      if (mine === run) proof = made;
    } catch {
      // The design can be started with all the same.
      if (mine === run) proof = null;
    }
  }

  $effect(() => {
    if (chosen) void prove(chosen);
  });

  function begin() {
    name = empty ? '' : chosen.draft.name;
    purpose = chosen.draft.purpose;
    about = chosen.draft.about;
    wrong = {};
    naming = true;
  }

  async function add(event: SubmitEvent) {
    event.preventDefault();
    try {
      const body = { ...$state.snapshot(chosen.draft), name, purpose, about } as Schemas['Draft'];
      const made = await ask('post', '/api/templates', { body });
      go(`/templates/${made.template.id}`);
    } catch (failure) {
      wrong = fieldsOf(failure);
      if (!Object.keys(wrong).length) wrong = { name: sentence(failure) };
    }
  }

  /** Chooses a design and brings the focus to it. */
  function goTo(design: Starter | undefined) {
    if (!design) return;
    at = design.name;
    document.getElementById(`design-${design.name}`)?.focus();
  }

  function onkeydown(event: KeyboardEvent) {
    const step = { ArrowDown: 1, ArrowUp: -1 }[event.key];
    if (!chosen || (!step && event.key !== 'Enter')) return;
    event.preventDefault();
    if (step) goTo(found[(found.indexOf(chosen) + step + found.length) % found.length]);
    else begin();
  }

  $effect(() =>
    shortcuts([
      {
        key: 'm',
        label: 'On a wide screen, a phone, as plain text',
        run: () => (way = LOOKS[(LOOKS.indexOf(way) + 1) % LOOKS.length]),
      },
    ]),
  );
  void read();
</script>

<Page title="New template">
  {#snippet actions()}
    <ViewSwitch
      label="What it is written as"
      ways={['any', 'LETTER', 'DESIGNED', 'PLAIN'] as const}
      names={modeLabels}
      bind:way={mode}
    />
    <Button onclick={() => go('/templates/from-message')}>From a message</Button>
    <Button bind:element={bringer} aria-expanded={bringing} onclick={() => (bringing = !bringing)}
      >Import</Button
    >
    <Find label="Find a design" bind:value={words} onfind={() => undefined} oninto={() => goTo(found[0])} />
    <Button main bind:element={opener} disabled={!chosen} onclick={begin}>Start with this one</Button>
  {/snippet}
  {#snippet foot()}
    <span aria-live="polite">{found.length} design{found.length === 1 ? '' : 's'}</span>
    <span class="keys">↑ ↓ next design · Enter begin · m how it is looked at · ? keys</span>
  {/snippet}
  {#if failed}
    <p class="said" role="alert">{failed} <Button quiet onclick={() => void read()}>Try again</Button></p>
  {:else}
    <div class="two">
      <!-- svelte-ignore a11y_no_noninteractive_element_interactions -->
      <ul {onkeydown}>
        {#each found as one (one.name)}
          <li>
            <button
              id="design-{one.name}"
              aria-pressed={chosen === one}
              onclick={() => (at = one.name)}
              ondblclick={begin}
            >
              <b>{one.draft.name}</b>
              <small
                >{[
                  one.draft.purpose,
                  modeLabels[one.draft.mode ?? 'PLAIN'],
                  `for ${aboutLabels[one.draft.about]}`,
                ]
                  .filter(Boolean)
                  .join(' · ')}</small
              >
              <span>{one.description}</span>
            </button>
          </li>
        {:else}
          <li class="said">No design matches.</li>
        {/each}
      </ul>
      <section bind:this={preview} aria-label="Preview of the design">
        {#if proof && chosen}
          <DesignPreview
            {proof}
            name={chosen.draft.name}
            brought={chosen === starter ? brought : null}
            onput={putFields}
            bind:way
          />
        {/if}
      </section>
    </div>
  {/if}
</Page>
{#if naming && chosen}
  <Slip
    title="Start with “{chosen.draft.name}”"
    anchor={opener}
    placement="bottom-end"
    onclose={() => (naming = false)}
  >
    <form onsubmit={add}>
      <Field label="Name for colleagues" required bind:value={name} error={wrong.name} />
      {#if empty}
        <Choose
          label="It is for"
          value={about}
          options={aboutOptions}
          onchange={(code) => (about = code as About)}
        />
      {/if}
      <Field
        label="Purpose"
        placeholder="After a call, Quotes …"
        bind:value={purpose}
        error={wrong.purpose}
      />
      <Button main type="submit">Create template</Button>
    </form>
  </Slip>
{/if}

{#if bringing}<BringHtml
    anchor={bringer}
    ontaken={(one) => {
      given = {};
      take(one);
    }}
    onclose={() => (bringing = false)}
  />{/if}

<style>
  .two {
    display: grid;
    grid-template-columns: minmax(0, 470px) minmax(0, 1fr);
    height: 100%;
  }

  ul {
    min-height: 0;
    margin: 0;
    padding: 0;
    overflow: auto;
    list-style: none;
  }

  li {
    border-bottom: 1px solid var(--rule-soft);
  }

  li button {
    display: grid;
    grid-template-columns: max-content minmax(0, 1fr);
    gap: 0 10px;
    width: 100%;
    padding: 7px 20px;
    border: 0;
    border-left: 3px solid transparent;
    background: none;
    color: var(--ink);
    font: inherit;
    text-align: left;
    cursor: pointer;
  }

  li button[aria-pressed='true'] {
    border-color: var(--ink);
    background: var(--sheet);
  }

  li b {
    font: 500 16px/1.3 var(--serif);
  }

  li small {
    align-self: baseline;
    overflow: hidden;
    color: var(--ink-soft);
    font-size: 12.5px;
    text-overflow: ellipsis;
    white-space: nowrap;
  }

  li span {
    grid-column: 1 / -1;
    color: var(--ink-soft);
    font-size: 13px;
  }

  section {
    min-height: 0;
    padding: 12px 20px 30px;
    overflow: auto;
    background: var(--shade);
  }

  .said {
    padding: 20px;
  }

  .keys {
    margin-left: auto;
  }

  @media (width <= 800px) {
    .two {
      display: block;
      height: auto;
    }
  }
</style>
