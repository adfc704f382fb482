<script lang="ts">
  import type { Schemas } from '../api/client';
  import FolderHeading from './FolderHeading.svelte';
  import type { Folder } from './folders';
  import type { Section } from './sections';
  import Thumbnail from './Thumbnail.svelte';

  /** The library by how its templates look. */
  type Line = Schemas['TemplateLine'];
  let {
    shown,
    onopen,
    onshare,
    onedit,
    onfavour,
    onmore,
  }: {
    shown: Section[];
    onopen: (folder: Folder) => void;
    onshare: (folder: Folder, anchor: HTMLElement) => void;
    onedit: (folder: Folder, anchor: HTMLElement) => void;
    onfavour: (line: Line) => void;
    onmore: (line: Line, anchor: HTMLElement) => void;
  } = $props();

  const stages = { DRAFT: 'not ready', READY: '', CHANGED: 'changed since it was ready' };

  /** Arrows go from one to the next; up and down to what is nearest in the row above or below. */
  function onkeydown(event: KeyboardEvent) {
    const all = [...document.querySelectorAll<HTMLElement>('.gallery [data-id]')];
    const here = all.indexOf(document.activeElement as HTMLElement);
    if (here < 0 || event.ctrlKey || event.metaKey || event.altKey) return;
    const step = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
    const way = { ArrowUp: -1, ArrowDown: 1 }[event.key];
    if (step) all[here + step]?.focus();
    else if (way) next(all, here, way)?.focus();
    else return;
    event.preventDefault();
    event.stopPropagation();
  }

  function next(all: HTMLElement[], here: number, way: number): HTMLElement | undefined {
    const from = all[here].getBoundingClientRect();
    const beyond = all
      .map((one) => ({ one, at: one.getBoundingClientRect() }))
      .filter(({ at }) => (at.top - from.top) * way > 4)
      .sort((one, other) => (one.at.top - other.at.top) * way);
    return beyond
      .filter(({ at }) => Math.abs(at.top - beyond[0].at.top) < 4)
      .sort((one, other) => Math.abs(one.at.left - from.left) - Math.abs(other.at.left - from.left))
      .at(0)?.one;
  }
</script>

<!-- svelte-ignore a11y_no_static_element_interactions -->
<div class="gallery" {onkeydown}>
  {#each shown as section (section.folder?.id ?? '')}
    {@const folder = section.folder}
    {#if section.lines.length}
      <section>
        <div class="folder">
          {#if folder}
            <FolderHeading
              {folder}
              empty={false}
              onopen={() => onopen(folder)}
              onshare={(anchor) => onshare(folder, anchor)}
              onedit={(anchor) => onedit(folder, anchor)}
            />
          {:else}
            <em>Yours, in folders that you don’t see</em>
          {/if}
        </div>
        <ul>
          {#each section.lines as line (line.id)}
            <li>
              <Thumbnail {line} />
              <a href="/templates/{line.id}" data-id={line.id}>{line.name}</a>
              <p>
                <span
                  >{[stages[line.stage], line.used ? `used ${line.used}` : 'not used', ...line.tags]
                    .filter(Boolean)
                    .join(' · ')}</span
                >
                <button
                  type="button"
                  aria-label="Favourite {line.name}"
                  aria-pressed={line.favourite}
                  onclick={() => onfavour(line)}>{line.favourite ? '★' : '☆'}</button
                >
                <button
                  type="button"
                  aria-label="More for {line.name}"
                  onclick={(event) => onmore(line, event.currentTarget)}>…</button
                >
              </p>
            </li>
          {/each}
        </ul>
      </section>
    {/if}
  {/each}
</div>

<style>
  .gallery {
    padding: 0 20px 20px;
  }

  .folder {
    margin: 14px 0 8px;
  }

  em {
    color: var(--ink-soft);
  }

  ul {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(210px, 1fr));
    gap: 18px;
    margin: 0;
    padding: 0;
    list-style: none;
  }

  li {
    position: relative;
    min-width: 0;
  }

  a {
    display: block;
    margin-top: 5px;
    overflow: hidden;
    color: var(--ink);
    font-weight: 600;
    text-decoration: none;
    text-overflow: ellipsis;
    white-space: nowrap;
  }

  /* The picture opens it too. */
  a::after {
    position: absolute;
    inset: 0 0 auto;
    height: 172px;
    content: '';
  }

  a:hover {
    text-decoration: underline;
  }

  p {
    display: flex;
    gap: 4px;
    align-items: baseline;
    color: var(--ink-soft);
    font-size: 12.5px;
  }

  span {
    flex: 1;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }

  button {
    min-width: 24px;
    min-height: 24px;
    padding: 0;
    border: 0;
    background: none;
    color: var(--ink-soft);
    font-size: 14px;
    cursor: pointer;
  }

  button[aria-pressed='true'] {
    color: var(--ink);
  }
</style>
