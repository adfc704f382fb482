<script lang="ts">
  import { ask, fieldsOf, sentence, type Schemas } from '../api/client';
  import FieldInput from '../records/FieldInput.svelte';
  import Button from '../ui/Button.svelte';
  import Slip from '../ui/Slip.svelte';

  type Piece = Schemas['ShownPiece'];

  /** Fills a gap: with a value for this message only, or on the record for good. */
  let {
    piece,
    anchor,
    onmessage,
    onrecord,
    onclose,
  }: {
    piece: Piece;
    anchor: HTMLElement;
    /** Takes the value for this message; throws what is wrong with it. */
    onmessage: (path: string, value: string) => Promise<void>;
    onrecord: () => Promise<void>;
    onclose: () => void;
  } = $props();

  let value = $state('');
  let wrong = $state('');
  let owner = $state<Schemas['RecordPage'] | null>(null);
  const words = $derived(piece.path.split('.'));
  const fact = $derived(owner?.facts.find((one) => one.name === words[1]));

  /** The record the value belongs to, when it is on one. */
  async function findOwner() {
    const { place } = piece;
    // A document's or the history's own values are not typed on a record's page.
    if (!place || words[0] === 'document' || words[0] === 'history') return;
    owner = await ask('get', '/api/records/{kind}/{id}', { params: { kind: place.kind, id: place.id } });
  }

  $effect(() => {
    void piece;
    findOwner().catch(() => (owner = null));
  });

  async function forMessage() {
    try {
      await onmessage(piece.path, value);
      onclose();
    } catch (failure) {
      wrong = Object.values(fieldsOf(failure))[0] ?? sentence(failure);
    }
  }

  async function onTheRecord() {
    try {
      await ask('patch', '/api/records/{kind}/{id}', {
        params: { kind: owner!.kind, id: owner!.id },
        body: { version: owner!.version, values: { [words[1]]: value } },
      });
      await onrecord();
      onclose();
    } catch (failure) {
      wrong = Object.values(fieldsOf(failure))[0] ?? sentence(failure);
    }
  }
</script>

<Slip
  title={piece.origin === 'BROKEN' ? 'This field can’t be read' : `${piece.label} is missing`}
  {anchor}
  {onclose}
>
  {#if piece.origin === 'BROKEN'}
    <p>Delete it here, or write the real words in its place.</p>
  {:else}
    <!-- svelte-ignore a11y_no_static_element_interactions -->
    <div
      onkeydown={(event) => {
        if (event.key === 'Enter' && (event.target as HTMLElement).tagName !== 'BUTTON') {
          event.preventDefault();
          void forMessage();
        }
      }}
    >
      <FieldInput
        label={piece.label}
        type={fact?.type ?? piece.type}
        choices={fact?.choices ?? []}
        bind:value
        invalid={wrong !== ''}
      />
    </div>
    {#if wrong}<p class="wrong" role="alert">{wrong}</p>{/if}
    <p class="ways">
      <Button main onclick={() => void forMessage()}>For this message</Button>
      {#if fact}<Button onclick={() => void onTheRecord()}>Save to the record</Button>{/if}
    </p>
    {#if words[0] === 'sender'}<p class="remark">It comes from <a href="/profile">your profile</a>.</p>{/if}
  {/if}
</Slip>

<style>
  .ways {
    display: flex;
    gap: 8px;
    margin-top: 10px;
  }

  .wrong {
    margin-top: 4px;
    color: var(--stop);
  }

  .remark {
    margin-top: 8px;
    color: var(--ink-soft);
  }
</style>
