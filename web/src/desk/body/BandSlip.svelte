<script lang="ts">
  import SmallInput from '../../ui/SmallInput.svelte';
  import SmallSelect from '../../ui/SmallSelect.svelte';
  import type { About } from '../../library/about';
  import Slip from '../../ui/Slip.svelte';
  import type { FoundField } from '../finding';
  import { bandOf, MOST_COLUMNS, withColumns, withShare, type Band, type Column, type Look } from './body';
  import type { Composing } from './composing.svelte';
  import LookFields from './LookFields.svelte';
  import PartWays from './PartWays.svelte';

  /** The settings of a band: its columns and their widths, its box, when it is shown. */
  let {
    composing,
    id,
    anchor,
    about,
    fields,
    onclose,
  }: {
    composing: Composing;
    id: string;
    anchor: HTMLElement;
    about: About;
    fields: FoundField[];
    onclose: () => void;
  } = $props();

  const UPRIGHTS = ['top', 'middle', 'bottom'] as const;
  const band = $derived(bandOf(composing.body, id));
  const editable = $derived(composing.editable);

  function put(part: Partial<Band>) {
    composing.change(id, part, true);
  }

  function share(text: string): number {
    return Math.min(Math.max(Math.round(Number(text)) || 1, 1), 100);
  }
</script>

{#if band}
  <Slip title={composing.called(id)} {anchor} placement="bottom-start" wide {onclose}>
    <fieldset disabled={!editable}>
      <p class="row" role="group" aria-label="Columns">
        <span>columns</span>
        {#each Array.from({ length: MOST_COLUMNS }, (_, at) => at + 1) as count (count)}
          <button
            aria-pressed={band.columns.length === count}
            onclick={() => composing.put(withColumns(composing.body, id, count))}>{count}</button
          >
        {/each}
      </p>
      {#each band.columns as column, at (at)}
        <p class="row">
          <span>column {at + 1}</span>
          {#if band.columns.length > 1}
            <label
              >part of the width
              <SmallInput
                type="number"
                min="1"
                max="100"
                value={column.share ?? 1}
                onchange={(event) =>
                  composing.put(
                    withShare(composing.body, id, at, { share: share(event.currentTarget.value) }),
                  )}
              /></label
            >
          {/if}
          <label
            >position
            <SmallSelect
              value={column.upright ?? 'top'}
              onchange={(event) =>
                composing.put(
                  withShare(composing.body, id, at, {
                    upright: event.currentTarget.value as Column['upright'],
                  }),
                )}
            >
              {#each UPRIGHTS as one (one)}<option>{one}</option>{/each}
            </SmallSelect></label
          >
        </p>
      {/each}
      <LookFields
        look={band.look ?? {}}
        onchange={(look: Look) => put({ look: Object.keys(look).length ? look : undefined })}
      />
      <label class="row">
        <input
          type="checkbox"
          checked={band.hiddenOnSmall === true}
          onchange={(event) => put({ hiddenOnSmall: event.currentTarget.checked || undefined })}
        /> not on small screens
      </label>
    </fieldset>
    <PartWays {composing} {id} shownWhen={band.shownWhen ?? ''} what="band" {about} {fields} />
  </Slip>
{/if}

<style>
  fieldset {
    min-width: 0;
    margin: 0;
    padding: 0;
    border: 0;
  }

  .row,
  label {
    display: flex;
    flex-wrap: wrap;
    gap: 4px 8px;
    align-items: center;
    font-size: 13px;
  }

  .row {
    margin-bottom: 6px;
  }

  .row > span {
    min-width: 70px;
  }

  .row span,
  label {
    color: var(--ink-soft);
  }

  button[aria-pressed] {
    min-width: 30px;
    min-height: 26px;
    border: 1px solid var(--edge);
    border-radius: var(--corner);
    background: var(--sheet);
    color: var(--ink);
    font: 13px/1.2 var(--sans);
    cursor: pointer;
  }

  button[aria-pressed='true'] {
    border-color: var(--ink);
    background: var(--chosen);
    color: var(--ink);
  }
</style>
