<script lang="ts">
  import { ask } from '../api/client';
  import { onChange } from '../app/changes';

  /** What a person has chosen to get of messages to several people. */
  let { person }: { person: string } = $props();
  let sentence = $state('');

  async function read() {
    sentence = (await ask('get', '/api/topics/chosen/{person}', { params: { person } })).sentence;
  }

  $effect(() => {
    void read().catch(() => undefined);
    return onChange((change) => {
      if (change.what === 'record' && change.id === person) void read().catch(() => undefined);
    });
  });
</script>

{#if sentence}<p>{sentence}</p>{/if}

<style>
  p {
    margin: 0 0 12px;
    padding: 8px 12px;
    border-left: 3px solid var(--query);
    background: var(--sheet);
  }
</style>
