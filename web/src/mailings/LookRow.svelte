<script lang="ts">
  import { ask, fieldsOf, sentence, type Schemas } from '../api/client';
  import { me } from '../app/session.svelte';
  import Button from '../ui/Button.svelte';
  import InlineButton from '../ui/InlineButton.svelte';
  import SmallInput from '../ui/SmallInput.svelte';
  import SmallSelect from '../ui/SmallSelect.svelte';
  import type { MailingSheet } from './mailingSheet.svelte';
  import { place } from './mailingWords';

  /** A colleague’s look at a mailing: asked for, given, or sent back with what is said of its parts and messages. */
  let { sheet }: { sheet: MailingSheet } = $props();

  const PARTS = ['Who', 'What', 'Previews', 'When', 'Goal'];
  const look = $derived(sheet.seen);
  let colleagues = $state.raw<Schemas['Colleague'][]>([]);
  let part = $state('What');
  let words = $state('');
  let wrong = $state('');

  ask('get', '/api/team')
    .then((all) => (colleagues = all.filter((one) => one.active && one.id !== me().id)))
    .catch(() => undefined);

  async function act(how: () => Promise<unknown>) {
    wrong = '';
    try {
      await sheet.keep();
      await how();
      await sheet.load();
    } catch (failure) {
      wrong = Object.values(fieldsOf(failure))[0] ?? sentence(failure);
    }
  }

  const toAsk = (colleague: string) =>
    act(() => ask('post', '/api/mailings/{id}/look', { params: { id: sheet.id }, body: { colleague } }));

  function remark(event: SubmitEvent) {
    event.preventDefault();
    if (!words.trim()) return;
    sheet.remarks = [...sheet.remarks, { part, words: words.trim(), key: null, name: null, quote: null }];
    words = '';
  }

  const answer = (approved: boolean) =>
    act(async () => {
      await ask('post', '/api/mailings/{id}/look/answer', {
        params: { id: sheet.id },
        body: { approved, comments: sheet.remarks },
      });
      sheet.remarks = [];
    });
</script>

{#if sheet.looking}
  <p>
    <b>You are asked to look at it.</b> Say what is to be changed, of a part here or of a message in its preview,
    or approve it as it is.
  </p>
  <form onsubmit={remark}>
    <SmallSelect
      aria-label="About which part"
      value={part}
      onchange={(event) => (part = event.currentTarget.value)}
    >
      {#each PARTS as one (one)}<option value={one}>{one}</option>{/each}
    </SmallSelect>
    <SmallInput aria-label="What is to be changed" maxlength={500} bind:value={words} />
    <Button quiet type="submit" disabled={!words.trim()}>Add</Button>
  </form>
  {#if sheet.remarks.length}
    <ul>
      {#each sheet.remarks as one, i (i)}
        <li>
          <b>{place(one)}:</b>
          {one.words}
          <InlineButton
            soft
            aria-label="Remove remark {i + 1}"
            onclick={() => (sheet.remarks = sheet.remarks.filter((_, at) => at !== i))}>×</InlineButton
          >
        </li>
      {/each}
    </ul>
  {/if}
  <p class="ways">
    <Button onclick={() => void answer(true)}>Approve it</Button>
    <Button quiet disabled={!sheet.remarks.length} onclick={() => void answer(false)}>Send it back</Button>
  </p>
{:else if look}
  <p>
    {#if look.approved}
      {look.asked} has approved it as it is.
    {:else if sheet.sentBack.comments.length}
      {look.asked} has sent it back:
    {:else if look.answeredAt}
      It has changed since {look.asked} approved it.
    {:else if look.asked}
      {look.asked} is asked to look at it.
    {/if}
    {#if sheet.open}
      <SmallSelect
        word
        aria-label="Ask a colleague to look at it"
        style="max-width: none"
        value=""
        onchange={(event) => {
          const colleague = event.currentTarget.value;
          event.currentTarget.value = '';
          if (colleague) void toAsk(colleague);
        }}
      >
        <option value="">{look.asked ? 'ask again …' : 'ask a colleague to look at it …'}</option>
        {#each colleagues as one (one.id)}<option value={one.id}>{one.firstName} {one.lastName}</option
          >{/each}
      </SmallSelect>
    {/if}
  </p>
  {#if sheet.sentBack.comments.length}
    <ul aria-label="What is to be changed">
      {#each sheet.sentBack.comments as one, i (i)}<li><b>{place(one)}:</b> {one.words}</li>{/each}
    </ul>
  {/if}
{/if}
{#if wrong || sheet.wrong.look}<p class="wrong" role="alert">{wrong || sheet.wrong.look}</p>{/if}

<style>
  form,
  .ways {
    display: flex;
    gap: 8px;
    align-items: center;
  }

  ul {
    list-style: none;
  }

  .wrong {
    color: var(--stop);
  }
</style>
