<script lang="ts">
  import { untrack } from 'svelte';
  import type { About } from '../library/about';
  import Button from '../ui/Button.svelte';
  import Slip from '../ui/Slip.svelte';
  import Condition from './Condition.svelte';
  import type { Chip } from './draftText';
  import { branchChip, conditionOf, type FoundField } from './finding';

  /** A choice's slip: when this branch prints, as a sentence and in its written form, and for how many people. */
  let {
    chip,
    anchor,
    about,
    fields,
    editable,
    hasOtherwise,
    onchanged,
    onbranch,
    onotherwise,
    onremovebranch,
    onremove,
    onclose,
  }: {
    chip: Chip;
    anchor: HTMLElement;
    about: About;
    fields: FoundField[];
    editable: boolean;
    /** Whether the choice has a branch for everybody else. */
    hasOtherwise: boolean;
    onchanged: (chip: Chip) => void;
    onbranch: () => void;
    onotherwise: () => void;
    onremovebranch: () => void;
    onremove: (keepWords: boolean) => void;
    onclose: () => void;
  } = $props();

  const first = untrack(() => chip.role === 'WHEN');
  const given = untrack(() => conditionOf(chip));
  const conditional = untrack(() => chip.role !== 'END' && given !== '');
</script>

<Slip
  title={chip.role === 'END' || !conditional ? 'A choice' : first ? 'When' : 'Otherwise when'}
  {anchor}
  wide
  {onclose}
>
  {#if conditional}
    <Condition
      {given}
      label="When this branch prints"
      {about}
      {fields}
      {editable}
      onchanged={(written, sentence) => onchanged(branchChip(first, written, sentence))}
    />
  {:else if chip.role === 'OTHERWISE'}
    <p>For everybody that no other branch fits.</p>
  {/if}
  {#if editable}
    <p class="ways">
      <Button quiet onclick={onbranch}>Add a branch</Button>
      {#if !hasOtherwise}<Button quiet onclick={onotherwise}>Add words for everyone else</Button>{/if}
      {#if chip.role === 'OTHERWISE'}
        <Button quiet onclick={onremovebranch}>Remove this branch</Button>
      {/if}
      <Button quiet onclick={() => onremove(true)}>Remove the choice, keep its words</Button>
      <Button quiet onclick={() => onremove(false)}>Delete the choice and its words</Button>
    </p>
  {/if}
</Slip>

<style>
  .ways {
    display: flex;
    flex-wrap: wrap;
    gap: 2px 8px;
    margin: 8px 0 0 -6px;
    padding-top: 4px;
    border-top: 1px solid var(--rule-soft);
  }
</style>
