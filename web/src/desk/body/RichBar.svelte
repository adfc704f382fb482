<script lang="ts">
  import { computePosition, flip, offset, shift } from '@floating-ui/dom';
  import type { Command } from 'prosemirror-state';
  import type { Align, ParagraphKind } from './body';
  import SmallInput from '../../ui/SmallInput.svelte';
  import SmallSelect from '../../ui/SmallSelect.svelte';
  import { savedLinks, type SavedLink } from './savedLinks';
  import { marks, setAlign, setKind, setMark, shiftItems, type Looks } from './richCommands';

  /** The text slip: how the chosen words and paragraphs look. The cursor stays in the text. */
  let {
    rect,
    looks,
    linking = $bindable(),
    run,
    onleave,
  }: {
    rect: DOMRect;
    looks: Looks;
    /** Whether an address is being given. */
    linking: boolean;
    run: (command: Command, stay?: boolean) => void;
    /** Back to the text. */
    onleave: () => void;
  } = $props();

  const KINDS: readonly (readonly [ParagraphKind, string])[] = [
    ['paragraph', 'paragraph'],
    ['heading-1', 'heading'],
    ['heading-2', 'smaller heading'],
    ['heading-3', 'smallest heading'],
    ['bullet', 'list'],
    ['numbered', 'numbered list'],
    ['quote', 'quotation'],
  ];
  const ALIGNS: readonly (readonly [Align, string])[] = [
    ['start', 'left'],
    ['centre', 'centred'],
    ['end', 'right'],
  ];
  const SIZES = [0, 12, 14, 18, 22, 28];
  const MARKS = [
    ['bold', 'B', 'Bold (Ctrl+B)'],
    ['italic', 'I', 'Italic (Ctrl+I)'],
    ['underline', 'U', 'Underlined (Ctrl+U)'],
    ['strike', 'S', 'Struck through (Ctrl+Shift+X)'],
  ] as const;

  let bar = $state<HTMLElement>();
  let address = $state('');
  let field = $state<HTMLInputElement>();
  let saved = $state<SavedLink[]>([]);
  const listed = $props.id();

  $effect(() => {
    void linking;
    if (!bar) return;
    const shown = bar;
    void computePosition({ getBoundingClientRect: () => rect }, shown, {
      strategy: 'fixed',
      placement: 'top-start',
      middleware: [offset(6), flip({ padding: 60 }), shift({ padding: 8 })],
    }).then(({ x, y }) => {
      shown.style.left = `${x}px`;
      shown.style.top = `${y}px`;
    });
  });

  $effect(() => {
    if (!linking || !field) return;
    address = looks.link;
    void savedLinks().then((links) => (saved = links));
    field.focus();
    field.select();
  });

  function link() {
    const to = address.trim();
    linking = false;
    run(setMark('link', to ? { address: to } : null));
  }
</script>

<div
  class="bar"
  bind:this={bar}
  role="toolbar"
  aria-label="Formatting"
  tabindex="-1"
  onkeydown={(event) => {
    if (event.key !== 'Escape') return;
    event.stopPropagation();
    linking = false;
    onleave();
  }}
>
  {#if linking}
    <label class="address">
      leads to
      <SmallInput
        wide={290}
        bind:element={field}
        bind:value={address}
        list={listed}
        placeholder="https:// or a field such as &#123;deal.plan_link&#125;"
        onkeydown={(event) => {
          if (event.key !== 'Enter') return;
          event.preventDefault();
          link();
        }}
      />
    </label>
    <datalist id={listed}>
      {#each saved as one (one.path)}<option value={one.written}>{one.label}</option>{/each}
    </datalist>
    <button onclick={link}>{address.trim() ? 'Link' : 'No link'}</button>
  {:else}
    {#each MARKS as [name, letter, title] (name)}
      <button
        class={name}
        {title}
        aria-label={title}
        aria-pressed={looks[name]}
        onmousedown={(event) => event.preventDefault()}
        onclick={() => run(marks[name], true)}>{letter}</button
      >
    {/each}
    <button
      title="Link (Ctrl+K)"
      aria-pressed={looks.link !== ''}
      onmousedown={(event) => event.preventDefault()}
      onclick={() => (linking = true)}>link</button
    >
    <SmallSelect
      aria-label="Kind of paragraph"
      value={looks.kind}
      onchange={(event) => {
        const kind = event.currentTarget.value as ParagraphKind;
        run(setKind(kind === 'paragraph' ? looks.kind : kind));
      }}
    >
      {#each KINDS as [kind, label] (kind)}<option value={kind}>{label}</option>{/each}
    </SmallSelect>
    {#if looks.kind === 'bullet' || looks.kind === 'numbered'}
      <button
        title="Indent (Tab)"
        onmousedown={(event) => event.preventDefault()}
        onclick={() => run(shiftItems(1), true)}>in</button
      >
      <button
        title="Outdent (Shift+Tab)"
        onmousedown={(event) => event.preventDefault()}
        onclick={() => run(shiftItems(-1), true)}>out</button
      >
    {/if}
    <SmallSelect
      aria-label="Alignment"
      value={looks.align}
      onchange={(event) => run(setAlign(event.currentTarget.value as Align))}
    >
      {#each ALIGNS as [align, label] (align)}<option value={align}>{label}</option>{/each}
    </SmallSelect>
    <SmallSelect
      aria-label="Size"
      value={looks.size}
      onchange={(event) => {
        const value = Number(event.currentTarget.value);
        run(setMark('size', value ? { value } : null));
      }}
    >
      {#each [...new Set([...SIZES, looks.size])] as size (size)}
        <option value={size}>{size ? `${size} px` : 'default size'}</option>
      {/each}
    </SmallSelect>
    <label class="colour" title="Text colour">
      <SmallInput
        type="color"
        aria-label="Text colour"
        value={looks.colour || '#1d2530'}
        onchange={(event) => run(setMark('colour', { value: event.currentTarget.value }))}
      />
    </label>
    {#if looks.colour}<button onclick={() => run(setMark('colour', null))}>default colour</button>{/if}
  {/if}
</div>

<style>
  .bar {
    display: flex;
    position: fixed;
    top: 0;
    left: 0;
    z-index: 18;
    gap: 2px;
    align-items: center;
    padding: 3px 5px;
    border: 1px solid var(--rule);
    border-radius: var(--corner);
    background: var(--sheet);
    box-shadow: var(--shadow);
    font-size: 13px;
  }

  button {
    min-width: 26px;
    min-height: 26px;
    padding: 0 6px;
    border: 0;
    border-radius: var(--corner);
    background: none;
    color: var(--ink);
    font: 14px/1 var(--sans);
    cursor: pointer;
  }

  button[aria-pressed='true'] {
    background: var(--chosen);
    color: var(--ink);
  }

  .bold {
    font-weight: 700;
  }

  .italic {
    font-style: italic;
  }

  .underline {
    text-decoration: underline;
  }

  .strike {
    text-decoration: line-through;
  }

  .address {
    display: flex;
    gap: 6px;
    align-items: center;
    color: var(--ink-soft);
  }
</style>
