<script lang="ts">
  import { ask, sentence } from '../api/client';
  import { me } from '../app/session.svelte';
  import { notify } from '../ui/notices.svelte';

  /** Whether it is counted who opens messages and follows their links. */
  const may = me().role === 'ADMINISTRATOR';
  let counts = $state<boolean | null>(null);
  let failed = $state('');

  ask('get', '/api/company/counting')
    .then((read) => (counts = read.counts))
    .catch((failure) => (failed = sentence(failure)));

  async function count(wanted: boolean) {
    try {
      counts = (await ask('put', '/api/company/counting', { body: { counts: wanted } })).counts;
      notify(
        counts
          ? 'Opens and clicks are tracked from the next message on.'
          : 'Opens and clicks are not tracked from the next message on.',
        {
          undo: () => count(!wanted),
        },
      );
    } catch (failure) {
      notify(sentence(failure), { stop: true });
    }
  }
</script>

<p class="soft">
  Letters, designed and HTML messages carry an invisible picture and tracked links, so that you see when they
  were opened and which link was clicked. Plain messages carry neither. Requests by mail filters are
  recognised and don’t count. People whose record says “never counted” are not tracked.
</p>
{#if failed}<p role="alert">{failed}</p>{/if}
{#if counts !== null}
  <label>
    <input
      type="checkbox"
      checked={counts}
      disabled={!may}
      onchange={(event) => void count(event.currentTarget.checked)}
    />
    Track opens and clicks
  </label>
  {#if !may}<p class="soft">Administrators decide this.</p>{/if}
{/if}

<style>
  .soft {
    max-width: 66ch;
    color: var(--ink-soft);
  }

  label {
    display: flex;
    align-items: center;
    gap: 8px;
    min-height: 32px;
    margin-top: 10px;
  }
</style>
