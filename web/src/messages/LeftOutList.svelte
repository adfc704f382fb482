<script lang="ts">
  import { tick } from 'svelte';
  import type { Schemas } from '../api/client';
  import Button from '../ui/Button.svelte';
  import InlineButton from '../ui/InlineButton.svelte';
  import SmallInput from '../ui/SmallInput.svelte';

  /** Who does not get a message, with every reason. Some can be put back, with a reason of one’s own, and be left out again. */
  let {
    out,
    back,
    open = true,
    onchange,
  }: {
    out: Schemas['ShownLeftOut'][];
    /** Those who were put back: who, called what, why. */
    back: { key: string; name: string; reason: string }[];
    /** Whether it can be changed. */
    open?: boolean;
    /** Whoever is put back from now on, with their reasons. */
    onchange: (putBack: Schemas['Meant']['putBack']) => void;
  } = $props();

  /** Who is being put back, and why. */
  let backing = $state('');
  let reason = $state('');
  /** Whose button was pressed. */
  let from = '';
  let list = $state<HTMLElement>();

  // Whoever was put back, or left out, is gone on from: the line has another button now.
  $effect(() => {
    void out;
    const key = from;
    from = '';
    if (key) void tick().then(() => list?.querySelector<HTMLElement>(`[data-key="${key}"] button`)?.focus());
  });

  function askWhy(key: string) {
    backing = key;
    reason = '';
    void tick().then(() => list?.querySelector<HTMLElement>(`[data-key="${key}"] input`)?.focus());
  }

  const plain = () => back.map(({ key, reason }) => ({ key, reason }));

  function putBack(event: SubmitEvent) {
    event.preventDefault();
    if (!reason.trim()) return;
    from = backing;
    onchange([...plain(), { key: backing, reason: reason.trim() }]);
    backing = '';
  }

  function leaveOut(key: string) {
    from = key;
    onchange(plain().filter((one) => one.key !== key));
  }
</script>

{#if out.length || back.length}
  <ul aria-label="Left out" bind:this={list}>
    {#each out as { who, reasons, mayBePutBack } (who.key)}
      <li data-key={who.key}>
        <span><b><bdi>{who.name}</bdi></b> {reasons.join(' ')}</span>
        {#if open && mayBePutBack && backing === who.key}
          <form onsubmit={putBack}>
            <SmallInput
              aria-label="Why {who.name} gets it all the same"
              placeholder="why?"
              maxlength={200}
              bind:value={reason}
              onkeydown={(event) => {
                if (event.key !== 'Escape') return;
                event.stopPropagation();
                backing = '';
              }}
            />
            <Button quiet type="submit" disabled={!reason.trim()}>Put back</Button>
          </form>
        {:else if open && mayBePutBack}
          <InlineButton aria-label="Put {who.name} back" onclick={() => askWhy(who.key)}
            >put back</InlineButton
          >
        {/if}
      </li>
    {/each}
    {#each back.filter((one) => one.name) as one (one.key)}
      <li data-key={one.key}>
        <span><b><bdi>{one.name}</bdi></b> gets it all the same: <q>{one.reason}</q></span>
        {#if open}
          <InlineButton aria-label="Leave {one.name} out" onclick={() => leaveOut(one.key)}
            >leave out</InlineButton
          >
        {/if}
      </li>
    {/each}
  </ul>
{/if}

<style>
  ul {
    max-height: 180px;
    margin: 6px 0 10px;
    padding: 0;
    overflow: auto;
    border: solid var(--rule-soft);
    border-width: 1px 0;
    list-style: none;
    line-height: 1.45;
  }

  li {
    display: flex;
    gap: 10px;
    align-items: baseline;
    justify-content: space-between;
    min-height: 27px;
    padding: 3px 3px 3px 0;
    border-bottom: 1px solid var(--rule-soft);
  }

  li:last-child {
    border-bottom: 0;
  }

  form {
    display: flex;
    gap: 6px;
    align-items: center;
  }
</style>
