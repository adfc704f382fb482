<script lang="ts">
  import { ask, fieldsOf, sentence, type Schemas } from '../api/client';
  import { onChange } from '../app/changes';
  import { isEditor, me } from '../app/session.svelte';
  import InlineButton from '../ui/InlineButton.svelte';
  import Button from '../ui/Button.svelte';
  import Field from '../ui/Field.svelte';
  import PlainTable from '../ui/PlainTable.svelte';
  import { notify } from '../ui/notices.svelte';
  import { day } from '../ui/when';
  import { isUsed } from '../library/inItsPlace';
  import BringIn from './BringIn.svelte';
  import ReplaceMaterial from './ReplaceMaterial.svelte';

  /** Feeds whose newest entries a message can show, each as it was read last. */
  const editor = isEditor();
  const administrator = me().role === 'ADMINISTRATOR';

  let feeds = $state<Schemas['ShownFeed'][] | null>(null);
  let failed = $state('');
  let address = $state('');
  let wrong = $state('');
  let reading = $state('');
  /** One that was to be deleted, and is used. */
  let used = $state.raw<{ feed: Schemas['ShownFeed']; anchor: HTMLElement } | null>(null);

  async function read() {
    try {
      feeds = await ask('get', '/api/materials/feeds');
      failed = '';
    } catch (failure) {
      failed = sentence(failure);
    }
  }

  async function add(event: SubmitEvent) {
    event.preventDefault();
    reading = address;
    wrong = '';
    try {
      await ask('post', '/api/materials/feeds/addresses', { body: { address } });
      address = '';
      await read();
    } catch (failure) {
      wrong = Object.values(fieldsOf(failure))[0] ?? sentence(failure);
    }
    reading = '';
  }

  async function readAgain(feed: Schemas['ShownFeed']) {
    reading = feed.name;
    try {
      await ask('post', '/api/materials/feeds/{id}/read', { params: { id: feed.id } });
      await read();
      notify(`“${feed.name}” is up to date.`);
    } catch (failure) {
      notify(Object.values(fieldsOf(failure))[0] ?? sentence(failure), { stop: true });
    }
    reading = '';
  }

  async function remove(feed: Schemas['ShownFeed'], anchor: HTMLElement) {
    try {
      await ask('delete', '/api/materials/feeds/{id}', { params: { id: feed.id } });
      notify(`“${feed.name}” is deleted.`);
      await read();
    } catch (failure) {
      if (isUsed(failure)) used = { feed, anchor };
      else notify(sentence(failure), { stop: true });
    }
  }

  $effect(() => onChange((change) => change.what === 'feed' && void read()));
  void read();
</script>

{#snippet ledger()}
  {#if failed}<p class="wrong" role="alert">{failed}</p>{/if}
  {#if reading}<p role="status">reading {reading} …</p>{/if}
  {#if feeds}
    <PlainTable label="Feeds" heads={['Name', 'Newest entry', 'Entries', 'Comes from', 'Read', '']}>
      {#each feeds as feed (feed.id)}
        <tr>
          <td>{feed.name}</td>
          <td>{feed.newest}</td>
          <td>{feed.entries}</td>
          <td class="soft from"><bdi>{feed.address || 'a file'}</bdi></td>
          <td>{day(feed.readAt)}</td>
          <td class="ways">
            {#if editor}
              {#if feed.address}<InlineButton onclick={() => void readAgain(feed)}>refresh</InlineButton>{/if}
              <InlineButton soft onclick={(event) => void remove(feed, event.currentTarget)}
                >delete</InlineButton
              >
            {/if}
          </td>
        </tr>
      {:else}
        <tr><td colspan="6" class="soft">No feed yet. Editors import them.</td></tr>
      {/each}
    </PlainTable>
  {/if}
  {#if administrator}
    <form onsubmit={add}>
      <Field
        label="Or add one by its address"
        bind:value={address}
        error={wrong}
        remark="Never from a private network. A message that was sent keeps what the feed had then."
      />
      <Button type="submit" disabled={!address.trim() || !!reading}>Add feed</Button>
    </form>
  {/if}
{/snippet}

{#if editor}
  <BringIn
    label="Import feeds"
    says="RSS or Atom, up to 2 MB; a feed with the same title is replaced."
    accept=".xml,.rss,.atom,application/rss+xml,application/atom+xml,text/xml"
    address={(file) => `/api/materials/feeds?name=${encodeURIComponent(file.name)}`}
    onbrought={read}
  >
    {@render ledger()}
  </BringIn>
{:else}
  <div class="place">{@render ledger()}</div>
{/if}

{#if used}
  <ReplaceMaterial
    what="FEED"
    thing={used.feed}
    others={feeds ?? []}
    anchor={used.anchor}
    onclose={() => (used = null)}
    ondone={() => void read()}
  />
{/if}

<style>
  .place {
    padding: 14px 20px 40px;
  }

  .wrong {
    color: var(--stop);
  }

  .soft {
    color: var(--ink-soft);
  }

  .from {
    overflow-wrap: anywhere;
  }

  .ways {
    white-space: nowrap;
  }

  form {
    max-width: 480px;
    margin-top: 20px;
  }
</style>
