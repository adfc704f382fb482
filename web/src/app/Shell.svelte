<script lang="ts">
  import { Router, searchParams } from 'sv-router';
  import Notices from '../ui/Notices.svelte';
  import { followChanges, gathered, onChange } from './changes';
  import { keys, onKey, shortcuts } from './keys.svelte';
  import { go, route } from './router';
  import { ask } from '../api/client';
  import { me, session } from './session.svelte';
  import Me from './Me.svelte';
  import ShortcutList from './ShortcutList.svelte';

  /** The spine; digits open its places in their order. */
  const places = [
    { key: '1', label: 'Today', address: '/today' },
    { key: '2', label: 'People', address: '/people' },
    { key: '3', label: 'Deals', address: '/deals' },
    { key: '4', label: 'Templates', address: '/templates' },
    { key: '5', label: 'Mailings', address: '/mailings' },
    { key: '6', label: 'Materials', address: '/materials' },
  ];
  /** Below the rule. */
  const boxes = [
    { key: '7', label: 'Outbox', address: '/outbox' },
    ...(session.now?.demo ? [{ key: '8', label: 'Demo inboxes', address: '/demo-inboxes' }] : []),
  ];
  let waiting = $state(0);
  /** The words of a mailing are part of it, wherever they are written. */
  const at = $derived(
    route.pathname === '/'
      ? '/today'
      : searchParams.get('mailing')
        ? '/mailings'
        : `/${route.pathname.split('/')[1]}`,
  );

  async function countWaiting() {
    const count = await ask('get', '/api/outbox/count').catch(() => null);
    if (count) waiting = count.waiting + count.held;
  }
  const outboxChanged = gathered(countWaiting);

  $effect(() => followChanges());
  $effect(() => onChange((change) => change.what === 'outbox' && outboxChanged()));
  $effect(() =>
    shortcuts([
      ...[...places, ...boxes].map((place) => ({
        key: place.key,
        label: place.label,
        run: () => go(place.address),
      })),
      { key: '/', label: 'Find', run: () => document.querySelector<HTMLElement>('[data-finder]')?.focus() },
      { key: '?', label: 'Keyboard shortcuts', run: () => (keys.shown = !keys.shown) },
    ]),
  );
  void countWaiting();
</script>

<!-- Before the editors see the key: they keep some for themselves. -->
<svelte:window onkeydowncapture={onKey} />

<a class="skip" href="#view">Skip to the page</a>
<div class="shell">
  <nav class="spine" aria-label="Places">
    <ul>
      {#each places as place (place.address)}
        <li>
          <a href={place.address} aria-current={at === place.address ? 'page' : undefined}>{place.label}</a>
        </li>
      {/each}
    </ul>
    <ul class="post">
      {#each boxes as place (place.address)}
        <li>
          <a href={place.address} aria-current={at === place.address ? 'page' : undefined}>
            {place.label}{#if place.address === '/outbox' && waiting}&nbsp;<b
                >{waiting}<span class="unseen"> waiting</span></b
              >{/if}
          </a>
        </li>
      {/each}
    </ul>
    <Me who={me()} here={at === '/profile' || at === '/team' || at === '/company'} />
    <div class="name" aria-hidden="true">Famulus</div>
  </nav>
  <div class="view" id="view" tabindex="-1">
    <Router />
  </div>
</div>
<Notices />
{#if keys.shown}
  <ShortcutList />
{/if}

<style>
  .shell {
    display: grid;
    grid-template-columns: 88px minmax(0, 1fr);
    height: 100%;
  }

  .view {
    min-width: 0;
    min-height: 0;
    outline: none;
  }

  .skip {
    position: absolute;
    top: -40px;
    left: 8px;
    z-index: 9;
    padding: 6px 10px;
    background: var(--sheet);
  }

  .skip:focus {
    top: 8px;
  }

  .spine {
    display: flex;
    flex-direction: column;
    padding-top: 14px;
    background: var(--spine);
    color: var(--spine-ink);
    overflow: hidden auto;
  }

  .spine a {
    display: block;
    padding: 8px 0 8px 14px;
    color: inherit;
    text-decoration: none;
    line-height: 1.25;
  }

  .spine a:hover {
    color: #fff;
  }

  .spine a:focus-visible {
    outline-color: var(--spine-count);
    outline-offset: -3px;
  }

  .spine a[aria-current] {
    margin-left: 6px;
    padding-left: 8px;
    border-radius: 3px 0 0 3px;
    background: var(--paper);
    color: var(--ink);
    font-weight: 600;
  }

  .spine b {
    color: var(--spine-count);
    font-weight: 600;
  }

  .spine a[aria-current] b {
    color: var(--query);
  }

  .post {
    margin-top: 18px;
    padding-top: 10px;
    border-top: 1px solid rgb(255 255 255 / 0.14);
  }

  .name {
    align-self: center;
    padding: 14px 0 16px;
    writing-mode: vertical-rl;
    transform: rotate(180deg);
    font: italic 500 24px/1 var(--serif);
    letter-spacing: 0.02em;
    color: var(--spine-name);
  }

  @media print {
    .spine {
      display: none;
    }

    .shell {
      display: block;
      height: auto;
    }
  }

  @media (width <= 700px) {
    .shell {
      grid-template-columns: minmax(0, 1fr);
      grid-template-rows: auto minmax(0, 1fr);
    }

    .spine {
      flex-direction: row;
      align-items: center;
      padding: 4px 4px 0;
      overflow: auto hidden;
    }

    .spine ul {
      display: flex;
    }

    .spine a,
    .spine a[aria-current] {
      margin: 0;
      padding: 7px 9px;
      border-radius: 3px 3px 0 0;
      white-space: nowrap;
    }

    .post {
      margin: 0;
      padding: 0;
      border: 0;
    }

    .name {
      display: none;
    }
  }
</style>
