<script lang="ts">
  import { FAMILIES, FONTS } from '../desk/fonts';
  import Choose from '../ui/Choose.svelte';
  import Field from '../ui/Field.svelte';
  import type { Look } from './styleLook';
  import Wrappings from './Wrappings.svelte';

  /** What a style is made of, to be changed. */
  let {
    look = $bindable(),
    style,
    mayChange,
    changed,
    ontouched,
  }: {
    look: Look;
    /** Its identifier. */
    style: string;
    mayChange: boolean;
    /** Whether it differs from what is kept. */
    changed: boolean;
    ontouched: () => void;
  } = $props();
  const smallPrint = $derived(
    look.smallPrint.map((one) => one.runs.map((run) => run.text).join('')).join('\n'),
  );

  function number(event: Event): number {
    return Math.round(Number((event.target as HTMLInputElement).value)) || 0;
  }
</script>

{#snippet colour(label: string, value: string, set: (colour: string) => void)}
  <label class="colour">
    <input
      type="color"
      {value}
      disabled={!mayChange}
      oninput={(event) => {
        set(event.currentTarget.value);
        ontouched();
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
      ontouched();
    }}
  />
{/snippet}
<Field
  label="Name"
  required
  value={look.name}
  disabled={!mayChange}
  oninput={(event: Event) => {
    look.name = (event.target as HTMLInputElement).value;
    ontouched();
  }}
/>
<fieldset disabled={!mayChange}>
  <legend>Page</legend>
  <div class="pair">
    {@render size('Width', look.page.width, (to) => (look.page.width = to))}
    {@render size('Space', look.space, (to) => (look.space = to))}
  </div>
  {@render colour('around the message', look.page.background, (to) => (look.page.background = to))}
  {@render colour('behind the message', look.page.sheet, (to) => (look.page.sheet = to))}
  <label class="colour">
    <input
      type="checkbox"
      checked={!look.page.fixed}
      disabled={!mayChange}
      onchange={(event) => {
        if (event.currentTarget.checked) delete look.page.fixed;
        else look.page.fixed = true;
        ontouched();
      }}
    />
    messages may choose a page of their own
  </label>
</fieldset>
<fieldset disabled={!mayChange}>
  <legend>Fonts</legend>
  <div class="pair">
    <Choose
      label="Text"
      value={look.type.text}
      options={FONTS}
      onchange={(code) => {
        look.type.text = code;
        ontouched();
      }}
    />
    <Choose
      label="Headings"
      value={look.type.headings}
      options={FONTS}
      onchange={(code) => {
        look.type.headings = code;
        ontouched();
      }}
    />
  </div>
  <p class="sample">
    <span style:font-family={FAMILIES[look.type.headings]}>A heading</span>
    <span style:font-family={FAMILIES[look.type.text]}>Dear Robin, thank you for your letter.</span>
  </p>
  {@render size('Size of text', look.type.size, (to) => (look.type.size = to))}
  {@render colour('text', look.type.colour, (to) => (look.type.colour = to))}
  {@render colour('headings', look.type.headingColour, (to) => (look.type.headingColour = to))}
  {@render colour('links', look.type.linkColour, (to) => (look.type.linkColour = to))}
</fieldset>
<fieldset disabled={!mayChange}>
  <legend>Buttons</legend>
  {@render colour('button', look.button.background, (to) => (look.button.background = to))}
  {@render colour('its words', look.button.colour, (to) => (look.button.colour = to))}
  {@render size('Corners', look.button.corner, (to) => (look.button.corner = to))}
</fieldset>
<Wrappings {style} {mayChange} unkept={changed} />
<label class="print">
  Small print, at the foot of every letter and designed message
  <textarea
    rows="4"
    disabled={!mayChange}
    value={smallPrint}
    oninput={(event) => {
      look.smallPrint = event.currentTarget.value.split('\n').map((text) => ({ runs: [{ text }] }));
      ontouched();
    }}></textarea>
</label>

<style>
  .sample {
    display: grid;
    gap: 2px;
    margin: 0 0 8px;
    padding: 6px 8px;
    border: 1px solid var(--rule-soft);
    background: var(--sheet);
  }

  small {
    color: var(--ink-soft);
    font-size: 12px;
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
</style>
