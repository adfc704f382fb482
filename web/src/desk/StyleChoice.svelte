<script lang="ts">
  import { ask, type Schemas } from '../api/client';
  import Choose from '../ui/Choose.svelte';
  import { drawn } from '../ui/drawn';
  import { withPage } from './body/body';
  import type { Composing } from './body/composing.svelte';
  import PageFields from './body/PageFields.svelte';

  /** The style of a template, what it takes of that, and what it chooses itself. */
  let {
    draft,
    composing,
    onchange,
  }: {
    draft: Schemas['Draft'];
    composing: Composing;
    onchange: (part: Partial<Schemas['Draft']>) => void;
  } = $props();

  let styles = $state<Schemas['ShownStyle'][]>([]);
  const usual = $derived(styles.find((one) => one.usual));
  const chosen = $derived(styles.find((one) => one.id === draft.houseStyle) ?? usual);
  const NONE = 'none';

  function wrappings(names: string[]): [string, string][] {
    const [first, ...others] = names;
    return [['', first], ...others.map((name): [string, string] => [name, name]), [NONE, 'none']];
  }

  void drawn().then(async () => (styles = await ask('get', '/api/materials/house-styles')));
</script>

<Choose
  label="Style"
  value={draft.houseStyle ?? ''}
  options={[
    ['', usual ? `the default (${usual.name})` : 'the default'],
    ...styles.map((one): [string, string] => [one.id, one.name]),
  ]}
  onchange={(code) => onchange({ houseStyle: code || null, header: '', footer: '' })}
/>
{#if draft.mode !== 'LETTER' && chosen}
  {#if chosen.headers.length}
    <Choose
      label="Header"
      value={draft.header ?? ''}
      options={wrappings(chosen.headers)}
      onchange={(code) => onchange({ header: code })}
    />
  {/if}
  {#if chosen.footers.length}
    <Choose
      label="Footer"
      value={draft.footer ?? ''}
      options={wrappings(chosen.footers)}
      onchange={(code) => onchange({ footer: code })}
    />
  {/if}
{/if}
{#if draft.mode !== 'PLAIN'}
  <PageFields
    page={composing.body.page ?? {}}
    style={chosen}
    onchange={(page) => composing.put(withPage(composing.body, page))}
  />
{/if}
