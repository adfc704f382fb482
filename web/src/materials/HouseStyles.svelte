<script lang="ts">
  import { ask, fieldsOf, sentence, type Schemas } from '../api/client';
  import { isEditor } from '../app/session.svelte';
  import Button from '../ui/Button.svelte';
  import TemplatesChange from '../desk/TemplatesChange.svelte';
  import FolderOf from './FolderOf.svelte';
  import NamedColleagues from './NamedColleagues.svelte';
  import { mayChangeIn, type Folder } from '../library/folders';
  import { notify } from '../ui/notices.svelte';
  import StyleFields from './StyleFields.svelte';
  import type { Look } from './styleLook';

  /** The house styles; the one that is open with what a change of it does to the templates that have it. */
  type Style = Schemas['ShownStyle'];
  let styles = $state<Style[]>([]);
  let folders = $state.raw<Folder[]>([]);
  let at = $state('');
  let look = $state<Look | null>(null);
  let change = $state<Schemas['TemplatesChange'] | null>(null);
  let wrong = $state('');
  let asked = 0;
  let timer: ReturnType<typeof setTimeout>;

  const open = $derived(styles.find((one) => one.id === at) ?? styles[0]);
  /** Editors and administrators also add styles, choose the default, and name who else changes one. */
  const editor = isEditor();
  const mayChange = $derived(open?.mayChange ?? false);
  let naming = $state<HTMLElement | null>(null);
  const changed = $derived(
    !!look && !!open && JSON.stringify(look) !== JSON.stringify(JSON.parse(open.look)),
  );
  async function read() {
    try {
      [folders, styles] = await Promise.all([
        ask('get', '/api/folders'),
        ask('get', '/api/materials/house-styles'),
      ]);
      show(open);
    } catch (failure) {
      wrong = sentence(failure);
    }
  }

  /** Reads them without touching what is being changed. */
  async function again() {
    styles = await ask('get', '/api/materials/house-styles');
  }

  function show(style: Style) {
    at = style.id;
    look = JSON.parse(style.look) as Look;
    wrong = '';
    void prove();
  }

  /** Shows what the look would do. */
  async function prove() {
    const mine = ++asked;
    try {
      const answer = await ask('post', '/api/desk/house-styles/{id}/change', {
        params: { id: at },
        body: { look: JSON.stringify(look) },
      });
      if (mine === asked) {
        change = answer;
        wrong = '';
      }
    } catch (failure) {
      if (mine === asked) wrong = Object.values(fieldsOf(failure))[0] ?? sentence(failure);
    }
  }

  function touched() {
    clearTimeout(timer);
    timer = setTimeout(() => void prove(), 150);
  }

  async function keep() {
    try {
      const kept = await ask('put', '/api/materials/house-styles/{id}', {
        params: { id: at },
        body: { version: open.version, look: JSON.stringify(look) },
      });
      styles = styles.map((one) => (one.id === kept.id ? kept : one));
      show(kept);
      notify(`“${kept.name}” is saved. Messages already sent stay as they were.`);
    } catch (failure) {
      wrong = Object.values(fieldsOf(failure))[0] ?? sentence(failure);
    }
  }

  async function another() {
    try {
      const copy = { ...look!, name: `${look!.name} (copy)` };
      const made = await ask('post', '/api/materials/house-styles', {
        body: { look: JSON.stringify(copy), folder: mayChangeIn(folders, open) ? open.folder : null },
      });
      await read();
      show(made);
    } catch (failure) {
      wrong = Object.values(fieldsOf(failure))[0] ?? sentence(failure);
    }
  }

  async function makeUsual() {
    try {
      await ask('post', '/api/materials/house-styles/{id}/usual', { params: { id: at } });
      await read();
    } catch (failure) {
      wrong = sentence(failure);
    }
  }

  void read();
</script>

<div class="three">
  <ul>
    {#each styles as style (style.id)}
      <li>
        <button aria-pressed={style.id === at} onclick={() => show(style)}>
          <b>{style.name}</b>{#if style.usual}<small>the default</small>{/if}
        </button>
      </li>
    {/each}
  </ul>
  {#if look && open}
    <!-- Where nothing can be changed, the column itself is what a keyboard scrolls. -->
    <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
    <form
      aria-label="Style"
      tabindex={mayChange ? undefined : 0}
      onsubmit={(event) => {
        event.preventDefault();
        void keep();
      }}
    >
      <StyleFields bind:look {mayChange} style={open.id} {changed} ontouched={touched} />
      {#if wrong}<p class="wrong" role="alert">{wrong}</p>{/if}
      {#if mayChange}
        <p class="ways">
          <Button main type="submit" disabled={!changed}>Save</Button>
          {#if changed}<Button quiet onclick={() => show(open)}>Discard changes</Button>{/if}
          {#if editor}
            <span class="lies">
              in the folder
              <FolderOf
                what="house-styles"
                thing={{ id: open.id, name: open.name, folder: open.folder }}
                {folders}
                {mayChange}
                onmoved={again}
              />
            </span>
            <Button quiet onclick={() => void another()}>Copy</Button>
            {#if !open.usual}<Button quiet onclick={() => void makeUsual()}>Make it the default</Button>{/if}
            <Button quiet onclick={(event: MouseEvent) => (naming = event.currentTarget as HTMLElement)}
              >Who can change it{open.named.length ? ` (${open.named.length} named)` : ''}</Button
            >
          {/if}
        </p>
      {:else}
        <p class="remark">Editors, administrators and those they name change this style.</p>
      {/if}
    </form>
    <section aria-label="What it does">
      {#if change}
        {#key at}
          <TemplatesChange
            {change}
            {changed}
            count={change.templates === 0
              ? 'No template has this style yet.'
              : `${change.templates} template${change.templates === 1 ? '' : 's'} in this style`}
          />
        {/key}
      {/if}
    </section>
  {/if}
</div>
{#if naming && open}
  <NamedColleagues
    style={open}
    anchor={naming}
    onnamed={(named) => (styles = styles.map((one) => (one.id === open.id ? { ...one, named } : one)))}
    onclose={() => (naming = null)}
  />
{/if}

<style>
  .three {
    display: grid;
    grid-template-columns: 150px 330px minmax(0, 1fr);
    height: 100%;
  }

  ul {
    margin: 0;
    padding: 10px 0;
    border-right: 1px solid var(--rule-soft);
    list-style: none;
  }

  li button {
    width: 100%;
    padding: 6px 14px 6px 17px;
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
    display: block;
    font: 500 16px/1.3 var(--serif);
  }

  small {
    color: var(--ink-soft);
    font-size: 12px;
  }

  form {
    min-height: 0;
    padding: 12px 18px 30px;
    overflow: auto;
  }

  .ways {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    padding-top: 10px;
  }

  .wrong {
    color: var(--stop);
  }

  .remark {
    padding-top: 8px;
    color: var(--ink-soft);
    font-size: 13px;
  }

  section {
    min-height: 0;
    padding: 12px 18px 30px;
    overflow: auto;
    background: var(--shade);
  }

  @media (width <= 900px) {
    .three {
      display: block;
      height: auto;
    }
  }
</style>
