<script lang="ts">
  import Button from '../../ui/Button.svelte';
  import SmallInput from '../../ui/SmallInput.svelte';
  import CutFrame from './CutFrame.svelte';
  import { cutTo, SIDES, without, type Retouching } from './retouching';

  /** What is cut off a picture, and how its colours are changed. The picture in Materials stays as it is. */
  let {
    picture,
    retouching,
    onchange,
  }: {
    picture: string;
    retouching: Retouching;
    /** With nothing when the picture shows as it was brought in. */
    onchange: (retouching: Retouching | undefined) => void;
  } = $props();

  const USUAL_TINT = '#3c5b82';
  const USUAL_STRENGTH = 60;
  const WORDS = { left: 'left', top: 'top', right: 'right', bottom: 'foot' };

  function put(next: Retouching) {
    const kept = without(next);
    onchange(Object.keys(kept).length ? kept : undefined);
  }

  function within(text: string, least: number, most: number): number {
    return Math.min(Math.max(Math.round(Number(text)) || 0, least), most);
  }
</script>

<CutFrame {picture} {retouching} onchange={put} />
<fieldset>
  <legend>Crop, %</legend>
  {#each SIDES as side (side)}
    <label
      >{WORDS[side]}
      <SmallInput
        wide={48}
        type="number"
        min="0"
        max="90"
        value={retouching[side] ?? 0}
        onchange={(event) => put(cutTo(retouching, side, Number(event.currentTarget.value)))}
      /></label
    >
  {/each}
</fieldset>
<fieldset>
  <legend>Brightness</legend>
  <input
    type="range"
    min="-100"
    max="100"
    step="5"
    aria-label="Brightness"
    value={retouching.brightness ?? 0}
    onchange={(event) => put({ ...retouching, brightness: Number(event.currentTarget.value) })}
  />
  <SmallInput
    wide={48}
    type="number"
    min="-100"
    max="100"
    aria-label="Brightness, from -100 to 100"
    value={retouching.brightness ?? 0}
    onchange={(event) => put({ ...retouching, brightness: within(event.currentTarget.value, -100, 100) })}
  />
</fieldset>
<fieldset>
  <legend>Tint</legend>
  {#if retouching.tint}
    <SmallInput
      type="color"
      aria-label="Colour of the tint"
      value={retouching.tint}
      onchange={(event) => put({ ...retouching, tint: event.currentTarget.value })}
    />
    <input
      type="range"
      min="5"
      max="100"
      step="5"
      aria-label="Strength of the tint"
      value={retouching.strength}
      onchange={(event) => put({ ...retouching, strength: Number(event.currentTarget.value) })}
    />
    <span>{retouching.strength} %</span>
    <Button quiet onclick={() => put({ ...retouching, tint: undefined })}>none</Button>
  {:else}
    <Button quiet onclick={() => put({ ...retouching, tint: USUAL_TINT, strength: USUAL_STRENGTH })}
      >Tint it</Button
    >
  {/if}
</fieldset>
{#if Object.keys(retouching).length}
  <p><Button quiet onclick={() => onchange(undefined)}>Undo all changes</Button></p>
{/if}

<style>
  fieldset {
    display: flex;
    flex-wrap: wrap;
    gap: 4px 9px;
    align-items: center;
    min-width: 0;
    margin: 0 0 6px;
    padding: 0;
    border: 0;
  }

  /* In line with what it stands before, so that the slip stays short. */
  legend {
    float: left;
  }

  legend,
  label,
  span {
    color: var(--ink-soft);
    font-size: 12.5px;
  }

  label {
    display: flex;
    gap: 4px;
    align-items: center;
  }

  input[type='range'] {
    width: 150px;
    accent-color: var(--ink);
  }

  p {
    margin: 0 0 6px -6px;
  }
</style>
