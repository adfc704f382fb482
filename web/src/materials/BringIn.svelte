<script lang="ts">
  import type { Snippet } from 'svelte';
  import { fieldsOf, send, sentence } from '../api/client';
  import Button from '../ui/Button.svelte';
  import DropArea from '../ui/DropArea.svelte';

  /** A place where files are brought in, by choosing or by dropping them; below it what is there already. */
  let {
    label,
    says,
    accept,
    address,
    onbrought,
    place,
    children,
  }: {
    label: string;
    /** What may be brought in. */
    says: string;
    accept?: string;
    /** Where a file is sent to. */
    address: (file: File) => string;
    /** They have been brought in, as far as they could be. */
    onbrought: () => Promise<void>;
    /** Where one says where they go. */
    place?: Snippet;
    children: Snippet;
  } = $props();

  let failed = $state('');
  let coming = $state('');
  let chooser = $state<HTMLInputElement>();

  /** One after another; what is wrong with one does not keep the others out. */
  async function bring(files: FileList | null | undefined) {
    failed = '';
    for (const file of files ?? []) {
      coming = file.name;
      try {
        await send(address(file), file);
      } catch (failure) {
        failed = `${file.name}: ${Object.values(fieldsOf(failure))[0] ?? sentence(failure)}`;
      }
    }
    coming = '';
    await onbrought();
  }
</script>

<DropArea ondropped={(files) => void bring(files)}>
  <p class="ways">
    <Button main onclick={() => chooser?.click()}>{label}</Button>
    {@render place?.()}
    <span>or drop them here. {says}</span>
    <input
      bind:this={chooser}
      type="file"
      {accept}
      multiple
      hidden
      onchange={(event) => void bring(event.currentTarget.files)}
    />
  </p>
  {#if coming}<p role="status">uploading {coming} …</p>{/if}
  {#if failed}<p class="wrong" role="alert">{failed}</p>{/if}
  {@render children()}
</DropArea>

<style>
  .ways {
    display: flex;
    flex-wrap: wrap;
    gap: 8px 12px;
    align-items: center;
    padding: 10px 0;
    color: var(--ink-soft);
  }

  .wrong {
    margin-bottom: 8px;
    color: var(--stop);
  }
</style>
