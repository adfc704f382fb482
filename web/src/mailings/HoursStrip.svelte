<script lang="ts">
  import { dayAndTime } from '../ui/when';

  /** How many of something fall into which hour, as a strip with a table for those who don’t see it. */
  let { times, what = 'messages' }: { times: string[]; what?: string } = $props();

  const MOST = 60;
  const hour = 3_600_000;
  const first = $derived(Math.floor(new Date(times[0]).getTime() / hour));
  const span = $derived(Math.floor(new Date(times.at(-1)!).getTime() / hour) - first + 1);
  /** So many hours stand in one column, where there would be too many. */
  const step = $derived(Math.ceil(span / MOST));
  const columns = $derived.by(() => {
    const counts = Array.from({ length: Math.ceil(span / step) }, () => 0);
    for (const time of times)
      counts[Math.floor((Math.floor(new Date(time).getTime() / hour) - first) / step)]++;
    return counts.map((count, i) => ({ count, from: new Date((first + i * step) * hour).toISOString() }));
  });
  const most = $derived(Math.max(...columns.map((one) => one.count)));
</script>

<svg width={columns.length * 12} height="34" aria-hidden="true">
  {#each columns as { count, from }, i (from)}
    {#if count}
      <rect
        x={i * 12}
        y={32 - Math.max(2, (count / most) * 30)}
        width="10"
        height={Math.max(2, (count / most) * 30)}><title>{count} {what}, {dayAndTime(from)}</title></rect
      >
    {/if}
  {/each}
  <line x1="0" x2={columns.length * 12} y1="33" y2="33" />
</svg>
<p class="ends" style="width: {columns.length * 12}px">
  <span>{dayAndTime(columns[0].from)}</span><span>{dayAndTime(columns.at(-1)!.from)}</span>
</p>
<table class="unseen">
  <caption>{what} by hour</caption>
  <tbody>
    {#each columns.filter((one) => one.count) as { count, from } (from)}
      <tr><th>{dayAndTime(from)}</th><td>{count}</td></tr>
    {/each}
  </tbody>
</table>

<style>
  svg {
    display: block;
    max-width: 100%;
    margin-top: 4px;
  }

  rect {
    fill: var(--ink-soft);
  }

  line {
    stroke: var(--rule);
  }

  .ends {
    display: flex;
    gap: 24px;
    justify-content: space-between;
    min-width: fit-content;
    max-width: 100%;
    color: var(--ink-soft);
    font-size: 12px;
  }
</style>
