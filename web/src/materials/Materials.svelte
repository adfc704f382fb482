<script lang="ts">
  import { route } from '../app/router';
  import Page from '../ui/Page.svelte';
  import Parts from '../ui/Parts.svelte';
  import Feeds from './Feeds.svelte';
  import Files from './Files.svelte';
  import HouseStyles from './HouseStyles.svelte';
  import Links from './Links.svelte';
  import Passages from './Passages.svelte';
  import Pictures from './Pictures.svelte';
  import Signatures from './Signatures.svelte';

  /** What is kept once and used in many templates. */
  const parts = [
    ['styles', 'Styles', HouseStyles],
    ['passages', 'Passages', Passages],
    ['signatures', 'Signatures', Signatures],
    ['links', 'Links', Links],
    ['pictures', 'Pictures', Pictures],
    ['feeds', 'Feeds', Feeds],
    ['files', 'Files', Files],
  ] as const;
  const part = $derived(String((route.params as Record<string, string>).part ?? 'styles'));
  const shown = $derived(parts.find(([code]) => code === part) ?? parts[0]);
  const Part = $derived(shown[2]);
</script>

<Page title="Materials" crumb="Shared by all templates">
  {#snippet actions()}
    <Parts {parts} base="/materials" shown={shown[0]} />
  {/snippet}
  <Part />
</Page>
