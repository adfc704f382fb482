<script lang="ts">
  import { roleWords } from './roles';
  import { go } from './router';
  import { signOut } from './session.svelte';
  import { chooseTheme, chosenTheme, type Theme } from './theme';
  import { keys } from './keys.svelte';
  import Slip from '../ui/Slip.svelte';
  import Button from '../ui/Button.svelte';
  import type { Schemas } from '../api/client';

  let { who, here }: { who: Schemas['Colleague']; here: boolean } = $props();
  let open = $state(false);
  let opener = $state<HTMLElement>();
  let theme = $state<Theme>(chosenTheme());

  function visit(address: string) {
    open = false;
    go(address);
  }

  async function leave() {
    open = false;
    await signOut();
    go('/', { replace: true });
  }
</script>

<button class="me" class:here bind:this={opener} aria-expanded={open} onclick={() => (open = !open)}>
  {who.firstName}
</button>
{#if open}
  <Slip
    anchor={opener}
    title={`${who.firstName} ${who.lastName}`}
    onclose={() => (open = false)}
    placement="right-end"
  >
    <p class="role">{who.jobTitle || roleWords[who.role]}</p>
    <fieldset>
      <legend>Appearance</legend>
      {#each [['system', 'automatic'], ['light', 'light'], ['dark', 'dark']] as [code, label] (code)}
        <label>
          <input
            type="radio"
            name="theme"
            value={code}
            bind:group={theme}
            onchange={() => chooseTheme(theme)}
          />
          {label}
        </label>
      {/each}
    </fieldset>
    <div class="ways">
      <Button quiet onclick={() => visit('/profile')}>My profile and signature</Button>
      <Button quiet onclick={() => visit('/team')}>Team</Button>
      <Button quiet onclick={() => visit('/company')}>Company settings</Button>
      <Button
        quiet
        onclick={() => {
          open = false;
          keys.shown = true;
        }}>Keyboard shortcuts</Button
      >
      <Button quiet onclick={() => void leave()}>Sign out</Button>
    </div>
  </Slip>
{/if}

<style>
  .me {
    margin-top: auto;
    padding: 8px 0 8px 14px;
    border: 0;
    background: none;
    color: var(--spine-ink);
    font: inherit;
    text-align: left;
    cursor: pointer;
  }

  .me:hover {
    color: #fff;
  }

  .me:focus-visible {
    outline-color: var(--spine-count);
    outline-offset: -3px;
  }

  .me.here {
    color: #fff;
    font-weight: 600;
  }

  .role {
    color: var(--ink-soft);
  }

  fieldset {
    margin: 10px 0;
    padding: 0;
    border: 0;
  }

  legend {
    padding: 0;
    color: var(--ink-soft);
    font-size: var(--small);
  }

  label {
    display: block;
    padding: 2px 0;
  }

  .ways {
    display: flex;
    flex-direction: column;
    align-items: flex-start;
    margin-left: -6px;
  }

  @media (width <= 700px) {
    .me {
      margin: 0 0 0 auto;
      padding: 7px 9px;
    }
  }
</style>
