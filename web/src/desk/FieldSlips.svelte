<script lang="ts">
  import ChipSlip from './ChipSlip.svelte';
  import ChoiceSlip from './ChoiceSlip.svelte';
  import type { Writing } from './writing';
  import type DraftField from './DraftField.svelte';
  import { isMark, type Chip } from './draftText';
  import { branchChip, otherwiseChip } from './finding';
  import type { OpenChip } from './openChip';

  /** The slip of the field, or of the choice, that is open in a text of the draft. */
  let {
    desk,
    chip = $bindable(),
    fieldOf,
  }: {
    desk: Writing;
    chip: OpenChip | null;
    /** The text that a chip is in. */
    fieldOf: (key: string) => DraftField | undefined;
  } = $props();

  /**
   * Changes the chip that a slip was opened for, even when the slip has been closed before the answer came; while it is
   * open it stays beside its chip.
   */
  function changer({ key, at }: OpenChip): (changed: Chip) => void {
    return (changed) => {
      const anchor = fieldOf(key)?.replaceChip(at, changed);
      if (chip?.key === key && chip.at === at) {
        chip = { ...chip, chip: changed, anchor: anchor ?? chip.anchor };
      }
    };
  }

  /** A branch like the first one a new choice has, until the writer says when it prints. */
  function anotherBranch(): Chip {
    const first = desk.people.fields[0];
    return branchChip(false, `${first?.path ?? 'today'} is filled`, `${first?.label ?? 'Today'} is filled`);
  }
</script>

{#if chip && isMark(chip.chip) && desk.draft}
  {@const open = chip}
  {@const marks = fieldOf(open.key)?.choice(open.at) ?? []}
  {@const end = marks.at(-1)}
  {@const lastMark = marks.at(-2)}
  {#key `${open.key} ${open.at}`}
    <ChoiceSlip
      chip={open.chip}
      anchor={open.anchor}
      about={desk.draft.about}
      fields={desk.people.fields}
      editable={desk.mayChange}
      hasOtherwise={lastMark !== undefined && lastMark.chip.role === 'OTHERWISE' && !lastMark.chip.label}
      onchanged={changer(open)}
      onbranch={() => {
        const before =
          lastMark && lastMark.chip.role === 'OTHERWISE' && !lastMark.chip.label ? lastMark : end;
        if (before) fieldOf(open.key)?.addBranch(before.position, anotherBranch());
        chip = null;
      }}
      onotherwise={() => {
        if (end) fieldOf(open.key)?.addBranch(end.position, otherwiseChip());
        chip = null;
      }}
      onremovebranch={() => {
        fieldOf(open.key)?.removeBranch(open.at);
        chip = null;
      }}
      onremove={(keepWords) => {
        fieldOf(open.key)?.removeChoice(open.at, keepWords);
        chip = null;
      }}
      onclose={() => (chip = null)}
    />
  {/key}
{:else if chip && desk.draft && desk.preview.proof}
  {@const open = chip}
  <ChipSlip
    chip={open.chip}
    anchor={open.anchor}
    about={desk.draft.about}
    kind={desk.preview.proof.person.kind}
    fields={desk.people.fields}
    personName={desk.preview.proof.person.name}
    editable={desk.mayChange}
    onchanged={changer(open)}
    onmended={() => void desk.people.mended()}
    onremove={() => {
      fieldOf(open.key)?.removeChip(open.at);
      chip = null;
    }}
    onclose={() => (chip = null)}
  />
{/if}
