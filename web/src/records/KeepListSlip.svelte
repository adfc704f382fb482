<script lang="ts">
  import { ask, fieldsOf, sentence, type Schemas } from '../api/client';
  import { open, places, type Folder } from '../library/folders';
  import Button from '../ui/Button.svelte';
  import Choose from '../ui/Choose.svelte';
  import Field from '../ui/Field.svelte';
  import Slip from '../ui/Slip.svelte';
  import type { KeptList } from './narrowing.svelte';
  import { typedList } from './typedList';

  /** Saves a condition as a live list, under a new name or in the place of the list it was. */
  let {
    kind,
    condition,
    base,
    minus,
    deals,
    role,
    sort,
    descending,
    over,
    anchor,
    onclose,
    onkept,
  }: {
    kind: Schemas['ListSelection']['kind'];
    /** Empty for all that are on {@link base}. */
    condition: string;
    /** A fixed list that all of them are on. */
    base: string | null;
    /** A list whose records are left out. */
    minus: string | null;
    /** A list of deals whose contacts they are, and what they are to these. */
    deals: string | null;
    role: string | null;
    sort: string;
    descending: boolean;
    /** The list that was changed, where one may change it. */
    over: KeptList | null;
    anchor: HTMLElement;
    onclose: () => void;
    onkept: (list: KeptList) => Promise<void>;
  } = $props();

  let name = $state('');
  let folder = $state('');
  let folders = $state.raw<Folder[]>([]);
  let wrong = $state<Record<string, string>>({});
  let failed = $state('');
  const chosen = $derived(folders.find((one) => one.id === folder));

  ask('get', '/api/folders')
    .then((all) => {
      folders = open(all);
      folder = folders.find((one) => one.personal && one.mine)?.id ?? folders[0]?.id ?? '';
    })
    .catch((failure) => (failed = sentence(failure)));

  async function keep(work: () => Promise<KeptList>) {
    wrong = {};
    failed = '';
    try {
      await onkept(await work());
      onclose();
    } catch (failure) {
      wrong = fieldsOf(failure);
      if (!wrong.name && !wrong.folder) failed = Object.values(wrong)[0] ?? sentence(failure);
    }
  }

  function add(event: SubmitEvent) {
    event.preventDefault();
    void keep(() =>
      ask('post', '/api/lists/kept/{kind}', {
        params: { kind },
        body: {
          name,
          condition: condition || null,
          sort,
          descending,
          folder: folder || null,
          base,
          minus,
          deals,
          role,
        },
      }),
    );
  }

  const replace = (list: KeptList) =>
    keep(() =>
      ask('put', '/api/lists/{id}', {
        params: { id: list.id },
        body: {
          version: list.version,
          list: typedList(list.name, { condition, sort, descending }),
        },
      }),
    );
</script>

<Slip title="Save as a list" {anchor} {onclose}>
  {#if over}
    <p class="over">
      <Button onclick={() => void replace(over)}>Save “{over.name}”</Button>
      <span class="soft">or as another list:</span>
    </p>
  {/if}
  <form onsubmit={add}>
    <Field label="Name" bind:value={name} error={wrong.name} autocomplete="off" />
    <Choose label="In the folder" bind:value={folder} options={places(folders)} error={wrong.folder} />
    {#if chosen && !chosen.personal}<p class="soft">{chosen.sharing}.</p>{/if}
    <p class="soft">The list is live: whoever fits is on it.</p>
    <Button main type="submit">Save list</Button>
  </form>
  {#if failed}<p class="failed" role="alert">{failed}</p>{/if}
</Slip>

<style>
  .over {
    display: flex;
    flex-wrap: wrap;
    gap: 6px 10px;
    align-items: center;
    margin: 0 0 10px;
  }

  .soft {
    margin: 0 0 10px;
    color: var(--ink-soft);
  }

  .failed {
    margin-top: 8px;
    color: var(--stop);
  }
</style>
