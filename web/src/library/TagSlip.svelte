<script lang="ts">
  import { fieldsOf, sentence } from '../api/client';
  import Button from '../ui/Button.svelte';
  import Field from '../ui/Field.svelte';
  import InlineButton from '../ui/InlineButton.svelte';
  import Slip from '../ui/Slip.svelte';
  import { tag, type Sorted } from './sorting';

  /** The tags of one template or several: words they are kept together by, whatever folders they lie in. */
  let {
    templates,
    known,
    anchor,
    onclose,
    onchanged,
  }: {
    templates: readonly (Sorted & { tags: string[] })[];
    /** Tags in use, which are offered. */
    known: string[];
    anchor: HTMLElement;
    onclose: () => void;
    onchanged: () => Promise<void>;
  } = $props();

  let typed = $state('');
  let wrong = $state('');
  const had = $derived([...new Set(templates.flatMap((one) => one.tags))].sort());

  async function change(add: string[], remove: string[]) {
    wrong = '';
    try {
      await tag(templates, add, remove, onchanged);
      onclose();
    } catch (failure) {
      wrong = fieldsOf(failure).tag ?? sentence(failure);
    }
  }
</script>

<Slip
  title={templates.length === 1 ? `Tags of “${templates[0].name}”` : `Tags of ${templates.length} templates`}
  {anchor}
  {onclose}
>
  {#if had.length}
    <ul>
      {#each had as one (one)}
        <li>
          {one}
          <InlineButton soft aria-label="Remove {one}" onclick={() => void change([], [one])}
            >remove</InlineButton
          >
        </li>
      {/each}
    </ul>
  {/if}
  <form
    onsubmit={(event) => {
      event.preventDefault();
      void change([typed], []);
    }}
  >
    <Field
      label="Add a tag"
      remark="A word or two that other templates have as well."
      suggestions={known.filter((one) => !had.includes(one))}
      bind:value={typed}
      error={wrong}
    />
    <Button main type="submit" disabled={!typed.trim()}>Add</Button>
  </form>
</Slip>

<style>
  ul {
    margin: 0 0 10px;
    padding: 0;
    list-style: none;
  }

  li {
    padding: 2px 0;
  }
</style>
