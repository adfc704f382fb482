<script lang="ts">
  import { ask, type Schemas } from '../api/client';

  /** Says in the envelope that a message is one of several, what about, and why its reader gets it all the same. */
  let { several }: { several: NonNullable<Schemas['SendingWishes']['several']> } = $props();

  let topics = $state.raw<Schemas['Topic'][]>([]);
  const topic = $derived(topics.find((one) => one.id === several.topic)?.name);

  $effect(() => {
    if (several.topic)
      ask('get', '/api/topics')
        .then((all) => (topics = all))
        .catch(() => undefined);
  });
</script>

<span>· one of several</span>
{#if topic}<span>about <b>{topic}</b></span>{/if}
{#if several.reason}<span>, put back: <q>{several.reason}</q></span>{/if}
