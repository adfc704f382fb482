<script lang="ts">
  import { ask, sentence, type Schemas } from '../api/client';
  import { draftOf } from '../desk/draftOf';
  import { proofOf } from '../desk/proofOf';
  import type { Way } from '../ui/MessageFrame.svelte';
  import { day } from '../ui/when';
  import { aboutLabels, modeLabels } from './about';
  import DesignPreview from './DesignPreview.svelte';
  import { Looking } from './looking.svelte';

  /** The chosen template as somebody real would read it, and what else is to be said of it. */
  let { line }: { line: Schemas['TemplateLine'] } = $props();

  const looking = new Looking();
  let failed = $state('');
  let way = $state<Way>('wide');

  $effect(() => {
    const { id, about } = line;
    looking.at(
      () => {
        failed = '';
        return prove(id, about);
      },
      (failure) => (failed = sentence(failure)),
    );
  });
  $effect(() => () => looking.end());

  /** Merged for the first person it could go to. */
  async function prove(id: string, about: Schemas['TemplateLine']['about']) {
    const [opened, { person }] = await Promise.all([
      ask('get', '/api/templates/{id}', { params: { id } }),
      ask('get', '/api/desk/people/step', { query: { about, forward: true } }),
    ]);
    const kind = person.kind as 'contact' | 'lead';
    return proofOf(draftOf(opened.template), id, { kind, id: person.id, deal: person.dealId ?? null });
  }

  const stages = { DRAFT: 'not ready', READY: 'ready', CHANGED: 'changed since it was ready' };
  const told = $derived(
    [
      `${modeLabels[line.mode]}, for ${aboutLabels[line.about]}`,
      stages[line.stage],
      line.mine ? 'mine' : `owned by ${line.owner}`,
      `changed ${day(line.changedAt)}`,
      line.lastUsed ? `you wrote from it ${day(line.lastUsed)}` : '',
    ]
      .filter(Boolean)
      .join(' · '),
  );
</script>

<section aria-label="Preview of {line.name}">
  <h2>{line.name}</h2>
  <p class="told">{told}</p>
  {#if looking.proof}
    <DesignPreview proof={looking.proof} name="The message" bind:way />
  {:else if failed}
    <p class="told">{failed}</p>
  {/if}
</section>

<style>
  section {
    min-width: 0;
    padding: 12px 20px 20px;
    overflow: auto;
    border-left: 1px solid var(--rule);
    background: var(--shade);
  }

  h2 {
    margin: 0;
    font: 500 18px/1.3 var(--serif);
  }

  .told {
    margin: 2px 0 10px;
    color: var(--ink-soft);
    font-size: 13px;
  }
</style>
