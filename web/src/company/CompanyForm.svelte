<script lang="ts">
  import { ask, fieldsOf, sentence, type Schemas } from '../api/client';
  import { isEditor } from '../app/session.svelte';
  import Button from '../ui/Button.svelte';
  import ChooseTyped from '../ui/ChooseTyped.svelte';
  import Field from '../ui/Field.svelte';
  import { notify } from '../ui/notices.svelte';
  import PlaceFields from './PlaceFields.svelte';

  /** Our company's name, address and the like, and where readers reach us. */
  let { onkept }: { onkept?: () => void } = $props();
  const may = isEditor();
  const lines = [
    ['name', 'Company name'],
    ['phone', 'Phone'],
    ['website', 'Website'],
    ['street', 'Street'],
    ['postcode', 'Postcode'],
    ['town', 'Town'],
  ] as const;
  let details = $state<Schemas['CompanyDetails'] | null>(null);
  let fixed = $state(false);
  let choices = $state<Schemas['Choices'] | null>(null);
  let wrong = $state<Record<string, string>>({});
  let failed = $state('');

  function take(company: Schemas['Company']) {
    details = company.details;
    fixed = company.addressFixed;
  }

  async function read() {
    try {
      const [company, all] = await Promise.all([ask('get', '/api/company'), ask('get', '/api/choices')]);
      choices = all;
      take(company);
      failed = '';
    } catch (failure) {
      failed = sentence(failure);
    }
  }

  async function keep(event: SubmitEvent) {
    event.preventDefault();
    if (!details) return;
    try {
      take(await ask('put', '/api/company', { body: $state.snapshot(details) }));
      wrong = {};
      notify('Saved.');
      onkept?.();
    } catch (failure) {
      wrong = fieldsOf(failure);
      if (!Object.keys(wrong).length) notify(sentence(failure), { stop: true });
    }
  }

  void read();
</script>

{#if failed}
  <p role="alert">{failed} <Button quiet onclick={() => void read()}>Try again</Button></p>
{:else if details && choices}
  <form onsubmit={keep} aria-label="Our company">
    <fieldset disabled={!may}>
      {#each lines as [name, label] (name)}
        <Field {label} required={name === 'name'} bind:value={details[name]} error={wrong[name]} />
      {/each}
      <PlaceFields bind:place={details} {choices} {wrong} />
      <ChooseTyped
        label="Language"
        bind:value={details.language}
        options={choices.languages}
        error={wrong.language}
      />
      <div class="readers">
        <Field
          label="Public address"
          bind:value={details.publicAddress}
          error={wrong.publicAddress}
          disabled={fixed}
          remark={fixed
            ? 'Set where the server is started.'
            : 'Where readers of your messages reach this server, such as https://post.example.com. Without it there are no unsubscribe links and no web copies, and opens and clicks are not counted.'}
        />
      </div>
    </fieldset>
    {#if may}<Button main type="submit">Save</Button>{/if}
  </form>
{/if}

<style>
  fieldset {
    display: grid;
    grid-template-columns: repeat(3, minmax(0, 1fr));
    gap: 0 14px;
    max-width: 820px;
    margin: 0;
    padding: 0;
    border: 0;
  }

  .readers {
    grid-column: 1 / -1;
  }

  @media (width <= 700px) {
    fieldset {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
