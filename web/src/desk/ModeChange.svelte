<script lang="ts">
  import { ask, sentence, type Schemas } from '../api/client';
  import { modeLabels } from '../library/about';
  import Button from '../ui/Button.svelte';
  import Choose from '../ui/Choose.svelte';

  /** Changes what a template is written as, once one has seen what can't be carried over. */
  type Mode = NonNullable<Schemas['Draft']['mode']>;
  const become: Record<Mode, string> = {
    LETTER: 'a letter',
    DESIGNED: 'designed',
    PLAIN: 'plain',
    SOURCE: 'a source',
  };
  let { draft, onchange }: { draft: Schemas['Draft']; onchange: (part: Partial<Schemas['Draft']>) => void } =
    $props();

  let asked = $state<Schemas['ChangedMode'] | null>(null);
  let wrong = $state('');
  const mode = $derived<Mode>(draft.mode ?? 'PLAIN');
  const options = Object.entries(modeLabels) as [Mode, string][];

  async function choose(to: string) {
    asked = null;
    wrong = '';
    if (to === mode) return;
    try {
      asked = await ask('post', '/api/desk/mode', {
        body: {
          mode,
          design: draft.design ?? '',
          body: draft.body,
          to: to as Mode,
          houseStyle: draft.houseStyle ?? null,
        },
      });
    } catch (failure) {
      wrong = sentence(failure);
    }
  }

  function change() {
    const { mode: to, design, body } = asked!;
    asked = null;
    onchange({ mode: to, design, body });
  }
</script>

<Choose label="Written as" value={asked?.mode ?? mode} {options} onchange={(to) => void choose(to)} />
{#if asked}
  <div class="asked" role="status">
    {#if asked.lost.length}
      <p>This can’t be carried over:</p>
      <ul>
        {#each asked.lost as one (one)}<li>{one}</li>{/each}
      </ul>
    {:else}
      <p>Everything is carried over.</p>
    {/if}
    <Button main onclick={change}>Make it {become[asked.mode]}</Button>
    <Button quiet onclick={() => (asked = null)}>Cancel</Button>
  </div>
{/if}
{#if wrong}<p class="wrong" role="alert">{wrong}</p>{/if}

<style>
  .asked {
    margin: -4px 0 10px;
    padding: 8px 10px;
    background: var(--query-tint);
    font-size: 13.5px;
  }

  ul {
    margin: 4px 0 8px;
    padding-left: 18px;
    list-style: disc;
  }

  .wrong {
    color: var(--stop);
  }
</style>
