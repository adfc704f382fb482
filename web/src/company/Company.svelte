<script lang="ts">
  import { route } from '../app/router';
  import Page from '../ui/Page.svelte';
  import Parts from '../ui/Parts.svelte';
  import Checks from './Checks.svelte';
  import Counting from './Counting.svelte';
  import CompanyDetails from './CompanyDetails.svelte';
  import DoNotEmail from './DoNotEmail.svelte';
  import Fields from './Fields.svelte';
  import Holidays from './Holidays.svelte';
  import MailingRules from './MailingRules.svelte';
  import Pipeline from './Pipeline.svelte';
  import Salutations from './Salutations.svelte';
  import Topics from './Topics.svelte';

  /** Our company: its details, pipeline, greetings, holidays, fields of its own, do-not-email list, topics, tracking and checks. */
  const parts = [
    ['details', 'Details', CompanyDetails],
    ['pipeline', 'Pipeline', Pipeline],
    ['greetings', 'Greetings', Salutations],
    ['holidays', 'Holidays', Holidays],
    ['fields', 'Fields', Fields],
    ['do-not-email', 'Do not email', DoNotEmail],
    ['topics', 'Topics', Topics],
    ['mailings', 'Mailings', MailingRules],
    ['tracking', 'Tracking', Counting],
    ['checks', 'Checks', Checks],
  ] as const;
  const part = $derived(String((route.params as Record<string, string>).part ?? 'details'));
  const shown = $derived(parts.find(([code]) => code === part) ?? parts[0]);
  const Part = $derived(shown[2]);
</script>

<Page title="Company settings">
  {#snippet actions()}
    <Parts {parts} base="/company" shown={shown[0]} />
  {/snippet}
  <div class="part">
    <Part />
  </div>
</Page>

<style>
  .part {
    max-width: 1180px;
    padding: 14px 20px 40px;
  }
</style>
