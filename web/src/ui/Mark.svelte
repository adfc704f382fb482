<script lang="ts">
  import { marks } from './marks';

  /** The sign and colour of where a value comes from. */
  let { source }: { source: string } = $props();
</script>

<span class="mark" style:color="var(--{source})" aria-hidden="true">{marks[source] ?? '▫'}</span>

<style>
  .mark {
    display: inline-block;
    width: 14px;
    font-size: 11px;
  }
</style>
