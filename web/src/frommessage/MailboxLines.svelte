<script lang="ts">
  import type { Schemas } from '../api/client';
  import Button from '../ui/Button.svelte';
  import Field from '../ui/Field.svelte';
  import { fitting } from './mailbox';

  /** The messages of a mailbox file, the newest first: one of them is chosen. */
  let {
    mailbox,
    onchoose,
    onclose,
  }: {
    mailbox: Schemas['Mailbox'];
    onchoose: (message: Schemas['MailboxMessage']) => void;
    onclose: () => void;
  } = $props();

  const SHOWN = 100;
  let typed = $state('');
  const fits = $derived(fitting(mailbox.messages, typed));
  const focus = (element: HTMLElement) => element.focus();
  const day = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium' });
</script>

<section aria-label="Messages of the mailbox file">
  <div class="head">
    <Field label="Find one by its subject or whom it went to" bind:value={typed} {@attach focus} />
    <Button onclick={onclose}>Another file</Button>
  </div>
  <ul>
    {#each fits.slice(0, SHOWN) as one (one.start)}
      <li>
        <button type="button" onclick={() => onchoose(one)}>
          <b>{one.subject || 'without a subject'}</b>
          <span>{one.to}</span>
          <small>{one.sent ? day.format(new Date(one.sent)) : ''}</small>
        </button>
      </li>
    {:else}
      <li class="none">No message here has these words.</li>
    {/each}
  </ul>
  {#if fits.length > SHOWN}<p>{fits.length - SHOWN} more: type a few letters to find them.</p>{/if}
  {#if mailbox.found > mailbox.messages.length}
    <p>The file has {mailbox.found} messages; these are the newest {mailbox.messages.length}.</p>
  {/if}
</section>

<style>
  section {
    max-width: 720px;
    padding-top: 14px;
  }

  .head {
    display: flex;
    align-items: end;
    gap: 10px;
  }

  .head :global(> :first-child) {
    flex: 1;
  }

  .head :global(button) {
    margin-bottom: 12px;
  }

  ul {
    margin: 0 0 10px;
    padding: 0;
    border-top: 1px solid var(--rule-soft);
    list-style: none;
  }

  li button {
    display: grid;
    grid-template-columns: minmax(0, 3fr) minmax(0, 2fr) max-content;
    gap: 12px;
    width: 100%;
    min-height: 28px;
    padding: 5px 8px;
    border: 0;
    border-bottom: 1px solid var(--rule-soft);
    background: none;
    color: var(--ink);
    font: 13.5px/1.35 var(--sans);
    text-align: left;
    cursor: pointer;
  }

  li button:hover {
    background: var(--chosen);
  }

  b,
  span {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }

  small,
  p,
  .none {
    color: var(--ink-soft);
    font-size: 12.5px;
  }

  .none {
    padding: 8px;
  }

  @media (width <= 600px) {
    li button {
      grid-template-columns: minmax(0, 1fr) max-content;
      row-gap: 0;
    }

    li span {
      grid-row: 2;
    }
  }
</style>
