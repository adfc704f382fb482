<script lang="ts">
  import { ask, fieldsOf, sentence, type Schemas } from '../api/client';
  import { me } from '../app/session.svelte';
  import Button from '../ui/Button.svelte';
  import Choose from '../ui/Choose.svelte';
  import Slip from '../ui/Slip.svelte';
  import { handOver, type Sorted } from './sorting';

  /** Hands templates to a colleague. */
  let {
    templates,
    anchor,
    onclose,
    onchanged,
  }: {
    templates: readonly Sorted[];
    anchor: HTMLElement;
    onclose: () => void;
    onchanged: () => Promise<void>;
  } = $props();

  let colleagues = $state.raw<Schemas['Colleague'][]>([]);
  let wanted = $state('');
  let wrong = $state('');

  ask('get', '/api/team')
    .then((all) => {
      colleagues = all.filter((one) => one.active);
      wanted = colleagues.find((one) => one.id !== me().id)?.id ?? '';
    })
    .catch((failure) => (wrong = sentence(failure)));

  async function go(event: SubmitEvent) {
    event.preventDefault();
    const to = colleagues.find((one) => one.id === wanted);
    if (!to) return;
    try {
      await handOver(templates, to, onchanged);
      onclose();
    } catch (failure) {
      wrong = fieldsOf(failure).owner ?? sentence(failure);
    }
  }
</script>

<Slip
  title={templates.length === 1
    ? `Hand over “${templates[0].name}”`
    : `Hand over ${templates.length} templates`}
  {anchor}
  {onclose}
>
  <form onsubmit={go}>
    <Choose
      label="To"
      bind:value={wanted}
      options={colleagues.map((one) => [one.id, `${one.firstName} ${one.lastName}`] as const)}
      error={wrong}
    />
    <p class="soft">
      It is theirs from then on. In a folder they don’t see, it moves to their own templates.
    </p>
    <Button main type="submit" disabled={!wanted}>Hand over</Button>
  </form>
</Slip>

<style>
  .soft {
    margin: 0 0 12px;
    color: var(--ink-soft);
    font-size: 13px;
  }
</style>
