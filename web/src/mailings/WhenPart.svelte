<script lang="ts">
  import SmallInput from '../ui/SmallInput.svelte';
  import SmallSelect from '../ui/SmallSelect.svelte';
  import { dayAndTime } from '../ui/when';
  import HoursStrip from './HoursStrip.svelte';
  import type { MailingSheet } from './mailingSheet.svelte';
  import { goes, span } from './mailingWords';
  import Part from './Part.svelte';
  import { tomorrow } from './tomorrow';

  /** When the messages of a mailing leave. */
  let { sheet, folded = $bindable(false) }: { sheet: MailingSheet; folded?: boolean } = $props();

  const when = $derived(sheet.plan!.when);
  const times = $derived(
    sheet.rows
      .filter(goes)
      .map((row) => row.at)
      .filter((at) => at !== null)
      .sort(),
  );
  const spreads = [0, 30, 60, 120, 240, 480, 1440, 2880, 7200];
  const last = $derived(times.at(-1));
  const summary = $derived(
    `${when.hour ? `From ${when.hour.date}, ${when.hour.time}` : 'At once'}${
      when.overMinutes ? `, over ${span(when.overMinutes)}` : ''
    }${when.theirHours ? ', in their working hours' : ''}${last ? `; the last one ${dayAndTime(last)}` : ''}`,
  );

  const later = (wanted: boolean) => sheet.when({ hour: wanted ? tomorrow() : null });
</script>

<Part name="When" {summary} said={sheet.sentBack} bind:folded>
  {#if sheet.open}
    <p class="when">
      <SmallSelect
        word
        aria-label="When it begins"
        value={when.hour ? 'later' : 'now'}
        onchange={(event) => later(event.currentTarget.value === 'later')}
      >
        <option value="now">At once</option>
        <option value="later">From a day and an hour</option>
      </SmallSelect>
      {#if when.hour}
        <SmallInput
          type="date"
          aria-label="Day"
          value={when.hour.date}
          onchange={(event) => sheet.when({ hour: { ...when.hour!, date: event.currentTarget.value } })}
        />
        <SmallInput
          type="time"
          aria-label="Hour"
          value={when.hour.time}
          onchange={(event) => sheet.when({ hour: { ...when.hour!, time: event.currentTarget.value } })}
        />
        <span>by the clock of {when.hour.zone.split('/').at(-1)?.replaceAll('_', ' ')}</span>
      {/if}
      ,
      <SmallSelect
        word
        aria-label="Over how long"
        value={String(when.overMinutes)}
        onchange={(event) => sheet.when({ overMinutes: Number(event.currentTarget.value) })}
      >
        {#each spreads as minutes (minutes)}
          <option value={String(minutes)}>{minutes ? `spread over ${span(minutes)}` : 'all together'}</option>
        {/each}
      </SmallSelect>,
      <SmallSelect
        word
        aria-label="At which hours"
        style="max-width: none"
        value={when.theirHours ? 'theirs' : 'any'}
        onchange={(event) => sheet.when({ theirHours: event.currentTarget.value === 'theirs' })}
      >
        <option value="any">at any hour</option>
        <option value="theirs">in each person’s working hours</option>
      </SmallSelect>.
    </p>
    {#if last}
      <p role="status">
        {times.length === 1 || times[0] === last
          ? `${times.length === 1 ? 'It leaves' : 'They leave'} ${dayAndTime(last)}.`
          : `The first leaves ${dayAndTime(times[0]!)}, the last one ${dayAndTime(last)}.`}
        <span class="soft">No more leave than our company lets within an hour and a day.</span>
      </p>
      {#if times[0] !== last}<HoursStrip times={times as string[]} />{/if}
    {/if}
  {:else}
    <p>{summary}.</p>
  {/if}
  {#each [sheet.ready?.wrong.hour, sheet.wrong.hour, sheet.wrong.over].filter(Boolean) as one (one)}
    <p class="wrong" role="alert">{one}</p>
  {/each}
</Part>

<style>
  .when,
  .soft {
    color: var(--ink-soft);
  }

  .wrong {
    color: var(--stop);
  }
</style>
