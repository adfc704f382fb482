<script lang="ts">
  import { ask, fieldsOf, sentence } from '../api/client';
  import { readSession, session } from '../app/session.svelte';
  import Button from '../ui/Button.svelte';
  import Field from '../ui/Field.svelte';

  let email = $state('');
  let password = $state('');
  let wrong = $state('');
  let busy = $state(false);
  const demo = $derived(session.now?.demo ?? false);
  const roles = {
    AGENT: 'writes to customers',
    ASSISTANT: 'prepares for others',
    KEEPER: 'keeps the shared templates',
    ADMINISTRATOR: 'keeps people and accounts',
  };

  async function enter(how: () => Promise<unknown>) {
    busy = true;
    wrong = '';
    try {
      await how();
      await readSession();
    } catch (failure) {
      wrong = Object.values(fieldsOf(failure))[0] ?? sentence(failure);
    } finally {
      busy = false;
    }
  }

  function submit(event: SubmitEvent) {
    event.preventDefault();
    void enter(() => ask('post', '/api/session', { body: { email, password } }));
  }

  $effect(() => {
    document.title = 'Sign in · Famulus';
  });
</script>

<div class="door">
  <div class="spine" aria-hidden="true"><span>Famulus</span></div>
  <main>
    <h1>{session.now?.houseName || 'Famulus'}</h1>
    {#if demo}
      <p class="lead">
        This is the demo, with a made-up company and its customers. Nothing you send leaves this machine. Who
        are you today?
      </p>
      <ul>
        {#each session.now?.people ?? [] as person (person.id)}
          <li>
            <button
              disabled={busy}
              onclick={() => void enter(() => ask('post', '/api/session/demo', { body: { id: person.id } }))}
            >
              <span class="who">{person.name}</span>
              <span class="job">{person.jobTitle}</span>
              <span class="role">{roles[person.role]}</span>
            </button>
          </li>
        {/each}
      </ul>
    {:else}
      <form onsubmit={submit}>
        <Field label="E-mail" type="email" autocomplete="username" required bind:value={email} />
        <Field
          label="Password"
          type="password"
          autocomplete="current-password"
          required
          bind:value={password}
        />
        <Button main type="submit" disabled={busy}>Sign in</Button>
      </form>
    {/if}
    {#if wrong}<p class="wrong" role="alert">{wrong}</p>{/if}
  </main>
</div>

<style>
  .door {
    display: grid;
    grid-template-columns: 88px minmax(0, 1fr);
    height: 100%;
  }

  .spine {
    display: flex;
    flex-direction: column;
    justify-content: flex-end;
    align-items: center;
    background: var(--spine);
  }

  .spine span {
    padding: 16px 0;
    writing-mode: vertical-rl;
    transform: rotate(180deg);
    font: italic 500 24px/1 var(--serif);
    color: var(--spine-name);
  }

  main {
    align-self: center;
    width: 100%;
    max-width: 620px;
    padding: 30px 20px 60px;
    margin-left: clamp(0px, 10vw, 180px);
  }

  h1 {
    margin-bottom: 8px;
    font: 500 var(--title) / 1.2 var(--serif);
  }

  .lead {
    max-width: 480px;
    margin-bottom: 18px;
    color: var(--ink-soft);
  }

  form {
    max-width: 300px;
    margin-top: 16px;
  }

  li button {
    display: grid;
    grid-template-columns: 170px 1fr auto;
    gap: 14px;
    align-items: baseline;
    width: 100%;
    padding: 11px 8px;
    border: 0;
    border-top: 1px solid var(--rule);
    background: none;
    color: var(--ink-soft);
    font: var(--base) / 1.3 var(--sans);
    text-align: left;
    cursor: pointer;
  }

  li:last-child button {
    border-bottom: 1px solid var(--rule);
  }

  li button:hover,
  li button:focus-visible {
    background: var(--chosen);
  }

  .who {
    color: var(--ink);
    font: 500 17px/1.2 var(--serif);
  }

  .role {
    color: var(--ink);
  }

  .wrong {
    margin-top: 14px;
    color: var(--stop);
  }

  @media (width <= 700px) {
    .door {
      grid-template-columns: minmax(0, 1fr);
    }

    .spine {
      display: none;
    }

    li button {
      grid-template-columns: 1fr auto;
    }

    .job {
      display: none;
    }
  }
</style>
