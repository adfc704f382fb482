<script lang="ts">
  import { download, sentence, type Schemas } from '../api/client';
  import Button from '../ui/Button.svelte';
  import PapersForMany from '../messages/PapersForMany.svelte';
  import Slip from '../ui/Slip.svelte';

  /** Takes chosen records out into a file. */
  let {
    choice,
    number,
    anchor,
    onclose,
  }: {
    choice: Schemas['ListSelection'];
    number: string;
    anchor: HTMLElement;
    onclose: () => void;
  } = $props();

  let wrong = $state('');
  let onPaper = $state(false);

  async function take(as: 'csv' | 'vcf') {
    wrong = '';
    try {
      await download('/api/exports/chosen', { choice, as }, `${choice.kind}s.${as}`);
      onclose();
    } catch (failure) {
      wrong = sentence(failure);
    }
  }
</script>

<Slip
  title={onPaper ? `A letter on paper for each of ${number}` : `Export ${number}`}
  {anchor}
  placement="top-start"
  page={onPaper}
  {onclose}
>
  {#if onPaper}
    <PapersForMany {choice} {onclose} />
  {:else}
    <p class="ways">
      <Button main onclick={() => void take('csv')}>CSV file</Button>
      {#if choice.kind !== 'deal'}<Button onclick={() => void take('vcf')}>vCard file</Button>{/if}
      {#if choice.kind !== 'organisation'}<Button onclick={() => (onPaper = true)}>Letters as PDF…</Button
        >{/if}
    </p>
  {/if}
  {#if wrong}<p role="alert">{wrong}</p>{/if}
</Slip>

<style>
  .ways {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    margin: 0;
  }
</style>
