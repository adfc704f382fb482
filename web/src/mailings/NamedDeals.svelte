<script lang="ts">
  import { ask, sentence, type Schemas } from '../api/client';
  import RecordFinder from '../records/RecordFinder.svelte';
  import InlineButton from '../ui/InlineButton.svelte';
  import PlainTable from '../ui/PlainTable.svelte';
  import { notify } from '../ui/notices.svelte';

  /** Deals that somebody says came of a mailing, and what they brought. */
  let {
    id,
    mayChange,
    came,
    onchanged,
  }: {
    /** Of the mailing. */
    id: string;
    mayChange: boolean;
    came: Schemas['CameOfIt'];
    onchanged: () => Promise<unknown>;
  } = $props();

  let naming = $state(false);
  const summary = $derived(
    [
      came.brought.length
        ? `Those that were won brought ${came.brought.join(' and ')}`
        : 'None of them has been won',
      came.open.length ? `; those still open would bring ${came.open.join(' and ')}` : '',
      came.left ? `. Once the planned cost is paid, ${came.left} is left` : '',
      '.',
    ].join(''),
  );

  /** Says that a deal came of it, or says so no more. */
  async function say(deal: string, cameOfIt: boolean) {
    try {
      await ask(cameOfIt ? 'put' : 'delete', '/api/mailings/{id}/report/deals/{deal}', {
        params: { id, deal },
      });
      await onchanged();
    } catch (failure) {
      notify(sentence(failure), { stop: true });
    }
  }
</script>

{#if came.deals.length || mayChange}
  <h3>Deals that came of it</h3>
  {#if came.deals.length}
    <div class="deals">
      <PlainTable
        label="Deals that came of it"
        heads={['deal', 'stage', 'value', '']}
        widths={['', '24%', '100px', '28px']}
      >
        {#each came.deals as deal (deal.id)}
          {@const soft = deal.standing !== 'WON'}
          <tr>
            <td><a href="/deals/{deal.id}"><bdi>{deal.name}</bdi></a></td>
            <td class:soft>{deal.stage}</td>
            <td class="worth" class:soft>{deal.worth}</td>
            <td class="ways">
              {#if mayChange}
                <InlineButton
                  soft
                  aria-label="{deal.name} did not come of it"
                  onclick={() => void say(deal.id, false)}>×</InlineButton
                >
              {/if}
            </td>
          </tr>
        {/each}
      </PlainTable>
    </div>
    <p role="status">{summary}</p>
  {/if}
  {#if mayChange}
    {#if naming}
      <div class="find">
        {#key came.deals.length}
          <RecordFinder
            label="Name a deal that came of it"
            kind="deal"
            ready
            onchoose={(deal) => void say(deal, true)}
          />
        {/key}
      </div>
    {:else}
      <InlineButton onclick={() => (naming = true)}
        >{came.deals.length ? 'name another …' : 'name a deal …'}</InlineButton
      >
    {/if}
  {/if}
{/if}

<style>
  h3 {
    margin-top: 8px;
    font: 500 15px/1.4 var(--serif);
  }

  .deals {
    max-width: 760px;
  }

  .worth {
    white-space: nowrap;
  }

  a {
    color: var(--ink);
  }

  .find {
    max-width: 340px;
  }
</style>
