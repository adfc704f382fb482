<script lang="ts">
  import { ask, fieldsOf, sentence, type Schemas } from '../api/client';
  import { isEditor } from '../app/session.svelte';
  import Button from '../ui/Button.svelte';
  import InlineButton from '../ui/InlineButton.svelte';
  import { notify } from '../ui/notices.svelte';
  import PlainTable from '../ui/PlainTable.svelte';

  /** What messages to several people are about, for readers to choose from. */
  type Typed = Schemas['TypedTopic'] & { names: Record<string, string> };
  const may = isEditor();
  const languages = [
    ['de', 'German'],
    ['fr', 'French'],
  ] as const;

  let kept = $state.raw<Typed[] | null>(null);
  let typed = $state<Typed[]>([]);
  let wrong = $state<Record<string, string>>({});
  let failed = $state('');
  const changed = $derived(JSON.stringify(typed) !== JSON.stringify(kept));
  const removed = $derived((kept ?? []).filter((one) => !typed.some((other) => other.id === one.id)));

  function take(all: Schemas['Topic'][]) {
    kept = all.map(({ id, name, names }) => ({
      id,
      name,
      names: Object.fromEntries(languages.map(([code]) => [code, names[code] ?? ''])),
    }));
    typed = structuredClone(kept);
    wrong = {};
  }

  ask('get', '/api/topics')
    .then(take)
    .catch((failure) => (failed = sentence(failure)));

  async function keep() {
    try {
      const seen = (kept ?? []).flatMap((one) => one.id ?? []);
      take(await ask('put', '/api/topics', { body: { seen, topics: $state.snapshot(typed) } }));
      notify('The topics are saved.');
    } catch (failure) {
      wrong = fieldsOf(failure);
      if (!Object.keys(wrong).length) notify(sentence(failure), { stop: true });
    }
  }

  function step(at: number) {
    typed = typed.with(at, typed[at - 1]).with(at - 1, typed[at]);
  }
</script>

<p class="soft">
  Whoever gets a message to several people can stop one topic and keep the others. What a topic is called in
  their language is shown to them; without it, the first name is.
  {#if !may}Editors and administrators change them.{/if}
</p>
{#if failed}<p role="alert">{failed}</p>{/if}
{#snippet cell(at: number, part: string, label: string, value: string, put: (value: string) => void)}
  {@const why = wrong[`topics.${at}.${part}`]}
  <td>
    {#if may}
      <input
        aria-label={label}
        aria-invalid={why ? true : undefined}
        {value}
        oninput={(event) => put(event.currentTarget.value)}
      />
      {#if why}<span class="wrong">{why}</span>{/if}
    {:else}{value}{/if}
  </td>
{/snippet}
{#if kept}
  {#if typed.length}
    <PlainTable label="Topics" heads={['Topic', ...languages.map(([, name]) => `In ${name}`), '']}>
      {#each typed as topic, i (i)}
        <tr>
          {@render cell(i, 'name', `Name of topic ${i + 1}`, topic.name, (value) => (topic.name = value))}
          {#each languages as [code, name] (code)}
            {@render cell(
              i,
              code,
              `Topic ${i + 1} in ${name}`,
              topic.names[code] ?? '',
              (value) => (topic.names[code] = value),
            )}
          {/each}
          <td class="ways">
            {#if may}
              {#if i > 0}<InlineButton soft aria-label="Move {topic.name} up" onclick={() => step(i)}
                  >up</InlineButton
                >{/if}
              <InlineButton
                soft
                aria-label="Remove {topic.name}"
                onclick={() => (typed = typed.filter((_, at) => at !== i))}>remove</InlineButton
              >
            {/if}
          </td>
        </tr>
      {/each}
    </PlainTable>
  {:else}
    <p>No topics yet. Without any, readers unsubscribe from everything or from nothing.</p>
  {/if}
  {#if removed.length}
    <p class="soft" role="status">
      What readers chose about {removed.map((one) => `“${one.name}”`).join(', ')} is forgotten when you save.
    </p>
  {/if}
  {#if may}
    <p class="acts">
      <Button onclick={() => (typed = [...typed, { id: null, name: '', names: { de: '', fr: '' } }])}
        >Add a topic</Button
      >
      <Button main disabled={!changed} onclick={() => void keep()}>Save</Button>
    </p>
  {/if}
{/if}

<style>
  .soft {
    max-width: 760px;
    padding-bottom: 12px;
    color: var(--ink-soft);
  }

  .acts {
    display: flex;
    gap: 10px;
    padding-top: 14px;
  }
</style>
