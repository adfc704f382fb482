<script lang="ts">
  import { ask, fieldsOf, sentence, type Schemas } from '../api/client';
  import { allLines } from '../library/allLines';
  import UsedIn from '../library/UsedIn.svelte';
  import Button from '../ui/Button.svelte';
  import Choose from '../ui/Choose.svelte';
  import Slip from '../ui/Slip.svelte';

  /** A passage that is used can be deleted once another one takes its place in the templates that have it. */
  let {
    passage,
    anchor,
    onexchanged,
    onclose,
  }: {
    passage: string;
    anchor?: HTMLElement;
    /** It is deleted; told in how many templates the other one, by its name, stands now. */
    onexchanged: (changed: number, name: string) => void;
    onclose: () => void;
  } = $props();

  let uses = $state.raw<Schemas['Used']>();
  let others = $state.raw<Schemas['TemplateLine'][]>([]);
  let other = $state('');
  let wrong = $state('');
  let busy = $state(false);

  $effect(() => {
    Promise.all([ask('get', '/api/templates/{id}/using', { params: { id: passage } }), allLines('PASSAGE')])
      .then(([used, all]) => {
        uses = used;
        others = all.filter((one) => one.stage !== 'DRAFT' && one.id !== passage);
      })
      .catch((failure) => (wrong = sentence(failure)));
  });

  async function exchange() {
    busy = true;
    wrong = '';
    try {
      const { changed } = await ask('post', '/api/templates/{id}/in-its-place', {
        params: { id: passage },
        body: { other: other || null },
      });
      onexchanged(changed, others.find((one) => one.id === other)?.name ?? '');
    } catch (failure) {
      wrong = fieldsOf(failure).other ?? sentence(failure);
    }
    busy = false;
  }
</script>

<Slip title="This passage is used" {anchor} placement="bottom-end" {onclose}>
  {#if uses}
    <p>In <UsedIn {uses} />. It can be deleted once another one is in its place there.</p>
    {#if others.length}
      <Choose
        label="Put in its place"
        bind:value={other}
        empty="choose a passage"
        options={others.map((one) => [one.id, one.name] as const)}
        error={wrong}
      />
      <p class="ways">
        <Button main disabled={!other || busy} onclick={() => void exchange()}>Replace and delete</Button>
        <Button quiet onclick={onclose}>Keep it</Button>
      </p>
      <p class="soft">
        What the templates said before is kept among their versions. Messages that were sent stay as they
        were.
      </p>
    {:else}
      <p class="soft">
        No other passage is ready. Write one in Materials, or take this one out of the templates.
      </p>
    {/if}
  {/if}
  {#if wrong && !others.length}<p role="alert">{wrong}</p>{/if}
</Slip>

<style>
  p {
    margin-bottom: 10px;
  }

  .ways {
    display: flex;
    gap: 10px;
    align-items: center;
  }

  .soft {
    color: var(--ink-soft);
    font-size: 12.5px;
  }
</style>
