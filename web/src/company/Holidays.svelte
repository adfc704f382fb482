<script lang="ts">
  import { ask, fieldsOf, sentence, type Schemas } from '../api/client';
  import { isEditor } from '../app/session.svelte';
  import InlineButton from '../ui/InlineButton.svelte';
  import Button from '../ui/Button.svelte';
  import Choose from '../ui/Choose.svelte';
  import PlainTable from '../ui/PlainTable.svelte';
  import { notify } from '../ui/notices.svelte';

  /** The days on which nobody works, a country at a time; calculated working days leave them out. */
  type Holiday = Schemas['Holiday'];
  const may = isEditor();
  const names = new Intl.DisplayNames(['en'], { type: 'region' });

  let all = $state<Schemas['CountryHolidays'][] | null>(null);
  let country = $state('');
  let typed = $state<Holiday[]>([]);
  let wrong = $state<Record<string, string>>({});
  let failed = $state('');
  const changed = $derived(JSON.stringify(typed) !== JSON.stringify(kept()));

  function kept(): Holiday[] {
    return all?.find((one) => one.country === country)?.holidays ?? [];
  }

  function choose(code: string) {
    country = code;
    wrong = {};
    typed = kept().map((one) => ({ ...one }));
  }

  function take(read: Schemas['CountryHolidays'][]) {
    all = read;
    choose(country || (read.some((one) => one.country === 'GB') ? 'GB' : (read[0]?.country ?? '')));
  }

  ask('get', '/api/company/holidays')
    .then(take)
    .catch((failure) => (failed = sentence(failure)));

  async function keep() {
    try {
      take(await ask('put', '/api/company/holidays/{country}', { params: { country }, body: typed }));
      notify(`The holidays of ${names.of(country)} are saved.`);
    } catch (failure) {
      wrong = fieldsOf(failure);
      if (!Object.keys(wrong).length) notify(sentence(failure), { stop: true });
    }
  }

  async function reset() {
    const before = kept();
    try {
      take(await ask('delete', '/api/company/holidays/{country}', { params: { country } }));
      notify(`The holidays of ${names.of(country)} are restored to the defaults.`, {
        undo: async () => {
          take(await ask('put', '/api/company/holidays/{country}', { params: { country }, body: before }));
        },
      });
    } catch (failure) {
      notify(sentence(failure), { stop: true });
    }
  }
</script>

<p class="soft">
  “Today plus 5 working days” leaves out weekends and the holidays of the country a person is in.
  {#if !may}Editors and administrators change them.{/if}
</p>
{#if failed}<p role="alert">{failed}</p>{/if}
{#if all}
  <div class="country">
    <Choose
      label="Country"
      value={country}
      options={all.map((one) => [one.country, names.of(one.country) ?? one.country] as const)}
      onchange={choose}
    />
  </div>
  <PlainTable label="Holidays" heads={['Holiday', 'Falls on', '']}>
    {#each typed as holiday, i (i)}
      {@const name = wrong[`holidays.${i}.name`]}
      {@const rule = wrong[`holidays.${i}.rule`]}
      <tr>
        <td>
          {#if may}
            <input
              aria-label="Name of holiday {i + 1}"
              aria-invalid={name ? true : undefined}
              bind:value={holiday.name}
            />
            {#if name}<span class="wrong">{name}</span>{/if}
          {:else}{holiday.name}{/if}
        </td>
        <td>
          {#if may}
            <input
              aria-label="Day of holiday {i + 1}"
              aria-invalid={rule ? true : undefined}
              bind:value={holiday.rule}
            />
            {#if rule}<span class="wrong">{rule}</span>{/if}
          {:else}{holiday.rule}{/if}
        </td>
        <td class="ways">
          {#if may}
            <InlineButton
              soft
              aria-label="Remove {holiday.name}"
              onclick={() => (typed = typed.filter((_, at) => at !== i))}>remove</InlineButton
            >
          {/if}
        </td>
      </tr>
    {/each}
  </PlainTable>
  {#if may}
    <p class="acts">
      <Button onclick={() => (typed = [...typed, { name: '', rule: '' }])}>Add a holiday</Button>
      <Button main disabled={!changed} onclick={() => void keep()}>Save</Button>
      <Button quiet onclick={() => void reset()}>Restore the defaults</Button>
    </p>
    <p class="soft">
      A day is written as 12-25 (month first), easter+1, first monday may or 2027-06-21. “moved” behind it
      means the Monday after when it falls on a weekend, “moved twice” the Tuesday.
    </p>
  {/if}
{/if}

<style>
  .soft {
    color: var(--ink-soft);
  }

  .country {
    width: 240px;
    margin-top: 10px;
  }

  .acts {
    display: flex;
    gap: 8px;
    margin-bottom: 10px;
  }
</style>
