<script lang="ts">
  import type { Schemas } from '../api/client';

  /** What has to be fixed before a message can leave; each leads to its place. */
  let {
    envelope,
    stops,
    onenvelope,
    onshow,
  }: {
    /** What is wrong with whom it goes to, with what and when. */
    envelope: Schemas['EnvelopeStop'][];
    /** What is wrong with its words. */
    stops: Schemas['Stop'][];
    onenvelope: (stop: Schemas['EnvelopeStop']) => void;
    onshow: (stop: Schemas['Stop']) => void;
  } = $props();

  const all = $derived([
    ...envelope.map((stop) => ({ ...stop, show: () => onenvelope(stop) })),
    ...stops.map((stop) => ({ ...stop, show: () => onshow(stop) })),
  ]);
</script>

<section aria-label="Must fix">
  <p role="status">
    {all.length === 1 ? 'One thing' : `${all.length} things`} to fix before this message can go:
  </p>
  <ol>
    {#each all as stop, i (i)}
      <li>
        <button onclick={stop.show}>{stop.title}</button>
        <span>{stop.remedy}</span>
      </li>
    {/each}
  </ol>
</section>

<style>
  section {
    margin-top: 10px;
    padding-left: 12px;
    border-left: 2px solid var(--stop);
    font-size: 13px;
  }

  ol {
    margin: 4px 0 0;
    padding: 0;
    list-style: none;
  }

  li {
    margin: 2px 0;
  }

  button {
    padding: 0;
    border: 0;
    background: none;
    color: var(--stop);
    font: inherit;
    font-weight: 600;
    text-align: left;
    text-decoration: underline;
    text-underline-offset: 2px;
    cursor: pointer;
  }

  span {
    color: var(--ink-soft);
  }
</style>
