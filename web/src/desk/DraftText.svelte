<script lang="ts">
  import type { Attachment } from 'svelte/attachments';

  /** How a text of a draft looks: its paragraphs, fields, marks of choices and notes. What is in it is the editor's. */
  let {
    rich,
    oneLine,
    empty,
    placeholder,
    mount,
  }: {
    rich: boolean;
    oneLine: boolean;
    /** Whether the placeholder is shown. */
    empty: boolean;
    placeholder: string;
    mount: Attachment<HTMLElement>;
  } = $props();
</script>

<div class="draft" class:one={oneLine} class:empty data-placeholder={placeholder}>
  <div class="text" class:rich {@attach mount}></div>
</div>

<style>
  .draft {
    position: relative;
    min-width: 0;
  }

  .draft.empty::before {
    position: absolute;
    inset: 0;
    color: var(--ink-soft);
    content: attr(data-placeholder);
    font-style: italic;
    pointer-events: none;
  }

  .text {
    min-height: 24px;
    outline: none;
    overflow-wrap: anywhere;
    white-space: pre-wrap;
  }

  .one .text {
    font-size: 14.5px;
  }

  .text :global(p) {
    min-height: 1.5em;
    margin: 0;
    line-height: 1.6;
  }

  .rich :global(p) {
    counter-set: item-0 0 item-1 0 item-2 0 item-3 0;
    margin: 0 0 8px;
  }

  .rich :global(p:last-child) {
    margin: 0;
  }

  .rich :global(p.heading-1) {
    font: 600 21px/1.3 var(--serif);
  }

  .rich :global(p.heading-2) {
    font: 600 18px/1.3 var(--serif);
  }

  .rich :global(p.heading-3) {
    font-weight: 600;
  }

  /* Items are counted for each level; what stands further out begins those within it anew. */
  .rich {
    counter-reset: item-0 item-1 item-2 item-3;
  }

  .rich :global(p.bullet),
  .rich :global(p.numbered) {
    position: relative;
    margin-bottom: 3px;
    padding-left: 20px;
  }

  .rich :global(p.level-1) {
    margin-left: 20px;
  }

  .rich :global(p.level-2) {
    margin-left: 40px;
  }

  .rich :global(p.level-3) {
    margin-left: 60px;
  }

  .rich :global(p.bullet.level-1) {
    counter-set: item-1 0 item-2 0 item-3 0;
  }

  .rich :global(p.bullet.level-2) {
    counter-set: item-2 0 item-3 0;
  }

  .rich :global(p.bullet.level-3) {
    counter-set: item-3 0;
  }

  .rich :global(p.numbered) {
    counter-increment: item-0;
    counter-set: item-1 0 item-2 0 item-3 0;
  }

  .rich :global(p.numbered.level-1) {
    counter-increment: item-1;
    counter-set: item-2 0 item-3 0;
  }

  .rich :global(p.numbered.level-2) {
    counter-increment: item-2;
    counter-set: item-3 0;
  }

  .rich :global(p.numbered.level-3) {
    counter-increment: item-3;
    counter-set: none;
  }

  .rich :global(p.bullet::before),
  .rich :global(p.numbered::before) {
    position: absolute;
    left: 2px;
    content: '•';
  }

  .rich :global(p.bullet.level-1::before),
  .rich :global(p.bullet.level-3::before) {
    content: '◦';
  }

  .rich :global(p.numbered::before) {
    content: counter(item-0) '.';
  }

  .rich :global(p.numbered.level-1::before) {
    content: counter(item-1) '.';
  }

  .rich :global(p.numbered.level-2::before) {
    content: counter(item-2) '.';
  }

  .rich :global(p.numbered.level-3::before) {
    content: counter(item-3) '.';
  }

  .rich :global(p.quote) {
    padding-left: 10px;
    border-left: 2px solid var(--rule);
    color: var(--ink-soft);
  }

  .rich :global(p.to-centre) {
    text-align: center;
  }

  .rich :global(p.to-end) {
    text-align: right;
  }

  .rich :global(a) {
    color: var(--ink);
    text-decoration: underline;
  }

  .text :global(.chip) {
    padding: 0 3px;
    border-radius: 2px 2px 0 0;
    background: var(--tint);
    box-shadow: inset 0 -2px 0 var(--colour);
    cursor: pointer;
    box-decoration-break: clone;
  }

  .text :global(.chip::before) {
    margin-right: 3px;
    color: var(--colour);
    font-size: 9px;
    vertical-align: 2px;
    content: attr(data-mark);
  }

  .text :global(.chip.blank) {
    padding: 0 6px;
    border: 1px dotted var(--ink);
    border-radius: var(--corner);
    box-shadow: none;
  }

  .text :global(.chip.blank::before) {
    margin-right: 4px;
    color: var(--ink-soft);
    font-size: 12px;
    vertical-align: 0;
  }

  .text :global(.chip em) {
    color: var(--ink-soft);
    font-style: italic;
  }

  .text :global(.chip em::before) {
    margin: 0 3px 0 2px;
    color: var(--colour);
    font-style: normal;
    content: '⁄';
  }

  .text :global(.tag) {
    margin: 0 1px;
    padding: 0 5px;
    border: 1px solid var(--edge);
    border-width: 1px 0;
    background: var(--shade);
    color: var(--ink-soft);
    font-size: 12.5px;
    cursor: pointer;
  }

  .text :global(.tag i) {
    font-family: var(--serif);
  }

  .text :global(.tag.when) {
    border-left: 3px solid var(--ink-soft);
    border-radius: var(--corner) 0 0 var(--corner);
  }

  .text :global(.tag.end) {
    border-right: 3px solid var(--ink-soft);
    border-radius: 0 var(--corner) var(--corner) 0;
  }

  .text :global(.tag.unknown) {
    color: var(--stop);
  }

  .text :global(.taken .tag),
  .text :global(.tag.taken) {
    border-color: var(--ink);
    color: var(--ink);
  }

  .text :global(.tag.taken::after) {
    margin-left: 4px;
    content: '✓';
  }

  .text :global(.branch:not(.chip, .tag)) {
    background: var(--chosen);
  }

  .text :global(.branch.passed:not(.chip, .tag)) {
    background: none;
    color: var(--ink-soft);
  }

  .text :global(.value) {
    border-bottom: 1.5px dotted var(--colour, var(--date));
  }

  .text :global(.value.contact) {
    --colour: var(--contact);
  }

  .text :global(.value.lead) {
    --colour: var(--lead);
  }

  .text :global(.value.deal) {
    --colour: var(--deal);
  }

  .text :global(.value.organisation) {
    --colour: var(--organisation);
  }

  .text :global(.value.user) {
    --colour: var(--user);
  }

  .text :global(.value.our) {
    --colour: var(--our);
  }

  .text :global(.value.fallback) {
    background: var(--query-tint);
  }

  .text :global(.mine) {
    background: var(--mine);
    cursor: help;
  }

  .text :global(.gone) {
    padding: 0 1px;
    background: var(--mine);
    box-shadow: inset 0 -2px 0 var(--ink-soft);
    cursor: help;
  }

  .text :global(.gone::before) {
    content: '⁠';
  }

  .text :global(p.within) {
    padding-left: 9px;
    box-shadow: inset 2px 0 0 var(--rule);
  }

  .text :global(.ProseMirror-selectednode) {
    outline: 2px solid var(--ink);
  }

  .text :global(.noted.stop) {
    text-decoration: underline wavy var(--stop);
    text-underline-offset: 3px;
  }

  .text :global(.noted.query) {
    text-decoration: underline dotted 2px var(--query);
    text-underline-offset: 3px;
  }
</style>
