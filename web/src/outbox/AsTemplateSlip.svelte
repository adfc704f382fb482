<script lang="ts">
  import { ask, fieldsOf, sentence } from '../api/client';
  import { go } from '../app/router';
  import Button from '../ui/Button.svelte';
  import Field from '../ui/Field.svelte';
  import Slip from '../ui/Slip.svelte';

  /** Names the template that a message becomes, and opens it on the desk. */
  let {
    id,
    subject,
    anchor,
    onclose,
  }: { id: string; subject: string; anchor: HTMLElement; onclose: () => void } = $props();

  const LONGEST_NAME = 120;
  // svelte-ignore state_referenced_locally
  let name = $state(subject.slice(0, LONGEST_NAME));
  let wrong = $state('');

  async function save(event: SubmitEvent) {
    event.preventDefault();
    try {
      const made = await ask('post', '/api/messages/{id}/template', { params: { id }, body: { name } });
      onclose();
      go(`/templates/${made.id}`);
    } catch (failure) {
      wrong = fieldsOf(failure).name ?? sentence(failure);
    }
  }
</script>

<Slip title="As a template" {anchor} {onclose}>
  <form onsubmit={save}>
    <p class="soft">
      Values that came from fields become fields again; your own words stay. It isn’t ready yet.
    </p>
    <Field label="Name of the template" bind:value={name} error={wrong} />
    <Button main type="submit">Create and open</Button>
  </form>
</Slip>

<style>
  .soft {
    margin-bottom: 8px;
    color: var(--ink-soft);
    font-size: 12.5px;
  }
</style>
