<script lang="ts">
  import { ask, fieldsOf, sentence, type Schemas } from '../api/client';
  import { me } from '../app/session.svelte';
  import Button from '../ui/Button.svelte';
  import Choose from '../ui/Choose.svelte';
  import Field from '../ui/Field.svelte';
  import { FONTS } from '../desk/fonts';
  import TemplatesChange from '../desk/TemplatesChange.svelte';
  import NamedColleagues from './NamedColleagues.svelte';
  import Wrappings from './Wrappings.svelte';
  import { notify } from '../ui/notices.svelte';

  /** The house styles; the one that is open with what a change of it does to the templates that have it. */
  type Style = Schemas['ShownStyle'];
  interface Look {
    name: string;
    space: number;
    page: { width: number; background: string; sheet: string; fixed?: boolean };
    type: Record<'text' | 'headings' | 'colour' | 'headingColour' | 'linkColour', string> & { size: number };
    button: { background: string; colour: string; corner: number };
    smallPrint: { runs: { text: string }[] }[];
  }

  let styles = $state<Style[]>([]);
  let at = $state('');
  let look = $state<Look | null>(null);
  let change = $state<Schemas['TemplatesChange'] | null>(null);
  let wrong = $state('');
  let asked = 0;
  let timer: ReturnType<typeof setTimeout>;

  const open = $derived(styles.find((one) => one.id === at) ?? styles[0]);
  /** Keepers and administrators also add styles, choose the usual one, and name who else changes one. */
  const keeper = ['KEEPER', 'ADMINISTRATOR'].includes(me().role);
  const mayChange = $derived(open?.mayChange ?? false);
  let naming = $state<HTMLElement | null>(null);
  const changed = $derived(
    !!look && !!open && JSON.stringify(look) !== JSON.stringify(JSON.parse(open.look)),
  );
  const smallPrint = $derived(
    look?.smallPrint.map((one) => one.runs.map((run) => run.text).join('')).join('\n') ?? '',
  );

  async function read() {
    try {
      styles = await ask('get', '/api/cupboard/house-styles');
      show(open);
    } catch (failure) {
      wrong = sentence(failure);
    }
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
      const kept = await ask('put', '/api/cupboard/house-styles/{id}', {
        params: { id: at },
        body: { version: open.version, look: JSON.stringify(look) },
      });
      styles = styles.map((one) => (one.id === kept.id ? kept : one));
      show(kept);
      notify(`“${kept.name}” is kept. Messages that were sent stay as they were.`);
    } catch (failure) {
      wrong = Object.values(fieldsOf(failure))[0] ?? sentence(failure);
    }
  }

  async function another() {
    try {
      const copy = { ...look!, name: `${look!.name} (copy)` };
      const made = await ask('post', '/api/cupboard/house-styles', { body: { look: JSON.stringify(copy) } });
      await read();
      show(made);
    } catch (failure) {
      wrong = Object.values(fieldsOf(failure))[0] ?? sentence(failure);
    }
  }

  async function makeUsual() {
    try {
      await ask('post', '/api/cupboard/house-styles/{id}/usual', { params: { id: at } });
      await read();
    } catch (failure) {
      wrong = sentence(failure);
    }
  }

  function number(event: Event): number {
    return Math.round(Number((event.target as HTMLInputElement).value)) || 0;
  }
  void read();
</script>

{#snippet colour(label: string, value: string, set: (colour: string) => void)}
  <label class="colour">
    <input
      type="color"
      {value}
      disabled={!mayChange}
      oninput={(event) => {
        set(event.currentTarget.value);
        touched();
      }}
    />
    {label} <small>{value}</small>
  </label>
{/snippet}
{#snippet size(label: string, value: number, set: (size: number) => void)}
  <Field
    {label}
    type="number"
    value={String(value)}
    disabled={!mayChange}
    oninput={(event: Event) => {
      set(number(event));
      touched();
    }}
  />
{/snippet}

<div class="three">
  <ul>
    {#each styles as style (style.id)}
      <li>
        <button aria-pressed={style.id === at} onclick={() => show(style)}>
          <b>{style.name}</b>{#if style.usual}<small>the usual one</small>{/if}
        </button>
      </li>
    {/each}
  </ul>
  {#if look && open}
    <!-- Where nothing can be changed, the column itself is what a keyboard scrolls. -->
    <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
    <form
      aria-label="House style"
      tabindex={mayChange ? undefined : 0}
      onsubmit={(event) => {
        event.preventDefault();
        void keep();
      }}
    >
      <Field
        label="Name"
        required
        value={look.name}
        disabled={!mayChange}
        oninput={(event: Event) => {
          look!.name = (event.target as HTMLInputElement).value;
          touched();
        }}
      />
      <fieldset disabled={!mayChange}>
        <legend>Page</legend>
        <div class="pair">
          {@render size('Width', look.page.width, (to) => (look!.page.width = to))}
          {@render size('Space', look.space, (to) => (look!.space = to))}
        </div>
        {@render colour('around the message', look.page.background, (to) => (look!.page.background = to))}
        {@render colour('behind the message', look.page.sheet, (to) => (look!.page.sheet = to))}
        <label class="colour">
          <input
            type="checkbox"
            checked={!look.page.fixed}
            disabled={!mayChange}
            onchange={(event) => {
              if (event.currentTarget.checked) delete look!.page.fixed;
              else look!.page.fixed = true;
              touched();
            }}
          />
          messages may choose a page of their own
        </label>
      </fieldset>
      <fieldset disabled={!mayChange}>
        <legend>Letters</legend>
        <div class="pair">
          <Choose
            label="Text"
            value={look.type.text}
            options={FONTS}
            onchange={(code) => {
              look!.type.text = code;
              touched();
            }}
          />
          <Choose
            label="Headings"
            value={look.type.headings}
            options={FONTS}
            onchange={(code) => {
              look!.type.headings = code;
              touched();
            }}
          />
        </div>
        {@render size('Size of text', look.type.size, (to) => (look!.type.size = to))}
        {@render colour('text', look.type.colour, (to) => (look!.type.colour = to))}
        {@render colour('headings', look.type.headingColour, (to) => (look!.type.headingColour = to))}
        {@render colour('links', look.type.linkColour, (to) => (look!.type.linkColour = to))}
      </fieldset>
      <fieldset disabled={!mayChange}>
        <legend>Buttons</legend>
        {@render colour('button', look.button.background, (to) => (look!.button.background = to))}
        {@render colour('its words', look.button.colour, (to) => (look!.button.colour = to))}
        {@render size('Corners', look.button.corner, (to) => (look!.button.corner = to))}
      </fieldset>
      <Wrappings style={open.id} {mayChange} unkept={changed} />
      <label class="print">
        Small print, at the foot of every letter and designed message
        <textarea
          rows="4"
          disabled={!mayChange}
          value={smallPrint}
          oninput={(event) => {
            look!.smallPrint = event.currentTarget.value.split('\n').map((text) => ({ runs: [{ text }] }));
            touched();
          }}></textarea>
      </label>
      {#if wrong}<p class="wrong" role="alert">{wrong}</p>{/if}
      {#if mayChange}
        <p class="ways">
          <Button main type="submit" disabled={!changed}>Keep</Button>
          {#if changed}<Button quiet onclick={() => show(open)}>Leave as it was</Button>{/if}
          {#if keeper}
            <Button quiet onclick={() => void another()}>Copy</Button>
            {#if !open.usual}<Button quiet onclick={() => void makeUsual()}>Make it the usual one</Button
              >{/if}
            <Button quiet onclick={(event: MouseEvent) => (naming = event.currentTarget as HTMLElement)}
              >Who may change it{open.named.length ? ` (${open.named.length} named)` : ''}</Button
            >
          {/if}
        </p>
      {:else}
        <p class="remark">Keepers, administrators and those they name change this house style.</p>
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
    border-color: var(--act);
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

  fieldset {
    margin: 0 0 10px;
    padding: 8px 0 0;
    border: 0;
    border-top: 1px solid var(--rule-soft);
  }

  legend {
    padding: 0 8px 0 0;
    font: 500 15px/1.2 var(--serif);
  }

  .pair {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 12px;
  }

  .colour {
    display: flex;
    gap: 8px;
    align-items: center;
    padding: 2px 0;
    font-size: 13.5px;
  }

  .colour small {
    margin-left: auto;
  }

  .colour input[type='color'] {
    width: 34px;
    height: 24px;
    padding: 1px;
    border: 1px solid var(--edge);
    border-radius: var(--corner);
    background: var(--sheet);
  }

  .print {
    display: block;
    color: var(--ink-soft);
    font-size: 13px;
  }

  textarea {
    display: block;
    width: 100%;
    margin-top: 3px;
    padding: 5px 8px;
    border: 1px solid var(--edge);
    border-radius: var(--corner);
    background: var(--sheet);
    color: var(--ink);
    font: 13.5px/1.45 var(--sans);
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
