<script lang="ts">
  import { ask, fieldsOf, sentence, type Schemas } from '../api/client';
  import { me } from '../app/session.svelte';
  import Button from '../ui/Button.svelte';
  import Field from '../ui/Field.svelte';
  import { notify } from '../ui/notices.svelte';

  /** To how many a mailing goes at most, and how many of its messages leave within an hour and a day. */
  const may = me().role === 'ADMINISTRATOR';
  const called = {
    most: 'A mailing goes to so many people at most',
    perHour: 'So many messages leave within an hour',
    perDay: 'So many messages leave within a day',
  };
  const rules = ['most', 'perHour', 'perDay'] as const;
  let typed = $state({ most: '', perHour: '', perDay: '' });
  let look = $state(false);
  let known = $state(false);
  let wrong = $state.raw<Record<string, string>>({});
  let failed = $state('');

  function show(kept: Schemas['SendingRules']) {
    for (const rule of rules) typed[rule] = String(kept[rule]);
    look = kept.look;
    known = true;
  }

  ask('get', '/api/mailings/rules')
    .then(show)
    .catch((failure) => (failed = sentence(failure)));

  const number = (said: string) => (/^\d{1,9}$/.test(said.trim()) ? Number(said) : 0);

  async function keep(event: SubmitEvent) {
    event.preventDefault();
    wrong = {};
    try {
      await ask('put', '/api/mailings/rules', {
        body: {
          most: number(typed.most),
          perHour: number(typed.perHour),
          perDay: number(typed.perDay),
          look,
        },
      });
      notify('Saved. It counts from the next message on.');
    } catch (failure) {
      wrong = fieldsOf(failure);
      if (!Object.keys(wrong).length) notify(sentence(failure), { stop: true });
    }
  }
</script>

<p class="soft">
  A mailing is one template to a list of people. Its messages leave one by one, each after the messages that
  are written to somebody alone, and no faster than your mail provider likes.
</p>
{#if failed}<p role="alert">{failed}</p>{/if}
{#if known}
  <form onsubmit={keep}>
    {#each rules as rule (rule)}
      <Field
        label={called[rule]}
        inputmode="numeric"
        disabled={!may}
        bind:value={typed[rule]}
        error={wrong[rule]}
      />
    {/each}
    <label class="look"
      ><input type="checkbox" disabled={!may} bind:checked={look} /> A colleague has to approve each mailing before
      it goes</label
    >
    {#if may}<Button main type="submit">Save</Button>{:else}<p class="soft">
        Administrators decide this.
      </p>{/if}
  </form>
{/if}

<style>
  .soft {
    max-width: 66ch;
    color: var(--ink-soft);
  }

  .look {
    display: flex;
    gap: 8px;
  }

  form {
    display: grid;
    gap: 10px;
    max-width: 340px;
    margin-top: 12px;
    justify-items: start;
  }
</style>
