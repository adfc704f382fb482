<script lang="ts">
  import Slip from '../../ui/Slip.svelte';
  import type { Writing } from '../writing';
  import StyleChoice from '../StyleChoice.svelte';
  import BandSlip from './BandSlip.svelte';
  import BlockSlip from './BlockSlip.svelte';
  import { bandOf } from './body';
  import type { Composing } from './composing.svelte';
  import Kinds from './Kinds.svelte';
  import { barred } from './kinds';

  /** The slips of a designed draft: of its page, of a block or band, and of what can be added somewhere. */
  let {
    desk,
    composing,
    paged = $bindable(),
    dropped = $bindable(),
  }: {
    desk: Writing;
    composing: Composing;
    /** Where the page's slip is; null while it is closed. */
    paged: HTMLElement | null;
    /** A picture that was dropped on a block, for its slip to bring in. */
    dropped: { id: string; file: File } | null;
  } = $props();
</script>

{#if paged && desk.draft}
  <Slip title="Page" anchor={paged} onclose={() => (paged = null)}>
    <StyleChoice draft={desk.draft} {composing} onchange={(part) => desk.change(part)} />
  </Slip>
{/if}
{#if composing.adding}
  {@const { place, anchor } = composing.adding}
  <Slip title="Add here" {anchor} wide onclose={() => (composing.adding = null)}>
    <Kinds
      without={barred(desk.draft?.kind)}
      onchoose={(kind) => {
        const to = place;
        composing.adding = null;
        composing.add(kind, to);
      }}
    />
  </Slip>
{/if}
{#if composing.slip && desk.draft}
  {@const { id, anchor } = composing.slip}
  {#key id}
    {#if bandOf(composing.body, id)}
      <BandSlip
        {composing}
        {id}
        {anchor}
        about={desk.draft.about}
        fields={desk.people.fields}
        onclose={() => (composing.slip = null)}
      />
    {:else}
      <BlockSlip
        {composing}
        {id}
        {anchor}
        about={desk.draft.about}
        inside={desk.preview.proof?.rendering?.inside?.[id]}
        fields={desk.people.fields}
        file={dropped?.id === id ? dropped.file : undefined}
        onclose={() => {
          composing.slip = null;
          dropped = null;
        }}
      />
    {/if}
  {/key}
{/if}
