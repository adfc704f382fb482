<script lang="ts">
  import SmallInput from '../../ui/SmallInput.svelte';
  import type { Look } from './body';

  /** The box of a block or band: room around it, background, border. */
  let { look, onchange }: { look: Look; onchange: (look: Look) => void } = $props();

  const SIDES = [
    ['above', 'above'],
    ['below', 'below'],
    ['left', 'left'],
    ['right', 'right'],
  ] as const;
  const MOST = 120;

  function put(part: Partial<Look>) {
    const next = { ...look, ...part };
    for (const name of Object.keys(next) as (keyof Look)[]) if (next[name] === undefined) delete next[name];
    onchange(next);
  }

  function pixels(text: string, most: number): number | undefined {
    const value = Math.round(Number(text));
    return text.trim() === '' || Number.isNaN(value) ? undefined : Math.min(Math.max(value, 0), most);
  }
</script>

<fieldset>
  <legend>Space around it, in pixels</legend>
  {#each SIDES as [side, label] (side)}
    <label
      >{label}
      <SmallInput
        type="number"
        min="0"
        max={MOST}
        placeholder="default"
        value={look[side] ?? ''}
        onchange={(event) => put({ [side]: pixels(event.currentTarget.value, MOST) })}
      /></label
    >
  {/each}
</fieldset>
<fieldset>
  <legend>Background and border</legend>
  <label
    >background
    <SmallInput
      type="color"
      value={look.background || '#ffffff'}
      onchange={(event) => put({ background: event.currentTarget.value })}
    /></label
  >
  {#if look.background}<button onclick={() => put({ background: undefined })}>none</button>{/if}
  <label
    >border
    <SmallInput
      type="number"
      min="0"
      max="12"
      value={look.border ?? 0}
      onchange={(event) => put({ border: pixels(event.currentTarget.value, 12) || undefined })}
    /></label
  >
  {#if look.border}
    <label
      >its colour
      <SmallInput
        type="color"
        value={look.borderColour || '#1d2530'}
        onchange={(event) => put({ borderColour: event.currentTarget.value })}
      /></label
    >
  {/if}
</fieldset>

<style>
  fieldset {
    display: flex;
    flex-wrap: wrap;
    gap: 4px 10px;
    align-items: center;
    margin: 0 0 8px;
    padding: 0;
    border: 0;
  }

  legend,
  label {
    color: var(--ink-soft);
    font-size: 12.5px;
  }

  label {
    display: flex;
    gap: 4px;
    align-items: center;
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
