<script lang="ts">
  import { drawn } from '../../ui/drawn';
  import InlineButton from '../../ui/InlineButton.svelte';
  import { ask, type Schemas } from '../../api/client';
  import { onChange } from '../../app/changes';

  /** What the house style puts around a message: said in the draft, seen in the proof. */
  let {
    draft,
    foot = false,
    onpage,
  }: {
    draft: Schemas['Draft'];
    foot?: boolean;
    /** Opens the page's slip. */
    onpage?: (anchor: HTMLElement) => void;
  } = $props();

  let styles = $state<Schemas['ShownStyle'][]>([]);
  const style = $derived(
    styles.find((one) => one.id === draft.houseStyle) ?? styles.find((one) => one.usual),
  );
  const header = $derived(chosen(style?.headers ?? [], draft.header));
  const footer = $derived(chosen(style?.footers ?? [], draft.footer));

  function chosen(names: string[], wanted: string | null): string {
    if (wanted === 'none' || !names.length) return '';
    return !wanted ? names[0] : names.includes(wanted) ? wanted : '';
  }

  async function read() {
    styles = await ask('get', '/api/materials/house-styles').catch(() => styles);
  }

  $effect(() => onChange((change) => change.what === 'house-style' && void read()));
  void drawn().then(read);
</script>

{#if style && !foot}
  <p class="housed">
    {#if onpage}
      <InlineButton onclick={(event) => onpage(event.currentTarget)}>Style: {style.name}</InlineButton>
    {:else}<span>Style: {style.name}</span>{/if}
    <span>{header ? `header “${header}” above` : 'no header'}</span>
  </p>
{:else if style}
  <p class="housed foot">
    <span>{footer ? `footer “${footer}” and the small print below` : 'the small print below'}</span>
  </p>
{/if}

<style>
  .housed {
    display: flex;
    justify-content: space-between;
    gap: 12px;
    margin: -8px 0 6px -4px;
    padding: 5px 22px;
    background: var(--shade);
    color: var(--ink-soft);
    font-size: 12.5px;
  }

  .foot {
    justify-content: flex-end;
    margin: 10px 0 0 -4px;
  }
</style>
