<script lang="ts">
  import { ask, sentence, type Schemas } from '../api/client';
  import { shortcuts } from '../app/keys.svelte';
  import { go } from '../app/router';
  import DeleteTemplate from '../library/DeleteTemplate.svelte';
  import { draftsBegun, type DraftsBegun } from '../library/draftsBegun';
  import InItsPlace from '../library/InItsPlace.svelte';
  import TextLook from '../library/TextLook.svelte';
  import { isUsed, ofText } from '../library/inItsPlace';
  import Button from '../ui/Button.svelte';
  import Slip from '../ui/Slip.svelte';
  import { notify } from '../ui/notices.svelte';
  import type { DeskState } from './deskState.svelte';
  import { kindWords, placeOf } from './kindWords';
  import ReadySlip from './ReadySlip.svelte';
  import TestSlip from './TestSlip.svelte';

  /** What can be done with the template as a whole. */
  let { desk, stops }: { desk: DeskState; stops: number } = $props();

  let testing = $state(false);
  /** Whether it was to be deleted, and is a passage or signature in use. */
  let used = $state(false);
  let tester = $state<HTMLButtonElement>();
  let more = $state(false);
  let opener = $state<HTMLButtonElement>();
  const id = $derived(desk.id);
  const kind = $derived(desk.draft?.kind ?? 'TEMPLATE');
  const word = $derived(kindWords[kind]);
  const ready = $derived(desk.stage === 'ready');
  let change = $state<Schemas['TemplatesChange'] | null>(null);
  let marker = $state<HTMLButtonElement>();

  $effect(() =>
    shortcuts([
      { key: 'Ctrl+Enter', label: 'Send a test', run: () => (testing = kind === 'TEMPLATE'), always: true },
    ]),
  );

  /** Others' templates are shown before and after first, where any would change. */
  async function askReady() {
    try {
      if (kind !== 'TEMPLATE' && kind !== 'SIGNATURE') {
        await desk.flush();
        const found = await ask('get', '/api/desk/templates/{id}/change', { params: { id } });
        if (found.templates) {
          change = found;
          return;
        }
      }
      await markReady();
    } catch (failure) {
      notify(sentence(failure), { stop: true });
    }
  }

  async function markReady() {
    change = null;
    try {
      const version = await desk.flush();
      await ask('post', '/api/templates/{id}/ready', { params: { id }, body: { version } });
      await desk.reread();
      notify(
        kind === 'TEMPLATE'
          ? 'Marked ready. Colleagues use it as it is now.'
          : `It is ready. Every message with this ${word} says it from now on.`,
      );
    } catch (failure) {
      notify(sentence(failure), { stop: true });
    }
  }

  async function duplicate() {
    try {
      const made = await ask('post', '/api/templates/{id}/duplicate', { params: { id } });
      go(`/templates/${made.template.id}`);
    } catch (failure) {
      notify(sentence(failure), { stop: true });
    }
  }

  /** It was deleted; says so, and what else has changed with it. */
  function gone(besides = '', undo = async () => {}) {
    const name = desk.draft?.name;
    go(placeOf(kind));
    notify(`“${name}” is deleted.${besides}`, {
      undo: async () => {
        await ask('post', '/api/templates/{id}/restore', { params: { id } });
        await undo();
      },
    });
  }

  /** Drafts that were begun from a template that is to be deleted. */
  let begun = $state.raw<DraftsBegun | null>(null);

  async function remove() {
    try {
      begun = kind === 'TEMPLATE' ? await draftsBegun(id) : null;
      more = false;
      if (begun) return;
      await ask('delete', '/api/templates/{id}', { params: { id } });
      gone();
    } catch (failure) {
      if ((kind === 'PASSAGE' || kind === 'SIGNATURE') && isUsed(failure)) {
        more = false;
        used = true;
      } else notify(sentence(failure), { stop: true });
    }
  }

  function empty() {
    more = false;
    const { subject, previewText, body, design } = desk.draft!;
    desk.change(
      {
        subject: '',
        previewText: '',
        body: '',
        design: design ? JSON.stringify({ version: 1, bands: [] }) : '',
      },
      true,
    );
    notify('The text is cleared.', {
      undo: async () => desk.change({ subject, previewText, body, design }, true),
    });
  }
</script>

<Button bind:element={opener} aria-expanded={more} onclick={() => (more = !more)}>More</Button>
{#if desk.mayChange}
  {#if kind === 'TEMPLATE'}
    <Button bind:element={tester} title="Ctrl+Enter" onclick={() => (testing = !testing)}>Send a test</Button>
  {/if}
  <Button
    bind:element={marker}
    main
    disabled={ready || stops > 0}
    title={stops ? 'Fix what must be fixed first' : 'Colleagues use it as it is now'}
    onclick={() => void askReady()}>{ready ? 'Ready' : 'Mark ready'}</Button
  >
{/if}
{#if change}
  <ReadySlip
    {word}
    {change}
    anchor={marker}
    onready={() => void markReady()}
    onclose={() => (change = null)}
  />
{/if}
{#if testing}<TestSlip {desk} anchor={tester} onclose={() => (testing = false)} />{/if}
{#if used}
  <InItsPlace
    exchange={ofText(id, kind === 'SIGNATURE' ? kind : 'PASSAGE')}
    anchor={opener}
    onclose={() => (used = false)}
    onexchanged={(said) => {
      used = false;
      gone(said);
    }}
  >
    {#snippet look(one: string)}<TextLook id={one} />{/snippet}
  </InItsPlace>
{/if}
{#if begun}
  <DeleteTemplate
    template={{ id, name: desk.draft?.name ?? '' }}
    {begun}
    anchor={opener}
    ondeleted={gone}
    onclose={() => (begun = null)}
  />
{/if}
{#if more}
  <Slip title="This {word}" anchor={opener} placement="bottom-end" onclose={() => (more = false)}>
    <p class="ways">
      <a href="/templates/{id}/versions">Versions</a>
      <Button quiet onclick={() => void duplicate()}>Duplicate</Button>
      {#if desk.mayChange}
        <Button quiet onclick={empty}>Clear the text</Button>
        <Button quiet onclick={() => void remove()}>Delete {word}</Button>
      {/if}
    </p>
  </Slip>
{/if}

<style>
  .ways {
    display: grid;
    gap: 2px;
    justify-items: start;
    margin-left: -6px;
  }

  a {
    padding: 3px 6px;
    color: var(--ink);
    font-weight: 600;
    text-decoration: underline 1px;
    text-underline-offset: 3px;
  }
</style>
