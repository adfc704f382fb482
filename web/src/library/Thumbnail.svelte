<script lang="ts">
  import type { Schemas } from '../api/client';
  import MessageFrame from '../ui/MessageFrame.svelte';
  import { thumbnail } from './thumbnails';

  /** A template as it looks, small. It is read when it comes near the screen, and let go when it is far from it. */
  let { line }: { line: Schemas['TemplateLine'] } = $props();

  let shown = $state.raw<Schemas['Thumbnail'] | null>(null);
  let near = false;

  function watched(place: HTMLElement) {
    const watch = new IntersectionObserver(
      (seen) => {
        near = seen.at(-1)?.isIntersecting ?? false;
        if (near) void read();
        else shown = null;
      },
      { rootMargin: '400px' },
    );
    watch.observe(place);
    return () => {
      near = false;
      watch.disconnect();
    };
  }

  async function read() {
    const { id, changedAt } = line;
    const found = await thumbnail(id, changedAt, () => near && line.id === id).catch(() => null);
    if (near && line.id === id) shown = found;
  }
</script>

<div class="thumbnail" inert aria-hidden="true" {@attach watched}>
  {#if shown?.html}
    <MessageFrame html={shown.html} title={line.name} width={640} small />
  {:else if shown}
    <pre>{shown.text}</pre>
  {/if}
</div>

<style>
  .thumbnail {
    height: 172px;
    overflow: hidden;
    border: 1px solid var(--rule);
    border-radius: var(--corner);
    background: #fff;
  }

  pre {
    width: 300%;
    margin: 0;
    padding: 24px;
    color: #1d2530;
    font: 15px/1.5 var(--serif);
    white-space: pre-wrap;
    transform: scale(0.3333);
    transform-origin: 0 0;
  }
</style>
