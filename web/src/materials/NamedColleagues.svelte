<script lang="ts">
  import { isEditor } from '../app/session.svelte';
  import { ask, sentence, type Schemas } from '../api/client';
  import Slip from '../ui/Slip.svelte';

  /** Who may change a house style besides editors and administrators; a tick counts at once. */
  let {
    style,
    anchor,
    onnamed,
    onclose,
  }: {
    style: Schemas['ShownStyle'];
    anchor: HTMLElement;
    onnamed: (named: string[]) => void;
    onclose: () => void;
  } = $props();

  let team = $state<Schemas['Colleague'][]>([]);
  let wrong = $state('');
  const others = $derived(team.filter((one) => one.active && !isEditor(one)));

  async function read() {
    try {
      team = await ask('get', '/api/team');
    } catch (failure) {
      wrong = sentence(failure);
    }
  }

  async function name(who: string, may: boolean, box: HTMLInputElement) {
    const named = may ? [...style.named, who] : style.named.filter((one) => one !== who);
    try {
      await ask('put', '/api/materials/house-styles/{id}/named', {
        params: { id: style.id },
        body: { named },
      });
      wrong = '';
      onnamed(named);
    } catch (failure) {
      box.checked = !may;
      wrong = sentence(failure);
    }
  }

  void read();
</script>

<Slip title="Who may change “{style.name}”" {anchor} placement="top-start" {onclose}>
  <p>Editors and administrators may. Besides them:</p>
  {#each others as one (one.id)}
    <label>
      <input
        type="checkbox"
        checked={style.named.includes(one.id)}
        onchange={(event) => void name(one.id, event.currentTarget.checked, event.currentTarget)}
      />
      {one.firstName}
      {one.lastName}
      <small>{one.jobTitle}</small>
    </label>
  {:else}
    <p>There is nobody else in the team.</p>
  {/each}
  {#if wrong}<p class="wrong" role="alert">{wrong}</p>{/if}
</Slip>

<style>
  p {
    margin: 0 0 6px;
  }

  label {
    display: flex;
    gap: 6px;
    align-items: center;
    min-height: 28px;
  }

  small {
    color: var(--ink-soft);
    font-size: 12.5px;
  }

  .wrong {
    color: var(--stop);
  }
</style>
