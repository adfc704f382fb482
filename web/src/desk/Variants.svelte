<script lang="ts">
  import { ask, fieldsOf, sentence, type Schemas } from '../api/client';
  import { onChange } from '../app/changes';
  import { go } from '../app/router';
  import Button from '../ui/Button.svelte';
  import Choose from '../ui/Choose.svelte';
  import Slip from '../ui/Slip.svelte';

  /** The languages a template is written in: the other desks, and one more. */
  let {
    id,
    mayChange,
    variants = $bindable(),
  }: { id: string; mayChange: boolean; variants: Schemas['ShownVariant'][] } = $props();

  let adding = $state(false);
  let opener = $state<HTMLButtonElement>();
  let own = $state('');
  let language = $state('');
  let wrong = $state('');
  const there = $derived(variants.filter((one) => one.id));
  const missing = $derived(variants.filter((one) => !one.id));
  const alone = $derived(there.length < 2);
  const all = $derived(variants.map((one) => [one.language, one.name] as const));
  const offered = $derived(
    alone ? all.filter(([code]) => code !== own) : missing.map((one) => [one.language, one.name] as const),
  );

  async function read(of: string) {
    variants = await ask('get', '/api/templates/{id}/variants', { params: { id: of } }).catch(() => []);
    own = there.find((one) => one.id === of)?.language ?? '';
    language = missing[0]?.language ?? '';
  }

  $effect(() => void read(id));
  $effect(() => onChange((change) => change.what === 'template' && change.id === id && void read(id)));

  async function add(event: SubmitEvent) {
    event.preventDefault();
    try {
      const made = await ask('post', '/api/templates/{id}/variants', {
        params: { id },
        body: { language, own: alone ? own : null },
      });
      adding = false;
      go(`/templates/${made.template.id}`);
    } catch (failure) {
      wrong = Object.values(fieldsOf(failure))[0] ?? sentence(failure);
    }
  }
</script>

{#if !alone || (mayChange && missing.length)}
  <nav aria-label="Languages">
    {#if !alone}
      {#each there as one (one.language)}
        <a href="/templates/{one.id}" aria-current={one.id === id ? 'page' : undefined}>{one.name}</a>
      {/each}
    {/if}
    {#if mayChange && missing.length}
      <Button quiet bind:element={opener} aria-expanded={adding} onclick={() => (adding = !adding)}
        >{alone ? 'add a language' : 'add another'}</Button
      >
    {/if}
  </nav>
{/if}
{#if adding}
  <Slip title="Add a language" anchor={opener} onclose={() => (adding = false)}>
    <form onsubmit={add}>
      <p class="says">
        A copy to translate. Whoever is written to gets the one in their language, once it is ready.
      </p>
      {#if alone}<Choose label="This one is in" bind:value={own} options={all} />{/if}
      <Choose label="The new one is in" bind:value={language} options={offered} error={wrong} />
      <Button main type="submit">Create</Button>
    </form>
  </Slip>
{/if}

<style>
  nav {
    display: flex;
    flex: none;
    gap: 10px;
    align-items: center;
    margin-left: 4px;
    font-size: 13px;
  }

  a {
    color: var(--ink);
    text-decoration: none;
  }

  a[aria-current] {
    border-bottom: 2px solid var(--ink);
    color: var(--ink);
    font-weight: 600;
  }

  .says {
    margin-bottom: 8px;
    color: var(--ink-soft);
    font-size: 13px;
  }
</style>
