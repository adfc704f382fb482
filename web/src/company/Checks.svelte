<script lang="ts">
  import { ask, sentence, type Schemas } from '../api/client';
  import { me } from '../app/session.svelte';
  import { notify } from '../ui/notices.svelte';

  /** What the proofreader looks for, how often each check was ignored, and what it is to do. */
  type Check = Schemas['CheckSetting'];
  const may = ['ADMINISTRATOR', 'KEEPER'].includes(me().role);
  const levels: Record<Check['level'], string> = { QUERY: 'To check', STOP: 'Must fix', OFF: 'Off' };
  let checks = $state.raw<Check[]>([]);
  let failed = $state('');

  ask('get', '/api/company/checks')
    .then((read) => (checks = read))
    .catch((failure) => (failed = sentence(failure)));

  async function set({ code, title, level: before }: Check, level: Check['level'], back = false) {
    try {
      checks = await ask('put', '/api/company/checks/{code}', { params: { code }, body: { level } });
      if (!back) {
        notify(`${title}: ${levels[level].toLowerCase()} from now on.`, {
          undo: () => set({ code, title, level, ignored: 0 }, before, true),
        });
      }
    } catch (failure) {
      notify(sentence(failure), { stop: true });
      // The choice that was refused is not left standing.
      checks = [...checks];
    }
  }

  function times({ ignored }: Check): string {
    return ignored === 1 ? 'ignored once' : `ignored ${ignored} times`;
  }
</script>

<p class="soft">
  What the proofreader asks about in messages and templates, the checks ignored most often first. A check that
  nobody needs can be turned off for everybody; one that matters can stop messages until it is dealt with.
</p>
{#if failed}<p role="alert">{failed}</p>{/if}
<!-- Who may not decide has nothing else to focus here, and scrolls by the keyboard all the same. -->
<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<ul aria-label="Checks" tabindex={may ? undefined : 0}>
  {#each checks as check (check.code)}
    <li>
      <span id="check-{check.code}">{check.title}</span>
      <span class="soft">{check.ignored ? times(check) : ''}</span>
      {#if may}
        <select
          aria-labelledby="check-{check.code}"
          value={check.level}
          onchange={(event) => void set(check, event.currentTarget.value as Check['level'])}
        >
          {#each Object.entries(levels) as [level, label] (level)}<option value={level}>{label}</option
            >{/each}
        </select>
      {:else}
        <span>{levels[check.level]}</span>
      {/if}
    </li>
  {/each}
</ul>
{#if checks.length && !may}<p class="soft">Editors and administrators decide this.</p>{/if}

<style>
  .soft {
    max-width: 66ch;
    color: var(--ink-soft);
  }

  ul {
    max-width: 640px;
    margin: 12px 0;
    padding: 0;
    border-top: 1px solid var(--rule);
    list-style: none;
  }

  li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto 110px;
    gap: 14px;
    align-items: center;
    min-height: 36px;
    border-bottom: 1px solid var(--rule-soft);
    font-variant-numeric: tabular-nums;
  }

  select {
    min-height: 28px;
    padding: 2px 6px;
    border: 1px solid var(--edge);
    border-radius: var(--corner);
    background: var(--sheet);
    color: var(--ink);
    font: inherit;
  }
</style>
