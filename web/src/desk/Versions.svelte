<script lang="ts">
  import { ask, sentence, type Schemas } from '../api/client';
  import { go, route } from '../app/router';
  import Button from '../ui/Button.svelte';
  import Page from '../ui/Page.svelte';
  import { notify } from '../ui/notices.svelte';
  import { dayAndTime } from '../ui/when';

  /** The versions of a template: who kept which when and why, and what has changed since the chosen one. */
  const id = $derived(String((route.params as Record<string, string>).id ?? ''));
  let opened = $state<Schemas['OpenTemplate'] | null>(null);
  let versions = $state<Schemas['Version'][]>([]);
  let changes = $state<Schemas['Change'][] | null>(null);
  let at = $state<number | null>(null);
  let failed = $state('');
  let run = 0;

  const reasons: Record<Schemas['Version']['reason'], string> = {
    READY: 'marked ready',
    USED: 'written from',
    TESTED: 'sent as a test',
    SITTING: 'before another edit',
    REPLACED: 'before something else took its place',
  };
  const kinds: Record<Schemas['Change']['kind'], string> = {
    ADDED: 'new',
    REMOVED: 'gone',
    CHANGED: 'changed',
    MOVED: 'moved',
  };

  async function read() {
    try {
      [opened, versions] = await Promise.all([
        ask('get', '/api/templates/{id}', { params: { id } }),
        ask('get', '/api/templates/{id}/versions', { params: { id } }),
      ]);
      const first = versions.find((one) => one.version !== opened?.template.version) ?? versions[0];
      if (first) await choose(first.version);
    } catch (failure) {
      failed = sentence(failure);
    }
  }

  async function choose(version: number) {
    const mine = ++run;
    at = version;
    try {
      const found = await ask('get', '/api/templates/{id}/versions/{version}/changes', {
        params: { id, version },
      });
      if (mine === run) changes = found;
    } catch (failure) {
      failed = sentence(failure);
    }
  }

  async function restore() {
    const before = opened!.template.version;
    try {
      await ask('post', '/api/templates/{id}/versions/{version}/restore', { params: { id, version: at! } });
      go(`/templates/${id}`);
      notify('The version is restored.', {
        undo: async () => {
          await ask('post', '/api/templates/{id}/versions/{version}/restore', {
            params: { id, version: before },
          });
        },
      });
    } catch (failure) {
      notify(sentence(failure), { stop: true });
    }
  }

  $effect(() => {
    void id;
    void read();
  });

  function onkeydown(event: KeyboardEvent) {
    const way = { ArrowDown: 1, ArrowUp: -1 }[event.key];
    if (!way) return;
    event.preventDefault();
    const all = [...(event.currentTarget as HTMLElement).querySelectorAll('button')];
    all[all.indexOf(document.activeElement as HTMLButtonElement) + way]?.focus();
  }
</script>

<Page title="Versions of {opened?.template.name ?? '…'}">
  {#snippet actions()}
    {#if opened}
      <Button onclick={() => go(`/templates/${id}`)}>Back to the desk</Button>
      {#if opened.mayChange && at !== null && at !== opened.template.version}
        <Button main onclick={() => void restore()}>Restore this version</Button>
      {/if}
    {/if}
  {/snippet}
  {#if failed}
    <p class="said" role="alert">{failed} <a href="/templates">Back to Templates</a></p>
  {:else if opened && !versions.length}
    <p class="said">
      No versions yet. A version is kept when the template is marked ready, tested or used, and before
      somebody continues after an hour or after a colleague.
    </p>
  {:else if opened}
    <div class="sides">
      <nav aria-label="Versions">
        <ul role="presentation" {onkeydown}>
          {#each versions as one (one.version)}
            <li>
              <button aria-current={one.version === at} onclick={() => void choose(one.version)}>
                <span>{dayAndTime(one.changedAt)}, {one.changedBy}</span>
                <small>
                  {reasons[one.reason]}{one.ready ? ' · others use it' : ''}{one.version ===
                  opened.template.version
                    ? ' · as it is now'
                    : ''}
                </small>
              </button>
            </li>
          {/each}
        </ul>
      </nav>
      <section aria-label="What has changed since">
        {#if changes?.length === 0}
          <p class="said">Nothing has changed since.</p>
        {:else if changes}
          <h2>Since then</h2>
          <ol>
            {#each changes as change, i (i)}
              <li>
                <p class="where"><b>{change.where}</b> <span>{kinds[change.kind]}</span></p>
                {#if change.words.length}
                  <p class="words">
                    {#each change.words as stretch, at (at)}{#if stretch.of === 'BEFORE'}<del
                          >{stretch.text}</del
                        >{:else if stretch.of === 'AFTER'}<ins>{stretch.text}</ins
                        >{:else}{stretch.text}{/if}{/each}
                  </p>
                {/if}
                {#if change.settings}<p class="soft">
                    Its settings changed: look, picture or when it is shown.
                  </p>{/if}
              </li>
            {/each}
          </ol>
        {/if}
      </section>
    </div>
  {/if}
</Page>

<style>
  .said {
    padding: 20px;
    color: var(--ink-soft);
  }

  .sides {
    display: grid;
    grid-template-columns: 300px minmax(0, 1fr);
    height: 100%;
  }

  nav {
    overflow: auto;
    border-right: 1px solid var(--rule-soft);
  }

  ul,
  ol {
    margin: 0;
    padding: 0;
    list-style: none;
  }

  nav button {
    display: block;
    width: 100%;
    padding: 8px 20px;
    border: 0;
    border-bottom: 1px solid var(--rule-soft);
    background: none;
    color: var(--ink);
    font: var(--base) / 1.4 var(--sans);
    text-align: left;
    cursor: pointer;
  }

  nav button[aria-current='true'] {
    background: var(--sheet);
    box-shadow: inset 3px 0 0 var(--ink);
  }

  small,
  .soft,
  .where span {
    display: block;
    color: var(--ink-soft);
    font-size: 12.5px;
  }

  .where span {
    display: inline;
    font-style: italic;
  }

  section {
    padding: 16px 24px;
    overflow: auto;
  }

  h2 {
    margin-bottom: 6px;
    font: 500 18px/1.3 var(--serif);
  }

  ol li {
    max-width: 720px;
    padding: 8px 0;
    border-bottom: 1px solid var(--rule-soft);
  }

  .words {
    margin-top: 3px;
    white-space: pre-wrap;
    overflow-wrap: anywhere;
  }

  del {
    background: var(--stop-tint);
    color: var(--stop);
  }

  ins {
    background: var(--chosen);
    color: var(--ink);
    text-decoration: underline 1px;
    text-underline-offset: 3px;
  }

  @media (width <= 700px) {
    .sides {
      display: block;
    }
  }
</style>
