<script lang="ts">
  import KeptTexts from './KeptTexts.svelte';
</script>

<KeptTexts kind="PASSAGE" />
