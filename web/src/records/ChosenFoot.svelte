<script lang="ts">
  import { ask, fieldsOf, sentence, type Schemas } from '../api/client';
  import { go } from '../app/router';
  import Button from '../ui/Button.svelte';
  import { notify } from '../ui/notices.svelte';
  import AddToListSlip from './AddToListSlip.svelte';
  import type { Narrowing } from './narrowing.svelte';
  import SetFieldSlip from './SetFieldSlip.svelte';

  /** What can be done with the records that are chosen in a list. */
  let {
    narrowing,
    choice,
    number,
    total,
    about,
    onall,
    onnone,
    onchanged,
  }: {
    narrowing: Narrowing;
    choice: Schemas['ListSelection'];
    number: number;
    /** How many the list shows. */
    total: number;
    /** Whether the total is an estimate. */
    about: boolean;
    onall: () => void;
    onnone: () => void;
    onchanged: () => void;
  } = $props();

  type What = 'write' | 'list' | 'field' | 'export';
  const figure = (of: number) => of.toLocaleString('en');
  const said = $derived(`${about && choice.all ? 'about ' : ''}${figure(number)}`);
  const list = $derived(
    narrowing.list && !narrowing.list.live && narrowing.list.mayChange ? narrowing.list : null,
  );
  let open = $state.raw<{ what: What; anchor: HTMLElement } | null>(null);

  const show = (what: What) => (event: MouseEvent) =>
    (open = open?.what === what ? null : { what, anchor: event.currentTarget as HTMLElement });

  /** Begins a mailing to those who are chosen. */
  async function mail() {
    try {
      const name = `To ${said} ${choice.kind}${number === 1 ? '' : 's'}`;
      const { id } = await ask('post', '/api/mailings', { body: { name, choice } });
      go(`/mailings/${id}`);
    } catch (failure) {
      notify(Object.values(fieldsOf(failure))[0] ?? sentence(failure), { stop: true });
    }
  }

  async function removeThem() {
    if (!list) return;
    const { id, name } = list;
    const asked = { ...choice };
    try {
      const { number: taken } = await ask('post', '/api/lists/{id}/members/take-off', {
        params: { id },
        body: { choice: asked },
      });
      onnone();
      await narrowing.renew();
      onchanged();
      notify(`${figure(taken)} ${taken === 1 ? 'is' : 'are'} removed from “${name}”.`);
    } catch (failure) {
      notify(sentence(failure), { stop: true });
    }
  }
</script>

<span role="status">{said} chosen</span>
{#if !choice.all && number < total}
  <Button quiet onclick={onall}>Choose all {about ? 'about ' : ''}{figure(total)}</Button>
{/if}
{#if choice.kind !== 'organisation'}<Button quiet onclick={show('write')}>Write to them…</Button>
  <Button quiet onclick={() => void mail()}>Mailing to them</Button>{/if}
<Button quiet onclick={show('list')}>Add to a list…</Button>
{#if list}<Button quiet onclick={() => void removeThem()}>Remove from this list</Button>{/if}
<Button quiet onclick={show('field')}>Set a field…</Button>
<Button quiet onclick={show('export')}>Export…</Button>
<Button quiet onclick={onnone}>Choose none</Button>
{#if open?.what === 'write'}
  {@const { anchor } = open}
  {#await import('../messages/WriteToMany.svelte') then { default: WriteToMany }}
    <WriteToMany {choice} lists={narrowing.lists} {anchor} onclose={() => (open = null)} />
  {/await}
{:else if open?.what === 'list'}
  <AddToListSlip
    {choice}
    number={said}
    lists={narrowing.lists}
    anchor={open.anchor}
    onclose={() => (open = null)}
    ondone={() => narrowing.renew()}
  />
{:else if open?.what === 'field'}
  <SetFieldSlip
    {choice}
    number={said}
    anchor={open.anchor}
    onclose={() => (open = null)}
    ondone={onchanged}
  />
{:else if open?.what === 'export'}
  {@const { anchor } = open}
  {#await import('./ExportChosen.svelte') then { default: ExportChosen }}
    <ExportChosen {choice} number={said} {anchor} onclose={() => (open = null)} />
  {/await}
{/if}
