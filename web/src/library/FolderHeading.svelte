<script lang="ts">
  import InlineButton from '../ui/InlineButton.svelte';
  import type { Folder } from './folders';

  /** A folder as a heading of the list: its name, and who may do what in it where that is not as in the folder above. */
  let {
    folder,
    empty,
    onopen,
    onshare,
    onedit,
  }: {
    folder: Folder;
    empty: boolean;
    onopen: () => void;
    onshare: (anchor: HTMLElement) => void;
    onedit: (anchor: HTMLElement) => void;
  } = $props();
</script>

<span class="heading" class:deep={folder.deep > 0} style:--deep={folder.deep}>
  <button class="name" onclick={onopen} title="Show only this folder">{folder.name}</button>
  <em
    >{[folder.own || !folder.parent ? folder.sharing : '', empty ? 'empty' : '']
      .filter(Boolean)
      .join(' · ')}</em
  >
  {#if folder.may === 'MANAGE'}
    <span class="ways">
      <InlineButton
        soft
        aria-label="Share {folder.name}"
        onclick={(event) => onshare(event.currentTarget as HTMLElement)}>Share…</InlineButton
      >
      {#if !folder.fixed}<InlineButton
          soft
          aria-label="Change {folder.name}"
          onclick={(event) => onedit(event.currentTarget as HTMLElement)}>Change…</InlineButton
        >{/if}
    </span>
  {/if}
</span>

<style>
  .heading {
    display: flex;
    gap: 10px;
    align-items: baseline;
    padding-left: calc(var(--deep) * 18px);
  }

  .name {
    padding: 0;
    border: 0;
    background: none;
    color: var(--ink);
    font: 500 18px/1.3 var(--serif);
    cursor: pointer;
  }

  .deep .name {
    font: italic 500 16px/1.3 var(--serif);
  }

  .name:hover {
    text-decoration: underline 1px;
    text-underline-offset: 3px;
  }

  em {
    overflow: hidden;
    color: var(--ink-soft);
    font: italic 13.5px/1.3 var(--serif);
    text-overflow: ellipsis;
  }

  .ways {
    display: flex;
    gap: 10px;
    margin-left: auto;
  }

  @media (width <= 700px) {
    .heading {
      flex-wrap: wrap;
      gap: 2px 10px;
      white-space: normal;
    }
  }
</style>
