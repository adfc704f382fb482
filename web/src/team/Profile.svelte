<script lang="ts">
  import { ask, fieldsOf, sentence } from '../api/client';
  import { me, session } from '../app/session.svelte';
  import Button from '../ui/Button.svelte';
  import Field from '../ui/Field.svelte';
  import RecordPicture from '../records/RecordPicture.svelte';
  import Page from '../ui/Page.svelte';
  import { notify } from '../ui/notices.svelte';

  const who = me();
  let profile = $state({
    firstName: who.firstName,
    lastName: who.lastName,
    jobTitle: who.jobTitle,
    phone: who.phone,
    signature: who.signature,
  });
  let picture = $state<string | null>(null);
  let answersTo = $state('');
  let seconds = $state('');
  let inMyName = $state(false);
  let mailings = $state(false);
  let password = $state('');
  let old = $state('');
  let wrong = $state<Record<string, string>>({});

  function readPicture() {
    ask('get', '/api/team/{id}/picture', { params: { id: who.id } })
      .then((read) => (picture = read.picture))
      .catch((failure) => notify(sentence(failure), { stop: true }));
  }
  readPicture();

  ask('get', '/api/profile/answers')
    .then((read) => (answersTo = read.answersTo))
    .catch((failure) => notify(sentence(failure), { stop: true }));

  ask('get', '/api/profile/take-back')
    .then((read) => (seconds = String(read.seconds)))
    .catch((failure) => notify(sentence(failure), { stop: true }));

  ask('get', '/api/profile/in-my-name')
    .then((read) => {
      inMyName = read.allowed;
      mailings = read.mailings;
    })
    .catch((failure) => notify(sentence(failure), { stop: true }));

  async function keep(event: SubmitEvent) {
    event.preventDefault();
    try {
      await ask('put', '/api/profile/answers', { body: { answersTo } });
      await ask('put', '/api/profile/take-back', { body: { seconds: Number(seconds) } });
      await ask('put', '/api/profile/in-my-name', { body: { allowed: inMyName, mailings } });
      session.now!.who = await ask('put', '/api/profile', { body: profile });
      wrong = {};
      notify('Your profile is saved.');
    } catch (failure) {
      wrong = fieldsOf(failure);
      if (!Object.keys(wrong).length) notify(sentence(failure), { stop: true });
    }
  }

  async function change(event: SubmitEvent) {
    event.preventDefault();
    try {
      await ask('put', '/api/team/{id}/password', { params: { id: who.id }, body: { password, old } });
      password = '';
      old = '';
      wrong = {};
      notify('Your password is changed.');
    } catch (failure) {
      wrong = fieldsOf(failure);
    }
  }
</script>

<Page title="My profile" crumb="what templates take from you as the sender">
  <div class="columns">
    <form onsubmit={keep}>
      <RecordPicture
        of={{ colleague: who.id }}
        name="{who.firstName} {who.lastName}"
        {picture}
        onchanged={readPicture}
      />
      <div class="two">
        <Field label="First name" bind:value={profile.firstName} error={wrong.firstName} />
        <Field label="Surname" bind:value={profile.lastName} error={wrong.lastName} />
      </div>
      <Field label="Job title" bind:value={profile.jobTitle} error={wrong.jobTitle} />
      <Field label="Phone" bind:value={profile.phone} error={wrong.phone} />
      <Field
        label="Replies go to, if elsewhere"
        placeholder={who.email}
        bind:value={answersTo}
        error={wrong.answersTo}
      />
      <Field
        label="Seconds to take a message back"
        type="number"
        min="0"
        max="60"
        bind:value={seconds}
        error={wrong.seconds}
        remark="A message waits so long before it leaves. 0 sends it at once."
      />
      <label class="allow">
        <input type="checkbox" bind:checked={inMyName} />
        Colleagues may write in my name to contacts, leads and deals that I own
      </label>
      <label class="allow">
        <input type="checkbox" bind:checked={mailings} />
        Colleagues may send mailings in my name, to anybody
      </label>
      <Field label="Signature" lines={5} bind:value={profile.signature} error={wrong.signature} />
      <Button main type="submit">Save</Button>
    </form>
    {#if !session.now?.demo}
      <form onsubmit={change}>
        <Field
          label="Your password now"
          type="password"
          autocomplete="current-password"
          bind:value={old}
          error={wrong.old}
        />
        <Field
          label="New password"
          type="password"
          autocomplete="new-password"
          bind:value={password}
          error={wrong.password}
          remark="At least 12 characters."
        />
        <Button type="submit">Change password</Button>
      </form>
    {/if}
  </div>
</Page>

<style>
  .columns {
    display: grid;
    grid-template-columns: minmax(0, 480px) minmax(0, 300px);
    gap: 50px;
    padding: 20px;
  }

  .allow {
    display: block;
    margin-bottom: 10px;
  }

  .two {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 12px;
  }

  @media (width <= 700px) {
    .columns {
      grid-template-columns: 1fr;
    }
  }
</style>
