<script lang="ts">
  import { ask, fieldsOf, sentence, type Schemas } from '../api/client';
  import { me } from '../app/session.svelte';
  import Button from '../ui/Button.svelte';
  import Field from '../ui/Field.svelte';
  import { notify } from '../ui/notices.svelte';

  /** To how many a mailing goes at most, and how many of its messages leave within an hour and a day. */
  const may = me().role === 'ADMINISTRATOR';
  let most = $state('');
  let perHour = $state('');
  let perDay = $state('');
  let look = $state(false);
  let known = $state(false);
  let wrong = $state.raw<Record<string, string>>({});
  let failed = $state('');

  function show(rules: Schemas['ShownRules']) {
    most = String(rules.most);
    perHour = String(rules.perHour);
    perDay = String(rules.perDay);
    look = rules.look;
    known = true;
  }

  ask('get', '/api/mailings/rules')
    .then(show)
    .catch((failure) => (failed = sentence(failure)));

  const number = (typed: string) => (/^\d{1,9}$/.test(typed.trim()) ? Number(typed) : 0);

  async function keep(event: SubmitEvent) {
    event.preventDefault();
    wrong = {};
    try {
      await ask('put', '/api/mailings/rules', {
        body: { most: number(most), perHour: number(perHour), perDay: number(perDay), look },
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
    <Field
      label="A mailing goes to so many people at most"
      inputmode="numeric"
      disabled={!may}
      bind:value={most}
      error={wrong.most}
    />
    <Field
      label="So many messages leave within an hour"
      inputmode="numeric"
      disabled={!may}
      bind:value={perHour}
      error={wrong.perHour}
    />
    <Field
      label="So many messages leave within a day"
      inputmode="numeric"
      disabled={!may}
      bind:value={perDay}
      error={wrong.perDay}
    />
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
