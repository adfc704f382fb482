<script lang="ts">
  import { ask, fieldsOf, sentence, type Schemas } from '../api/client';
  import { readSession } from '../app/session.svelte';
  import PlaceFields from '../company/PlaceFields.svelte';
  import Button from '../ui/Button.svelte';
  import Field from '../ui/Field.svelte';

  const here = Intl.DateTimeFormat().resolvedOptions().timeZone;
  let choices = $state<Schemas['Choices'] | null>(null);
  let first = $state({
    houseName: '',
    country: 'GB',
    timeZone: here || 'Europe/London',
    currency: 'GBP',
    firstName: '',
    lastName: '',
    email: '',
    password: '',
  });
  let wrong = $state<Record<string, string>>({});
  let said = $state('');

  async function submit(event: SubmitEvent) {
    event.preventDefault();
    try {
      await ask('post', '/api/first-run', { body: first });
      await readSession();
    } catch (failure) {
      wrong = fieldsOf(failure);
      said = Object.keys(wrong).length ? '' : sentence(failure);
    }
  }

  ask('get', '/api/choices')
    .then((all) => (choices = all))
    .catch((failure) => (said = sentence(failure)));

  $effect(() => {
    document.title = 'Welcome · Famulus';
  });
</script>

<main>
  <h1>Welcome to Famulus</h1>
  <p>
    Nobody has been set up yet. You will be the administrator: you keep people, fields and accounts, and can
    write like everybody else.
  </p>
  {#if choices}
    <form onsubmit={submit}>
      <h2>Your company</h2>
      <Field label="Name" required bind:value={first.houseName} error={wrong.houseName} />
      <div class="three">
        <PlaceFields bind:place={first} {choices} {wrong} />
      </div>
      <h2>You</h2>
      <div class="two">
        <Field label="First name" required bind:value={first.firstName} error={wrong.firstName} />
        <Field label="Surname" required bind:value={first.lastName} error={wrong.lastName} />
      </div>
      <Field label="E-mail" required bind:value={first.email} error={wrong.email} autocomplete="username" />
      <Field
        label="Password"
        type="password"
        required
        bind:value={first.password}
        error={wrong.password}
        remark="At least 12 characters."
        autocomplete="new-password"
      />
      {#if said}<p class="said" role="alert">{said}</p>{/if}
      <Button main type="submit">Begin</Button>
    </form>
  {:else if said}
    <p class="said" role="alert">{said}</p>
  {/if}
</main>

<style>
  main {
    max-width: 560px;
    margin: 0 auto;
    padding: 40px 20px;
  }

  h1 {
    font: 500 var(--title) / 1.2 var(--serif);
  }

  h2 {
    margin: 18px 0 8px;
    font: 500 var(--large) / 1.2 var(--serif);
  }

  .two,
  .three {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 12px;
  }

  .three {
    grid-template-columns: 1fr 1fr 1fr;
  }

  .said {
    margin-bottom: 10px;
    color: var(--stop);
  }
</style>
