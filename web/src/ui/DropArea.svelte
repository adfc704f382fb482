<script lang="ts">
  import type { Snippet } from 'svelte';

  /** A place that files can be dropped on. */
  let {
    ondropped,
    small = false,
    children,
  }: {
    ondropped: (files: FileList) => void;
    /** No larger than what is in it. */
    small?: boolean;
    children: Snippet;
  } = $props();
  let over = $state(false);
</script>

<!-- svelte-ignore a11y_no_static_element_interactions -->
<div
  class:over
  class:small
  ondragover={(event) => {
    event.preventDefault();
    over = true;
  }}
  ondragleave={() => (over = false)}
  ondrop={(event) => {
    event.preventDefault();
    over = false;
    if (event.dataTransfer) ondropped(event.dataTransfer.files);
  }}
>
  {@render children()}
</div>

<style>
  div {
    min-height: 100%;
    padding: 4px 20px 40px;
  }

  .small {
    min-height: 0;
    padding: 0;
  }

  .over {
    outline: 2px dashed var(--ink);
    outline-offset: -8px;
  }
</style>
