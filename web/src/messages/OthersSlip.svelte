<script lang="ts">
  import type { Schemas } from '../api/client';
  import Button from '../ui/Button.svelte';
  import Field from '../ui/Field.svelte';
  import Slip from '../ui/Slip.svelte';

  /** Who else gets a message, where answers go, and how its person’s name is shown. */
  let {
    anchor,
    wishes,
    shown,
    name,
    onchange,
    onclose,
  }: {
    anchor: HTMLElement;
    wishes: Schemas['SendingWishes'];
    shown: Schemas['ShownEnvelope'];
    /** Whom it is written to. */
    name: string;
    onchange: (wishes: Schemas['SendingWishes']) => void;
    onclose: () => void;
  } = $props();

  const also = $derived(wishes.also ?? []);
  let cc = $state(joined('cc'));
  let bcc = $state(joined('bcc'));
  let replyTo = $state(starting('replyTo'));
  let toName = $state(starting('toName'));

  function joined(part: 'cc' | 'bcc'): string {
    return (wishes[part] ?? []).join(', ');
  }

  function starting(part: 'replyTo' | 'toName'): string {
    return wishes[part] ?? '';
  }

  /** Addresses are parted by commas, semicolons or lines. */
  function parted(typed: string): string[] {
    return typed
      .split(/[,;\n]/)
      .map((one) => one.trim())
      .filter(Boolean);
  }

  function take(part: Partial<Schemas['SendingWishes']>) {
    onchange({ ...wishes, ...part });
  }
</script>

<Slip title="Who else gets it" {anchor} {onclose}>
  {#if shown.also.length || shown.nearby.length}
    <fieldset>
      <legend>Together with {name}, and greeted with them</legend>
      {#each [...shown.also, ...shown.nearby] as one (one.id)}
        <label>
          <input
            type="checkbox"
            checked={also.includes(one.id)}
            disabled={!one.address && !also.includes(one.id)}
            onchange={(event) =>
              take({
                also: event.currentTarget.checked ? [...also, one.id] : also.filter((id) => id !== one.id),
              })}
          />
          {one.name}
          <small>{[one.remark, one.address || 'no e-mail address'].filter(Boolean).join(' · ')}</small>
        </label>
      {/each}
    </fieldset>
  {/if}
  <Field
    label="Copy to (cc)"
    bind:value={cc}
    error={shown.wrong.cc}
    placeholder="name@example.com, …"
    onchange={() => take({ cc: parted(cc) })}
  />
  <Field
    label="Hidden copy to (bcc)"
    bind:value={bcc}
    error={shown.wrong.bcc}
    onchange={() => take({ bcc: parted(bcc) })}
  />
  <Field
    label="Replies go to"
    bind:value={replyTo}
    error={shown.wrong.replyTo}
    placeholder={shown.replyTo}
    onchange={() => take({ replyTo: replyTo.trim() || null })}
  />
  <Field
    label="Their name as it is shown"
    bind:value={toName}
    error={shown.wrong.toName}
    placeholder={name}
    onchange={() => take({ toName: toName.trim() || null })}
  />
  <Button onclick={onclose}>Done</Button>
</Slip>

<style>
  fieldset {
    max-height: 180px;
    margin: 0 0 10px;
    padding: 0;
    overflow: auto;
    border: 0;
  }

  legend {
    padding: 0 0 2px;
    color: var(--ink-soft);
    font-size: 12.5px;
  }

  label {
    display: block;
    padding: 2px 0;
  }

  small {
    display: block;
    padding-left: 22px;
    color: var(--ink-soft);
  }
</style>
