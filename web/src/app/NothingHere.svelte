<script lang="ts">
  import Page from '../ui/Page.svelte';
</script>

<Page title="Nothing here">
  <p>
    There is nothing at this address. It may have been moved or deleted. <a href="/people">Go to People</a>
  </p>
</Page>

<style>
  p {
    padding: 20px;
  }
</style>
