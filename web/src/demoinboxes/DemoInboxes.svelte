<script lang="ts">
  import { ask, sentence, type Schemas } from '../api/client';
  import { onChange } from '../app/changes';
  import { route } from '../app/router';
  import MailReading from '../outbox/MailReading.svelte';
  import Button from '../ui/Button.svelte';
  import Page from '../ui/Page.svelte';
  import { notify } from '../ui/notices.svelte';
  import { dayAndTime } from '../ui/when';

  /** The inboxes of the demo's made-up recipients, read as they would read them. */
  let post = $state<Schemas['Post'] | null>(null);
  let letters = $state<Schemas['LetterLine'][]>([]);
  let letter = $state<Schemas['Letter'] | null>(null);
  const address = $derived(String((route.params as Record<string, string>).address ?? ''));
  /** The inbox that somebody reads in, who has named none: until then it is the one with the newest message. */
  let kept = $state('');
  const inbox = $derived(address || kept || (post?.inboxes[0]?.address ?? ''));
  /** The message that was asked for last, whether it is here yet or not. */
  let wanted = 0;

  async function read() {
    try {
      post = await ask('get', '/api/demo-inboxes');
    } catch (failure) {
      notify(sentence(failure), { stop: true });
    }
  }

  async function open(id: number) {
    wanted = id;
    const read = await ask('get', '/api/demo-inboxes/letters/{id}', { params: { id } });
    // Another one may have been asked for meanwhile.
    if (wanted === id) letter = read;
  }

  function choose(id: number) {
    kept = inbox;
    void open(id);
  }

  $effect(() => {
    const at = inbox;
    void post;
    if (!at) return;
    void ask('get', '/api/demo-inboxes/letters', { query: { address: at } }).then((found) => {
      if (at !== inbox) return;
      letters = found;
      if (found.some((one) => one.id === wanted)) return;
      letter = null;
      if (found[0]) void open(found[0].id);
    });
  });
  $effect(() => onChange((change) => change.what === 'outbox' && void read()));
  void read();

  async function openOrClose() {
    try {
      post = await ask('put', '/api/demo-inboxes', { body: { open: !post?.open } });
    } catch (failure) {
      notify(sentence(failure), { stop: true });
    }
  }
</script>

<Page title="Demo inboxes" crumb="what the demo’s made-up recipients have received">
  {#snippet actions()}
    {#if post}
      <span class="state" class:closed={!post.open} aria-live="polite">
        {post.open
          ? 'The demo’s mail server is running'
          : 'The demo’s mail server is stopped: messages wait in the outbox'}
      </span>
      <Button onclick={() => void openOrClose()}
        >{post.open ? 'Stop the mail server' : 'Start the mail server'}</Button
      >
    {/if}
  {/snippet}
  {#if post && !post.inboxes.length}
    <p class="said">
      Nobody has received anything yet. Open somebody under People and write to them; it arrives here.
    </p>
  {:else if post}
    <div class="columns">
      <nav aria-label="Inboxes">
        <ul>
          {#each post.inboxes as one (one.address)}
            <li>
              <a
                href="/demo-inboxes/{encodeURIComponent(one.address)}"
                aria-current={one.address === inbox ? 'page' : undefined}
              >
                <span>{one.address}</span> <small>{one.letters}</small>
              </a>
            </li>
          {/each}
        </ul>
      </nav>
      <section aria-label="Messages" class="letters">
        <ul>
          {#each letters as one (one.id)}
            <li>
              <button aria-pressed={letter?.id === one.id} onclick={() => choose(one.id)}>
                <span class="from">{one.from}</span>
                <span class="subject">{one.subject}</span>
                <span class="first">{one.firstWords}</span>
                <time datetime={one.arrivedAt}>{dayAndTime(one.arrivedAt)}</time>
              </button>
            </li>
          {/each}
        </ul>
      </section>
      <section aria-label="Message" class="letter">
        {#if letter}
          <p class="who">{letter.read.from} <span>to {letter.read.to}</span></p>
          <MailReading read={letter.read} />
        {/if}
      </section>
    </div>
  {/if}
</Page>

<style>
  .state {
    color: var(--good);
    font-size: 13px;
  }

  .closed {
    color: var(--query);
  }

  .said {
    padding: 24px 20px;
    color: var(--ink-soft);
  }

  .columns {
    display: grid;
    grid-template-columns: 230px 300px minmax(0, 1fr);
    height: 100%;
  }

  nav,
  section {
    min-height: 0;
    overflow: auto;
    border-right: 1px solid var(--rule);
  }

  .letter {
    padding: 14px 20px;
    border: 0;
    background: var(--shade);
  }

  nav a {
    display: flex;
    justify-content: space-between;
    gap: 8px;
    padding: 7px 12px 7px 20px;
    border-bottom: 1px solid var(--rule-soft);
    color: var(--ink);
    text-decoration: none;
  }

  nav a span {
    overflow: hidden;
    text-overflow: ellipsis;
  }

  nav a[aria-current],
  .letters button[aria-pressed='true'] {
    background: var(--chosen);
    box-shadow: inset 3px 0 0 var(--ink);
  }

  small,
  time {
    color: var(--ink-soft);
    font-size: 12.5px;
  }

  .letters button {
    display: flex;
    flex-direction: column;
    width: 100%;
    padding: 8px 14px;
    border: 0;
    border-bottom: 1px solid var(--rule-soft);
    background: none;
    color: var(--ink);
    font: inherit;
    text-align: left;
    cursor: pointer;
  }

  .letters span {
    max-width: 100%;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }

  .from,
  .first {
    color: var(--ink-soft);
    font-size: 12.5px;
  }

  .subject {
    font-weight: 600;
  }

  .who {
    font-weight: 600;
  }

  .who span {
    color: var(--ink-soft);
    font-weight: 400;
  }

  @media (width <= 700px) {
    .columns {
      display: block;
      height: auto;
    }

    nav,
    section {
      border: 0;
    }
  }
</style>
