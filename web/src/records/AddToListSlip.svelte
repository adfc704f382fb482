<script lang="ts">
  import { ask, fieldsOf, sentence, type Schemas } from '../api/client';
  import Button from '../ui/Button.svelte';
  import Choose from '../ui/Choose.svelte';
  import Field from '../ui/Field.svelte';
  import { notify } from '../ui/notices.svelte';
  import Slip from '../ui/Slip.svelte';
  import type { KeptList } from './narrowing.svelte';
  import { typedList } from './typedList';

  /** Puts chosen records onto a fixed list that is there, or onto a new one. */
  let {
    choice,
    number,
    lists,
    anchor,
    onclose,
    ondone,
  }: {
    choice: Schemas['ListSelection'];
    /** How many are chosen. */
    number: string;
    lists: KeptList[];
    anchor: HTMLElement;
    onclose: () => void;
    ondone: () => Promise<void>;
  } = $props();

  const fixed = $derived(lists.filter((one) => !one.live && one.mayChange));
  let wanted = $derived(fixed[0]?.id ?? '');
  let name = $state('');
  let wrong = $state<Record<string, string>>({});
  let failed = $state('');

  const made = async () =>
    (
      await ask('post', '/api/lists/kept/{kind}', {
        params: { kind: choice.kind },
        body: typedList(name),
      })
    ).id;

  async function put(event: SubmitEvent) {
    event.preventDefault();
    wrong = {};
    failed = '';
    try {
      const id = wanted || (await made());
      const { number: added, list } = await ask('post', '/api/lists/{id}/members', {
        params: { id },
        body: { choice },
      });
      await ondone();
      onclose();
      notify(
        added
          ? `${added.toLocaleString('en')} ${added === 1 ? 'is' : 'are'} on “${list.name}” now.`
          : `All of them were on “${list.name}” already.`,
      );
    } catch (failure) {
      wrong = fieldsOf(failure);
      if (!wrong.name) failed = sentence(failure);
    }
  }
</script>

<Slip title="Add {number} to a list" {anchor} placement="top-start" {onclose}>
  <form onsubmit={put}>
    <Choose
      label="List"
      bind:value={wanted}
      options={[...fixed.map((one) => [one.id, one.name] as const), ['', 'a new list']]}
    />
    {#if !wanted}
      <Field label="Name of the list" bind:value={name} error={wrong.name} autocomplete="off" />
      <p class="soft">
        It is a fixed list: it has who you put on it. Nobody else sees it until you share it.
      </p>
    {/if}
    <Button main type="submit">{wanted ? 'Add' : 'Make it and add'}</Button>
  </form>
  {#if failed}<p class="failed" role="alert">{failed}</p>{/if}
</Slip>

<style>
  .soft {
    margin: 0 0 10px;
    color: var(--ink-soft);
  }

  .failed {
    margin-top: 8px;
    color: var(--stop);
  }
</style>
