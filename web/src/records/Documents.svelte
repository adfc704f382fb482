<script lang="ts">
  import { ask, bring, fieldsOf, sentence, type Schemas } from '../api/client';
  import InlineButton from '../ui/InlineButton.svelte';
  import Button from '../ui/Button.svelte';
  import Choose from '../ui/Choose.svelte';
  import Field from '../ui/Field.svelte';
  import { size } from '../ui/size';
  import Slip from '../ui/Slip.svelte';
  import { notify } from '../ui/notices.svelte';

  /** Quotes, agreements and other papers, with where each stands. They are changed on the deal's page. */
  let { page, onchanged }: { page: Schemas['RecordPage']; onchanged: () => void } = $props();

  type Shown = Schemas['ShownDocument'];
  const states = [
    ['DRAFT', 'draft'],
    ['SENT', 'sent'],
    ['SIGNED', 'signed'],
    ['WITHDRAWN', 'withdrawn'],
  ] as const;
  let open = $state<{ id: string; anchor: HTMLElement } | null>(null);
  let draft = $state({ name: '', link: '', file: null as string | null, state: 'DRAFT' as Shown['state'] });
  /** The file of the document that is open; null where it has none. */
  let file = $state<Schemas['KeptFile'] | null>(null);
  let coming = $state(false);
  let chooser = $state<HTMLInputElement>();
  let wrong = $state<Record<string, string>>({});
  const onDeal = $derived(page.kind === 'deal');

  function begin(event: MouseEvent, document?: Shown) {
    draft = document
      ? { name: document.name, link: document.link, file: document.file?.id ?? null, state: document.state }
      : { name: '', link: '', file: null, state: 'DRAFT' };
    file = document?.file ?? null;
    wrong = {};
    open = { id: document?.id ?? '', anchor: event.currentTarget as HTMLElement };
  }

  async function take(chosen: File | undefined) {
    if (!chosen) return;
    coming = true;
    try {
      file = await bring<Schemas['KeptFile']>(
        `/api/materials/files/apart?name=${encodeURIComponent(chosen.name)}`,
        chosen,
      );
      draft.file = file.id;
      draft.name ||= file.name.replace(/\.[^.]*$/, '');
      wrong = {};
    } catch (failure) {
      wrong = { file: Object.values(fieldsOf(failure))[0] ?? sentence(failure) };
    }
    coming = false;
  }

  async function keep(event: SubmitEvent) {
    event.preventDefault();
    try {
      if (open!.id) {
        await ask('put', '/api/records/deal/{id}/documents/{document}', {
          params: { id: page.id, document: open!.id },
          body: draft,
        });
      } else {
        await ask('post', '/api/records/deal/{id}/documents', { params: { id: page.id }, body: draft });
      }
      open = null;
      onchanged();
    } catch (failure) {
      wrong = fieldsOf(failure);
      if (!Object.keys(wrong).length) wrong = { name: sentence(failure) };
    }
  }

  async function remove() {
    const kept = { ...draft };
    await ask('delete', '/api/records/deal/{id}/documents/{document}', {
      params: { id: page.id, document: open!.id },
    });
    open = null;
    onchanged();
    notify(`“${kept.name}” is no longer on this deal.`, {
      undo: async () => {
        await ask('post', '/api/records/deal/{id}/documents', { params: { id: page.id }, body: kept });
        onchanged();
      },
    });
  }
</script>

{#if page.documents.length || onDeal}
  <section>
    <h2>
      Documents {#if onDeal}<InlineButton onclick={(event) => begin(event)}>add</InlineButton>{/if}
    </h2>
    <ul>
      {#each page.documents as document (document.id)}
        <li>
          {#if document.file}
            <a href="/api/materials/files/{document.file.id}" download={document.file.name}>{document.name}</a
            >
            <span class="size">{size(document.file.size)}</span>
          {:else if document.link}
            <a href={document.link} target="_blank" rel="noreferrer">{document.name}</a>
          {:else}
            <span>{document.name}</span>
          {/if}
          {#if onDeal}
            <span class="remark"
              ><InlineButton soft onclick={(event) => begin(event, document)}>
                {states.find(([code]) => code === document.state)?.[1]}
                {document.since}
              </InlineButton></span
            >
          {:else}
            <span class="remark"
              >{states.find(([code]) => code === document.state)?.[1]} {document.since}</span
            >
          {/if}
        </li>
      {/each}
    </ul>
  </section>
{/if}
{#if open}
  <Slip
    title={open.id ? 'Document' : 'Add a document'}
    anchor={open.anchor}
    placement="left-start"
    onclose={() => (open = null)}
  >
    <form onsubmit={keep}>
      <Field label="Name" bind:value={draft.name} error={wrong.name} />
      <Field label="Link" bind:value={draft.link} error={wrong.link} placeholder="https://" />
      <p class="file">
        {#if file}
          {file.name} <span class="size">{size(file.size)}</span>
          <InlineButton
            soft
            onclick={() => {
              file = null;
              draft.file = null;
            }}>remove</InlineButton
          >
        {:else}
          <InlineButton onclick={() => chooser?.click()}
            >{coming ? 'uploading …' : 'upload a file'}</InlineButton
          >
        {/if}
        <input
          bind:this={chooser}
          type="file"
          hidden
          onchange={(event) => void take(event.currentTarget.files?.[0])}
        />
      </p>
      {#if wrong.file}<p class="wrong" role="alert">{wrong.file}</p>{/if}
      <Choose label="State" bind:value={draft.state} options={states} />
      <Button main type="submit">Save</Button>
      {#if open.id}<Button quiet onclick={() => void remove()}>Remove</Button>{/if}
    </form>
  </Slip>
{/if}

<style>
  h2 {
    margin-bottom: 4px;
    font: 500 15.5px/1.2 var(--serif);
  }

  li {
    display: flex;
    gap: 8px;
    padding: 5px 0;
    border-top: 1px solid var(--rule-soft);
    font-size: 13.5px;
  }

  .size {
    color: var(--ink-soft);
    font-size: 12.5px;
  }

  .file {
    margin-bottom: 8px;
  }

  .wrong {
    margin-bottom: 8px;
    color: var(--stop);
  }

  .remark {
    margin-left: auto;
    color: var(--ink-soft);
    white-space: nowrap;
  }
</style>
