<script lang="ts">
  import SignIn from '../team/SignIn.svelte';
  import Shell from './Shell.svelte';
  import { readSession, session } from './session.svelte';

  void readSession();

  $effect(() => {
    const signedOut = () => void readSession();
    window.addEventListener('famulus:signed-out', signedOut);
    return () => window.removeEventListener('famulus:signed-out', signedOut);
  });
</script>

{#if session.now?.who}
  <Shell />
{:else if session.now?.firstRun}
  {#await import('../team/Welcome.svelte') then { default: Welcome }}
    <Welcome />
  {/await}
{:else if session.now}
  <SignIn />
{:else if session.known}
  <main class="failed">
    <p>{session.failed} <button onclick={() => void readSession()}>Try again</button></p>
  </main>
{/if}

<style>
  .failed {
    padding: 20px;
  }
</style>
