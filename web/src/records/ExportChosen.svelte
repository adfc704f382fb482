<script lang="ts">
  import { download, sentence, type Schemas } from '../api/client';
  import Button from '../ui/Button.svelte';
  import Slip from '../ui/Slip.svelte';

  /** Takes chosen records out into a file. */
  let {
    choice,
    number,
    anchor,
    onclose,
  }: {
    choice: Schemas['Choice'];
    number: string;
    anchor: HTMLElement;
    onclose: () => void;
  } = $props();

  let wrong = $state('');

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

<Slip title="Export {number}" {anchor} placement="top-start" {onclose}>
  <p class="ways">
    <Button main onclick={() => void take('csv')}>CSV file</Button>
    {#if choice.kind !== 'deal'}<Button onclick={() => void take('vcf')}>vCard file</Button>{/if}
  </p>
  {#if wrong}<p role="alert">{wrong}</p>{/if}
</Slip>

<style>
  .ways {
    display: flex;
    gap: 8px;
    margin: 0;
  }
</style>
