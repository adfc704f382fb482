<script lang="ts">
  import { ask, sentence } from '../api/client';
  import { go, recordAddress } from '../app/router';
  import RecordFinder from '../records/RecordFinder.svelte';
  import Slip from '../ui/Slip.svelte';
  import SmallSelect from '../ui/SmallSelect.svelte';

  /** Chooses whom the words of a message are sent to again; it is a draft first. */
  let { id, anchor, onclose }: { id: string; anchor: HTMLElement; onclose: () => void } = $props();

  let kind = $state<'contact' | 'lead'>('contact');
  let wrong = $state('');

  async function choose(person: string) {
    if (!person) return;
    try {
      const draft = await ask('post', '/api/messages/{id}/again', { params: { id }, body: { kind, person } });
      onclose();
      go(recordAddress(kind, person), { search: `?draft=${draft.id}` });
    } catch (failure) {
      wrong = sentence(failure);
    }
  }
</script>

<Slip title="Send again to…" {anchor} {onclose}>
  <p class="soft">The same words with their values: a draft that you read before it is sent.</p>
  {#key kind}
    <RecordFinder
      label={kind === 'lead' ? 'Lead' : 'Contact'}
      {kind}
      error={wrong}
      onchoose={(person) => void choose(person)}
    />
  {/key}
  <p class="kind">
    <SmallSelect
      aria-label="Contact or lead"
      value={kind}
      onchange={(event) => (kind = event.currentTarget.value === 'lead' ? 'lead' : 'contact')}
    >
      <option value="contact">to a contact</option>
      <option value="lead">to a lead</option>
    </SmallSelect>
  </p>
</Slip>

<style>
  .soft {
    margin-bottom: 8px;
    color: var(--ink-soft);
    font-size: 12.5px;
  }

  .kind {
    margin-top: 2px;
  }
</style>
