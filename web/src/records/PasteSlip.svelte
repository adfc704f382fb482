<script lang="ts">
  import { ask, fieldsOf, sentence, type Schemas } from '../api/client';
  import Button from '../ui/Button.svelte';
  import { notify } from '../ui/notices.svelte';
  import Slip from '../ui/Slip.svelte';
  import type { KeptList } from './narrowing.svelte';

  /** Puts those onto a fixed list whose addresses are pasted, or are in a file. */
  let {
    list,
    anchor,
    onclose,
    onchanged,
  }: {
    list: KeptList;
    anchor: HTMLElement;
    onclose: () => void;
    onchanged: () => Promise<void>;
  } = $props();

  const example = 'Ines Okafor <ines@larkfield.example>\ntobias@wrenhill.example';
  let text = $state('');
  let found = $state.raw<Schemas['PastedReport'] | null>(null);
  let leads = $state(false);
  let wrong = $state('');
  let busy = $state(false);

  const figure = (of: number) => of.toLocaleString('en');
  const plural = (of: number, one: string, many = `${one}s`) => `${figure(of)} ${of === 1 ? one : many}`;
  const other = $derived(list.kind === 'lead' ? 'contact' : 'lead');
  const fresh = $derived((found?.here ?? 0) - (found?.already ?? 0));

  async function work(what: () => Promise<void>) {
    wrong = '';
    busy = true;
    try {
      await what();
    } catch (failure) {
      wrong = fieldsOf(failure).text ?? sentence(failure);
    } finally {
      busy = false;
    }
  }

  const look = () =>
    work(async () => {
      found = await ask('post', '/api/lists/{id}/pasted', { params: { id: list.id }, body: { text } });
    });

  const take = () =>
    work(async () => {
      const [changed, { name }] = [onchanged, list];
      const done = await ask('post', '/api/lists/{id}/pasted/take', {
        params: { id: list.id },
        body: { text, leads },
      });
      const number = done.here - done.already + (leads && done.mayAdd ? done.freshNumber : 0);
      onclose();
      notify(`${figure(number)} ${number === 1 ? 'is' : 'are'} on “${name}” now.`);
      await changed();
    });

  async function read(file: File | undefined) {
    if (!file) return;
    text = await file.text();
    await look();
  }
</script>

<Slip title="Paste addresses" wide {anchor} placement="bottom-end" {onclose}>
  <label>
    Addresses, however they are written: one a line or many, with names or without, or rows of a table.
    <textarea rows="7" bind:value={text} oninput={() => (found = null)} placeholder={example}></textarea>
  </label>
  <label class="file">
    or a file of them (CSV or text)
    <input
      type="file"
      accept=".csv,.txt,text/csv,text/plain"
      onchange={(event) => void read(event.currentTarget.files?.[0])}
    />
  </label>
  {#if found}
    <ul role="status">
      <li>
        <b>{plural(fresh, list.kind)}</b> to put on the list{found.already
          ? `, and ${figure(found.already)} on it already`
          : ''}.
      </li>
      {#if found.others}
        <li>
          {plural(found.others, other)}: they can’t be on a list of {list.kind}s.
        </li>
      {/if}
      {#if found.freshNumber}
        <li>
          {plural(found.freshNumber, 'address', 'addresses')} that nobody has: {found.fresh
            .slice(0, 3)
            .map((one) => one.address)
            .join(', ')}{found.freshNumber > 3 ? ' …' : '.'}
          {#if found.mayAdd}
            <label class="yes"
              ><input type="checkbox" bind:checked={leads} /> Add {found.freshNumber === 1
                ? 'this one as a lead'
                : 'them as leads'}</label
            >
          {:else}
            To add them as leads, paste them onto a list of leads.
          {/if}
        </li>
      {/if}
      {#if found.twice}<li>{plural(found.twice, 'address', 'addresses')} more than once.</li>{/if}
      {#each found.wrong.slice(0, 5) as one (one.line + one.text)}
        <li class="wrong">Line {figure(one.line)}: {one.sentence}</li>
      {/each}
      {#if found.wrongNumber > 5}<li class="wrong">and {figure(found.wrongNumber - 5)} more.</li>{/if}
    </ul>
  {/if}
  {#if wrong}<p class="wrong" role="alert">{wrong}</p>{/if}
  <p class="ways">
    {#if found}
      <Button main disabled={busy} onclick={() => void take()}>Put on the list</Button>
    {:else}
      <Button main disabled={busy} onclick={() => void look()}>See who they are</Button>
    {/if}
    {#if busy}<span role="status">Looking …</span>{/if}
  </p>
</Slip>

<style>
  label {
    display: block;
    color: var(--ink-soft);
  }

  textarea {
    width: 100%;
    margin-top: 4px;
    padding: 5px 7px;
    border: 1px solid var(--edge);
    border-radius: var(--corner);
    background: var(--sheet);
    color: var(--ink);
    font: 13px/1.4 var(--sans);
  }

  .file {
    margin: 6px 0 10px;
  }

  .file input {
    max-width: 100%;
    font: inherit;
  }

  .file input::file-selector-button {
    margin-right: 6px;
    padding: 3px 8px;
    border: 1px solid var(--edge);
    border-radius: var(--corner);
    background: var(--sheet);
    color: var(--ink);
    font: inherit;
  }

  ul {
    margin: 0 0 10px;
    padding: 0;
    list-style: none;
  }

  li {
    padding: 2px 0;
  }

  .yes {
    display: inline-block;
    margin-left: 6px;
    color: var(--ink);
  }

  .wrong {
    color: var(--stop);
  }

  .ways {
    display: flex;
    gap: 10px;
    align-items: center;
    margin: 0;
  }
</style>
