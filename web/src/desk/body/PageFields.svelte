<script lang="ts">
  import SmallInput from '../../ui/SmallInput.svelte';
  import type { Schemas } from '../../api/client';
  import Choose from '../../ui/Choose.svelte';
  import { FONTS } from '../fonts';
  import type { PageChoice } from './body';

  /** What a message chooses for its page instead of its house style, as far as that lets it. */
  let {
    page,
    style,
    onchange,
  }: {
    page: PageChoice;
    style: Schemas['ShownStyle'] | undefined;
    onchange: (page: PageChoice) => void;
  } = $props();

  interface Look {
    page: { width: number; background: string; fixed?: boolean };
    type: { linkColour: string; text: string };
  }
  const look = $derived(style && (JSON.parse(style.look) as Look));
  const LEAST = 320;
  const MOST = 900;

  function put(part: PageChoice) {
    const { width, background, linkColour, text } = { ...page, ...part };
    // In the order in which it is kept, and without what is as in the house style.
    const all = Object.entries({ width, background, linkColour, text }).filter(([, value]) => value);
    onchange(Object.fromEntries(all));
  }

  function width(text: string): number | undefined {
    const value = Math.round(Number(text));
    return text.trim() === '' || !Number.isFinite(value) ? undefined : Math.min(Math.max(value, LEAST), MOST);
  }
</script>

{#snippet colour(label: string, key: 'background' | 'linkColour', usual: string)}
  <p>
    <label>
      <SmallInput
        type="color"
        value={page[key] || usual}
        onchange={(event) => put({ [key]: event.currentTarget.value })}
      />
      {label}
    </label>
    {#if page[key]}
      <button onclick={() => put({ [key]: undefined })}>as the style</button>
    {/if}
  </p>
{/snippet}

{#if look?.page.fixed}
  <p class="soft">“{style?.name}” doesn’t let messages choose their own width, colours or font.</p>
{:else if look}
  <fieldset>
    <legend>Page of this message</legend>
    <p>
      <label>
        width
        <SmallInput
          type="number"
          wide={74}
          min={LEAST}
          max={MOST}
          placeholder={String(look.page.width)}
          value={page.width ?? ''}
          onchange={(event) => put({ width: width(event.currentTarget.value) })}
        />
        pixels
      </label>
    </p>
    {@render colour('around the message', 'background', look.page.background)}
    {@render colour('links', 'linkColour', look.type.linkColour)}
    <Choose
      label="Font of the text"
      value={page.text ?? ''}
      options={[['', `as the style`], ...FONTS]}
      onchange={(code) => put({ text: (code || undefined) as PageChoice['text'] })}
    />
  </fieldset>
{/if}

<style>
  fieldset {
    margin: 4px 0 10px;
    padding: 6px 0 0;
    border: 0;
    border-top: 1px solid var(--rule-soft);
  }

  legend {
    padding: 0 8px 0 0;
    font: 500 15px/1.2 var(--serif);
  }

  p {
    display: flex;
    gap: 12px;
    align-items: center;
    min-height: 30px;
    font-size: 13.5px;
  }

  label {
    display: flex;
    gap: 7px;
    align-items: center;
  }

  .soft {
    color: var(--ink-soft);
  }

  button {
    min-height: 24px;
    padding: 0 2px;
    border: 0;
    background: none;
    color: var(--ink);
    font: 13px/1.2 var(--sans);
    cursor: pointer;
    text-decoration: underline 1px;
    text-underline-offset: 3px;
  }
</style>
