<script lang="ts">
  import { count, nowhere } from '../../library/usedIn';
  import { allLines } from '../../library/allLines';
  import { ask, sentence, type Schemas } from '../../api/client';
  import Button from '../../ui/Button.svelte';
  import Choose from '../../ui/Choose.svelte';

  /** Which passage a block stands for; what it says is changed on a desk of its own, or taken over to be changed here. */
  let {
    chosen,
    editable,
    onchoose,
    ondetach,
  }: {
    chosen: string;
    editable: boolean;
    onchoose: (passage: string) => void;
    /** Puts its blocks here in its place; absent while there is nothing to take over. */
    ondetach?: () => void;
  } = $props();

  let passages = $state<Schemas['TemplateLine'][] | null>(null);
  let using = $state.raw(nowhere);
  let failed = $state('');
  const options = $derived(
    (passages ?? [])
      .filter((one) => one.stage !== 'DRAFT' || one.id === chosen)
      .map((one) => [one.id, one.name] as const),
  );

  allLines('PASSAGE')
    .then((found) => (passages = found))
    .catch((failure) => (failed = sentence(failure)));

  $effect(() => {
    if (!chosen) return;
    ask('get', '/api/templates/{id}/using', { params: { id: chosen } })
      .then((found) => (using = found))
      .catch(() => (using = nowhere));
  });
</script>

{#if failed}
  <p class="wrong" role="alert">{failed}</p>
{:else if passages && !options.length}
  <p>No passage is ready yet. <a href="/materials/passages">Write one in Materials</a></p>
{:else if passages}
  <fieldset disabled={!editable}>
    <Choose label="Passage" value={chosen} {options} empty={chosen ? '' : 'choose one'} onchange={onchoose} />
  </fieldset>
  {#if chosen}
    <p class="used">
      {count(using) > 1
        ? `Used in ${count(using)} templates; changing it changes it in all of them.`
        : 'Used nowhere else.'}
    </p>
    <p class="ways">
      <a href="/materials/passages/{chosen}">Edit for all</a>
      {#if editable && ondetach}
        <Button quiet title="Its words become this template’s own" onclick={ondetach}
          >Turn into own text</Button
        >
      {/if}
    </p>
  {/if}
{/if}

<style>
  fieldset {
    min-width: 0;
    margin: 0;
    padding: 0;
    border: 0;
  }

  .used {
    color: var(--ink-soft);
    font-size: 13px;
  }

  .ways {
    display: flex;
    gap: 10px;
    align-items: center;
    margin-bottom: 6px;
  }

  a {
    color: var(--ink);
    font-weight: 600;
    text-decoration: underline 1px;
    text-underline-offset: 3px;
  }

  .wrong {
    color: var(--stop);
  }
</style>
