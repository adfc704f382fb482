<script lang="ts">
  import { dropTargetForElements } from '@atlaskit/pragmatic-drag-and-drop/element/adapter';
  import { searchParams } from 'sv-router';
  import { tick, untrack } from 'svelte';
  import { sentence, type Schemas } from '../api/client';
  import { gathered, onChange } from '../app/changes';
  import { shortcuts } from '../app/keys.svelte';
  import { go } from '../app/router';
  import Button from '../ui/Button.svelte';
  import Find from '../ui/Find.svelte';
  import Page from '../ui/Page.svelte';
  import ViewSwitch from '../ui/ViewSwitch.svelte';
  import { notify } from '../ui/notices.svelte';
  import ChosenPreview from './ChosenPreview.svelte';
  import FilterSentence from './FilterSentence.svelte';
  import FolderHeading from './FolderHeading.svelte';
  import { move, type Folder } from './folders';
  import { ListState } from './listState.svelte';
  import { LineActs } from './lineActs.svelte';
  import LibraryFoot from './LibraryFoot.svelte';
  import LibrarySlips from './LibrarySlips.svelte';
  import { OpenSlips } from './openSlips.svelte';
  import TemplateGallery from './TemplateGallery.svelte';
  import TemplateRow from './TemplateRow.svelte';
  import { sections } from './sections';
  import { everything, inAddress, narrowed, wantsOf, type Wants } from './wants';

  type Line = Schemas['TemplateLine'];
  const wants = $derived(wantsOf((name) => String(searchParams.get(name) ?? '')));
  let typed = $derived(wants.search);
  const list = new ListState(() => wants);
  const { folders, lines, goesOn } = $derived(list);
  let timer: ReturnType<typeof setTimeout>;
  const slips = new OpenSlips();
  let chosen = $state<string[]>([]);
  const acts = new LineActs({
    read: () => read(),
    changed: () => changedSome(),
    focus: (id) =>
      links()
        .find((one) => one.dataset.id === id)
        ?.focus(),
  });
  let looked = $state('');
  let width = $state(innerWidth);
  /** Narrower pages show the list alone. */
  const BOTH = 1000;
  const NARROW = 700;
  const found = $derived(!!wants.search || narrowed(wants));
  const shown = $derived(sections(folders, lines ?? [], { goesOn, found, within: wants.folder }));
  const inOrder = $derived(shown.flatMap((section) => section.lines));
  /** What is shown is deleted, and can only be brought back. */
  const bin = $derived(wants.which === 'deleted');
  const archived = $derived(wants.which === 'archived');
  /** How it is looked at: as a table of contents, or by how templates look. */
  const VIEWS = ['list', 'gallery'] as const;
  const view = $derived(!bin && searchParams.get('view') === 'gallery' ? 'gallery' : 'list');
  const previewed = $derived(
    bin || view === 'gallery' ? undefined : (inOrder.find((line) => line.id === looked) ?? inOrder.at(0)),
  );

  const keepChosen = () => {
    chosen = chosen.filter((id) => list.lines?.some((line) => line.id === id));
  };
  const read = () => list.read().then(keepChosen);
  const find = () => list.find().then(keepChosen);

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
    untrack(() => void find());
  });
  /** Templates that nobody has looked at yet are being looked at, which nothing else tells. */
  const LOOKING_AGAIN = 1000;
  $effect(() => {
    if (!list.unread || !lines) return;
    const again = setTimeout(() => void find(), LOOKING_AGAIN);
    return () => clearTimeout(again);
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

  function typing() {
    clearTimeout(timer);
    timer = setTimeout(() => want({ search: typed }), 120);
  }

  /** Goes to the first line of what is looked for, which may have to be found yet. */
  async function into() {
    clearTimeout(timer);
    want({ search: typed });
    await tick();
    await list.settled();
    await tick();
    links()[0]?.focus();
  }

  function look(as: (typeof VIEWS)[number]) {
    if (as === 'gallery') searchParams.set('view', as);
    else searchParams.delete('view');
  }

  /** What is moved when a line is: all that are chosen, if it is one of them. */
  function moved(line: Line): Line[] {
    return chosen.includes(line.id) ? (lines ?? []).filter((one) => chosen.includes(one.id)) : [line];
  }

  const several = (event: MouseEvent) => ({
    templates: (lines ?? []).filter((one) => chosen.includes(one.id)),
    anchor: event.currentTarget as HTMLElement,
  });

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

  /** Shows the folder that was made, also where the list doesn’t reach so far, or shows some templates only. */
  function folderSaved(all: Folder[], made?: string) {
    list.folders = all;
    if (made && !shown.some((section) => section.folder?.id === made)) want({ ...everything, folder: made });
  }

  /** What can be done with a line. */
  const ways = {
    restore: (line: Line) => void acts.bringBack(line),
    duplicate: (line: Line) => void acts.duplicate(line),
    rename: (line: Line) => {
      look('list');
      acts.renaming = line.id;
    },
    move: (line: Line, anchor: HTMLElement) => (slips.moving = { templates: [line], anchor }),
    tag: (line: Line, anchor: HTMLElement) => (slips.tagging = { templates: [line], anchor }),
    occasion: (line: Line, anchor: HTMLElement) => (slips.timing = { line, anchor }),
    handOver: (line: Line, anchor: HTMLElement) => (slips.handing = { templates: [line], anchor }),
    archive: (line: Line) => void acts.archive([line], true),
    unarchive: (line: Line) => void acts.archive([line], false),
    delete: (line: Line, anchor: HTMLElement) => void acts.remove(line, anchor),
  };

  async function changedSome() {
    chosen = [];
    await read();
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

  const links = () => [
    ...document.querySelectorAll<HTMLElement>('.templates .name [data-id], .gallery [data-id]'),
  ];

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
    else if (event.key === 'm' && line?.mayChange) slips.moving = { templates: moved(line), anchor: all[at] };
    else if (event.key === 't' && line?.mayChange)
      slips.tagging = { templates: moved(line), anchor: all[at] };
    else if ((event.key === 'r' || event.key === 'F2') && line?.mayChange) acts.renaming = line.id;
    else return;
    event.preventDefault();
    event.stopPropagation();
  }
</script>

<svelte:window bind:innerWidth={width} />
<Page title="Templates">
  {#snippet actions()}
    {#if !bin}<ViewSwitch label="How to look at it" ways={VIEWS} bind:way={() => view, look} />{/if}
    <Find label="Find in names and texts" bind:value={typed} onfind={typing} oninto={() => void into()} />
    {#if width > NARROW}
      <Button
        onclick={(event: MouseEvent) =>
          (slips.editing = { folder: null, anchor: event.currentTarget as HTMLElement })}>New folder</Button
      >
    {/if}
    <Button main onclick={() => go('/templates/new')}>New template</Button>
  {/snippet}
  {#snippet foot()}
    <LibraryFoot
      {list}
      {wants}
      {chosen}
      {found}
      gallery={view === 'gallery'}
      onmove={(event) => (slips.moving = several(event))}
      ontag={(event) => (slips.tagging = several(event))}
      onhand={(event) => (slips.handing = several(event))}
      onarchive={(event) => void acts.archive(several(event).templates, !archived)}
      onnone={() => (chosen = [])}
    />
  {/snippet}
  {#if list.failed}
    <p class="said" role="alert">
      {list.failed}
      {#if wants.folder}
        <Button quiet onclick={() => want({ folder: '' })}>Show every folder</Button>
      {:else}
        <Button quiet onclick={() => void read()}>Try again</Button>
      {/if}
    </p>
  {:else if lines}
    <div class="both" class:alone={width < BOTH || !previewed}>
      <div class="list">
        <FilterSentence {wants} {folders} sorts={list.sorts} onwant={want} />
        {#if !lines.length && (found || !shown.length)}
          <p class="said">
            {#if bin && !wants.search}
              The bin is empty. A template that is deleted lies here for thirty days and can be brought back.
            {:else if archived && !wants.search}
              Nothing is archived. What is no longer offered, but may be wanted again, goes here.
            {:else if list.unread}
              None yet: {list.unread.toLocaleString('en')} templates are still being looked at …
            {:else if wants.ready === 'stopped' && !wants.search}
              No template here has a note that must be fixed before it can be sent.
            {:else}
              No template matches.
            {/if}
          </p>
        {:else if view === 'gallery'}
          <TemplateGallery
            {shown}
            onopen={(folder) => want({ folder: folder.id })}
            onshare={(folder, anchor) => (slips.sharing = { folder, anchor })}
            onedit={(folder, anchor) => (slips.editing = { folder, anchor })}
            onfavour={(line) => void list.favour(line)}
            onmore={(line, anchor) => (slips.more = { line, anchor })}
          />
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
                        onshare={(anchor) => (slips.sharing = { folder, anchor })}
                        onedit={(anchor) => (slips.editing = { folder, anchor })}
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
                    renaming={acts.renaming === line.id}
                    onlook={() => (looked = line.id)}
                    onchoose={() => choose(line)}
                    onfavour={() => void list.favour(line)}
                    onmore={(anchor) => (slips.more = { line, anchor })}
                    onrename={(name) => void acts.rename(line, name)}
                    ontag={(tag) => want({ tag })}
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
<LibrarySlips
  {slips}
  {acts}
  {list}
  shown={bin ? 'deleted' : archived ? 'archived' : 'all'}
  {ways}
  onchanged={changedSome}
  onfolder={folderSaved}
/>

<style>
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

  @media (width <= 700px) {
    .used {
      width: 0;
    }
  }
</style>
