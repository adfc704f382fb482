<script lang="ts">
  import { dropTargetForElements } from '@atlaskit/pragmatic-drag-and-drop/element/adapter';
  import { searchParams } from 'sv-router';
  import { untrack } from 'svelte';
  import { ask, sentence, type Schemas } from '../api/client';
  import { gathered, onChange } from '../app/changes';
  import { shortcuts } from '../app/keys.svelte';
  import { go } from '../app/router';
  import Button from '../ui/Button.svelte';
  import Find from '../ui/Find.svelte';
  import Page from '../ui/Page.svelte';
  import Slip from '../ui/Slip.svelte';
  import { notify } from '../ui/notices.svelte';
  import ChosenPreview from './ChosenPreview.svelte';
  import FilterSentence from './FilterSentence.svelte';
  import FolderHeading from './FolderHeading.svelte';
  import FolderSlip from './FolderSlip.svelte';
  import { move, type Folder } from './folders';
  import { ListState } from './listState.svelte';
  import MoveSlip from './MoveSlip.svelte';
  import ShareSlip from './ShareSlip.svelte';
  import TemplateRow from './TemplateRow.svelte';
  import { sections } from './sections';
  import { inAddress, narrowed, wantsOf, type Wants } from './wants';

  type Line = Schemas['TemplateLine'];
  const wants = $derived(wantsOf((name) => String(searchParams.get(name) ?? '')));
  let typed = $derived(wants.search);
  const list = new ListState(() => wants);
  const { folders, lines, goesOn } = $derived(list);
  let timer: ReturnType<typeof setTimeout>;
  let more = $state<{ line: Line; anchor: HTMLElement } | null>(null);
  let chosen = $state<string[]>([]);
  let looked = $state('');
  let moving = $state<{ templates: Line[]; anchor: HTMLElement } | null>(null);
  let sharing = $state<{ folder: Folder; anchor: HTMLElement } | null>(null);
  let editing = $state<{ folder: Folder | null; anchor: HTMLElement } | null>(null);
  let width = $state(innerWidth);
  /** Narrower pages show the list alone. */
  const BOTH = 1000;
  const found = $derived(!!wants.search || narrowed(wants));
  const shown = $derived(sections(folders, lines ?? [], { goesOn, found, within: wants.folder }));
  const inOrder = $derived(shown.flatMap((section) => section.lines));
  /** What is shown is deleted, and can only be brought back. */
  const bin = $derived(wants.which === 'deleted');
  const previewed = $derived(bin ? undefined : (inOrder.find((line) => line.id === looked) ?? inOrder.at(0)));

  const read = async () => {
    await list.read();
    chosen = chosen.filter((id) => list.lines?.some((line) => line.id === id));
  };

  /** Reads on before the end of what is there comes into sight. */
  function atEnd(mark: HTMLElement) {
    const watch = new IntersectionObserver(
      (seen) => seen.some((one) => one.isIntersecting) && void list.readOn(),
      {
        rootMargin: '600px',
      },
    );
    watch.observe(mark);
    return () => watch.disconnect();
  }

  const changed = gathered(read);
  $effect(() => {
    void wants;
    untrack(() => void read());
  });
  $effect(() => onChange((change) => ['template', 'folder'].includes(change.what) && changed()));
  $effect(() => shortcuts([{ key: 'n', label: 'New template', run: () => go('/templates/new') }]));

  function want(part: Partial<Wants>) {
    for (const key of Object.keys(part) as (keyof Wants)[]) {
      const [name, value] = inAddress(key, part[key]!);
      if (value) searchParams.set(name, value);
      else searchParams.delete(name);
    }
  }

  function find() {
    clearTimeout(timer);
    timer = setTimeout(() => want({ search: typed }), 120);
  }

  /** What is moved when a line is: all that are chosen, if it is one of them. */
  function moved(line: Line): Line[] {
    return chosen.includes(line.id) ? (lines ?? []).filter((one) => chosen.includes(one.id)) : [line];
  }

  function choose(line: Line) {
    chosen = chosen.includes(line.id) ? chosen.filter((id) => id !== line.id) : [...chosen, line.id];
  }

  async function drop(id: string, folder: Folder) {
    const line = lines?.find((one) => one.id === id);
    if (!line) return;
    const going = moved(line).filter((one) => one.folder !== folder.id);
    if (!going.length) return;
    try {
      await move(going, folder, read);
      chosen = [];
    } catch (failure) {
      notify(sentence(failure), { stop: true });
    }
  }

  async function duplicate(line: Line) {
    more = null;
    try {
      const made = await ask('post', '/api/templates/{id}/duplicate', { params: { id: line.id } });
      go(`/templates/${made.template.id}`);
    } catch (failure) {
      notify(sentence(failure), { stop: true });
    }
  }

  async function restore(line: Line) {
    more = null;
    try {
      await ask('post', '/api/templates/{id}/restore', { params: { id: line.id } });
      await read();
      notify(`“${line.name}” is back.`);
    } catch (failure) {
      notify(sentence(failure), { stop: true });
    }
  }

  async function remove(line: Line) {
    more = null;
    try {
      await ask('delete', '/api/templates/{id}', { params: { id: line.id } });
      await read();
      notify(`“${line.name}” is deleted.`, {
        undo: async () => {
          await ask('post', '/api/templates/{id}/restore', { params: { id: line.id } });
          await read();
        },
      });
    } catch (failure) {
      notify(sentence(failure), { stop: true });
    }
  }

  /** Where templates that are dragged can be let go. */
  function landing(folder: Folder | null) {
    return (section: HTMLElement) => {
      if (!folder || folder.may === 'USE') return;
      return dropTargetForElements({
        element: section,
        canDrop: ({ source }) => !!source.data.template,
        onDragEnter: () => section.classList.add('landing'),
        onDragLeave: () => section.classList.remove('landing'),
        onDrop: ({ source }) => {
          section.classList.remove('landing');
          void drop(String(source.data.template), folder);
        },
      });
    };
  }

  const links = () => [...document.querySelectorAll<HTMLElement>('.templates .name [data-id]')];

  function onkeydown(event: KeyboardEvent) {
    const way = { ArrowDown: 1, ArrowUp: -1 }[event.key];
    const all = links();
    const at = all.indexOf(document.activeElement as HTMLElement);
    if (at < 0 || event.ctrlKey || event.metaKey || event.altKey) return;
    const line = lines?.find((one) => one.id === all[at].dataset.id);
    if (way) all[at + way]?.focus();
    else if (bin) return;
    else if (event.key === ' ' && line?.mayChange) choose(line);
    else if (event.key === 'f' && line) void list.favour(line);
    else if (event.key === 'm' && line?.mayChange) moving = { templates: moved(line), anchor: all[at] };
    else return;
    event.preventDefault();
    event.stopPropagation();
  }
</script>

<svelte:window bind:innerWidth={width} />
<Page title="Templates">
  {#snippet actions()}
    <Find
      label="Find in names and texts"
      bind:value={typed}
      onfind={find}
      oninto={() => links()[0]?.focus()}
    />
    <Button
      onclick={(event: MouseEvent) =>
        (editing = { folder: null, anchor: event.currentTarget as HTMLElement })}>New folder</Button
    >
    <Button main onclick={() => go('/templates/new')}>New template</Button>
  {/snippet}
  {#snippet foot()}
    {#if chosen.length}
      <span role="status">{chosen.length} chosen</span>
      <Button
        quiet
        onclick={(event: MouseEvent) =>
          (moving = {
            templates: (lines ?? []).filter((one) => chosen.includes(one.id)),
            anchor: event.currentTarget as HTMLElement,
          })}>Move…</Button
      >
      <Button quiet onclick={() => (chosen = [])}>Choose none</Button>
    {:else}
      <span aria-live="polite"
        >{lines
          ? `${list.uncounted ? 'more than ' : ''}${list.total.toLocaleString('en')} template${list.total === 1 ? '' : 's'}`
          : ''}{found ? ' found' : ''}</span
      >
    {/if}
    <span class="keys">↑ ↓ walk · space choose · f favourite · m move · n new · ? keys</span>
  {/snippet}
  {#if list.failed}
    <p class="said" role="alert">
      {list.failed}
      <Button quiet onclick={() => void read()}>Try again</Button>
    </p>
  {:else if lines}
    <div class="both" class:alone={width < BOTH || !previewed}>
      <div class="list">
        <FilterSentence {wants} {folders} onwant={want} />
        {#if !lines.length && (found || !shown.length)}
          <p class="said">No template matches.</p>
        {:else}
          <!-- svelte-ignore a11y_no_noninteractive_element_interactions -->
          <table class="templates" {onkeydown}>
            <colgroup><col class="marks" /><col /><col class="used" /><col class="more" /></colgroup>
            <thead class="unseen">
              <tr>
                <th scope="col">Chosen</th>
                <th scope="col">Name</th>
                <th scope="col">Used</th>
                <th scope="col">More</th>
              </tr>
            </thead>
            {#each shown as section (section.folder?.id ?? '')}
              {@const folder = section.folder}
              <tbody {@attach landing(folder)}>
                <tr class="folder">
                  <th scope="rowgroup" colspan="4">
                    {#if folder}
                      <FolderHeading
                        {folder}
                        empty={!section.lines.length}
                        onopen={() => want({ folder: folder.id })}
                        onshare={(anchor) => (sharing = { folder, anchor })}
                        onedit={(anchor) => (editing = { folder, anchor })}
                      />
                    {:else}
                      <em>Yours, in folders that you don’t see</em>
                    {/if}
                  </th>
                </tr>
                {#each section.lines as line (line.id)}
                  <TemplateRow
                    {line}
                    deep={folder?.deep ?? 0}
                    chosen={chosen.includes(line.id)}
                    looked={width >= BOTH && line.id === previewed?.id}
                    gone={bin}
                    onlook={() => (looked = line.id)}
                    onchoose={() => choose(line)}
                    onfavour={() => void list.favour(line)}
                    onmore={(anchor) => (more = { line, anchor })}
                  />
                {/each}
              </tbody>
            {/each}
          </table>
          {#if !lines.length}
            <p class="said">
              No templates yet. Start with a message you write every week.
              <Button quiet onclick={() => go('/templates/new')}>Choose a design</Button>
            </p>
          {/if}
        {/if}
        {#if goesOn}{#key lines.length}<p class="said" {@attach atEnd}>
              More templates are read as you scroll.
            </p>{/key}{/if}
      </div>
      {#if previewed && width >= BOTH}<ChosenPreview line={previewed} />{/if}
    </div>
  {/if}
</Page>
{#if more}
  {@const { line, anchor } = more}
  <Slip title={line.name} {anchor} placement="bottom-end" onclose={() => (more = null)}>
    <p class="ways">
      {#if bin}
        <Button main onclick={() => void restore(line)}>Bring back</Button>
      {:else}
        <Button onclick={() => void duplicate(line)}>Duplicate</Button>
      {/if}
      {#if line.mayChange && !bin}
        <Button
          onclick={() => {
            more = null;
            moving = { templates: [line], anchor };
          }}>Move…</Button
        >
        <Button onclick={() => void remove(line)}>Delete template</Button>
      {/if}
    </p>
    <p class="remark">
      {bin
        ? 'It is here for thirty days after it was deleted.'
        : line.mayChange
          ? 'What is deleted is in the bin for thirty days.'
          : `${line.owner} keeps this template. A duplicate is yours.`}
    </p>
  </Slip>
{/if}
{#if moving}
  <MoveSlip
    {...moving}
    onclose={() => (moving = null)}
    onmoved={async () => {
      chosen = [];
      await read();
    }}
  />
{/if}
{#if sharing}
  <ShareSlip {...sharing} onclose={() => (sharing = null)} onsaved={(all) => (list.folders = all)} />
{/if}
{#if editing}
  <FolderSlip
    {...editing}
    {folders}
    onclose={() => (editing = null)}
    onsaved={(all) => (list.folders = all)}
  />
{/if}

<style>
  .keys {
    margin-left: auto;
  }

  .said {
    padding: 24px 20px;
    color: var(--ink-soft);
  }

  .both {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(360px, 36%);
    height: 100%;
  }

  .alone {
    grid-template-columns: minmax(0, 1fr);
  }

  .list {
    min-height: 0;
    overflow: auto;
  }

  table {
    width: 100%;
    border-collapse: collapse;
    table-layout: fixed;
  }

  .marks {
    width: 74px;
  }

  .used {
    width: 82px;
  }

  .more {
    width: 66px;
  }

  .folder th {
    padding: 14px 16px 4px 20px;
    border-bottom: 1px solid var(--rule-soft);
    font-weight: 400;
    text-align: left;
    overflow: hidden;
    white-space: nowrap;
  }

  .folder em {
    color: var(--ink-soft);
  }

  tbody:global(.landing) {
    background: var(--shade);
    box-shadow: inset 0 2px 0 var(--ink);
  }

  .ways {
    display: flex;
    gap: 8px;
  }

  .remark {
    margin-top: 10px;
    color: var(--ink-soft);
  }

  @media (width <= 700px) {
    .used {
      width: 0;
    }
  }
</style>
