<script lang="ts">
  import { untrack } from 'svelte';
  import { ask, sentence, type Schemas } from '../api/client';
  import { bothClocks } from './bothClocks';
  import Button from '../ui/Button.svelte';
  import Slip from '../ui/Slip.svelte';
  import SmallInput from '../ui/SmallInput.svelte';
  import SmallSelect from '../ui/SmallSelect.svelte';

  /** When a message leaves: now, at an hour that is offered, or at any other, on our clock or theirs. */
  type Hour = Schemas['Hour'];
  let {
    anchor,
    kind,
    person,
    name,
    hour,
    from = null,
    mayBeNow = true,
    onchoose,
    onclose,
  }: {
    anchor: HTMLElement;
    kind: string;
    person: string;
    /** Whom it is written to. */
    name: string;
    hour: Hour | null;
    /** The moment at which it leaves as it is; the fields begin with it, on our clock. */
    from?: string | null;
    /** Whether it can leave at once. */
    mayBeNow?: boolean;
    /** Takes the hour, or nothing for at once; says what is wrong with it. */
    onchoose: (hour: Hour | null) => Promise<string>;
    onclose: () => void;
  } = $props();

  const words: Record<Schemas['OfferedHour']['kind'], string> = {
    THEIR_MORNING: 'Their morning',
    THEIR_AFTERNOON: 'Their afternoon',
    TOMORROW: 'Tomorrow, 8:00',
    NEXT_WEEK: 'Next week',
  };
  let hours = $state<Schemas['ShownHours'] | null>(null);
  let wrong = $state('');
  let date = $state('');
  let time = $state('');
  let zone = $state('');
  let asked = 0;

  const typed = $derived<Hour | null>(date && time && zone ? { date, time, zone } : null);
  const shown = $derived(hours?.hour);
  const sameClock = $derived(hours?.ours === hours?.theirs);
  const places = $derived({ ours: hours?.oursName ?? '', theirs: hours?.theirsName ?? '' });

  async function read(about: Hour | null, moment: string | null = null) {
    const turn = ++asked;
    try {
      const now = await ask('post', '/api/messages/hours', {
        body: { kind: kind as Schemas['HoursRequest']['kind'], person, hour: about, moment },
      });
      if (turn !== asked) return;
      hours = now;
      wrong = '';
      if (!zone) begin(now);
    } catch (failure) {
      if (turn === asked) wrong = sentence(failure);
    }
  }

  /** The fields begin with the hour that is set, else with the first that is offered. */
  function begin(now: Schemas['ShownHours']) {
    const first = hour ?? now.hour?.hour ?? now.offered[0]?.hour.hour;
    date = first?.date ?? '';
    time = first?.time ?? '';
    zone = first?.zone ?? now.ours;
    if (typed) void read(typed);
  }

  async function choose(to: Hour | null) {
    wrong = await onchoose(to);
    if (!wrong) onclose();
  }

  function change() {
    if (typed) void read(typed);
  }

  untrack(() => void read(hour, from));
</script>

<Slip title="When it leaves" {anchor} {onclose}>
  {#if hours}
    <ul>
      {#if mayBeNow}<li><Button quiet onclick={() => void choose(null)}>Now</Button></li>{/if}
      {#each hours.offered as one (one.kind)}
        <li>
          <Button quiet onclick={() => void choose(one.hour.hour)}>{words[one.kind]}</Button>
          <small>{bothClocks(one.hour, places)}</small>
        </li>
      {/each}
    </ul>
    <form
      onsubmit={(event) => {
        event.preventDefault();
        if (typed) void choose(typed);
      }}
    >
      <label>On <SmallInput type="date" bind:value={date} oninput={change} required /></label>
      <label>at <SmallInput type="time" bind:value={time} oninput={change} required /></label>
      {#if !sameClock}
        <label
          >in <SmallSelect
            value={zone}
            onchange={(event) => {
              zone = event.currentTarget.value;
              change();
            }}
          >
            <option value={hours.ours}>{hours.oursName}</option>
            <option value={hours.theirs}>{hours.theirsName}, where {name} is</option>
            {#if zone !== hours.ours && zone !== hours.theirs}<option value={zone}>{zone}</option>{/if}
          </SmallSelect></label
        >
      {/if}
      <p class="read" aria-live="polite">
        {#if hours.refusal}
          <span class="wrong">{hours.refusal}</span>
        {:else if shown}
          {bothClocks(shown, places)}.
          {#each shown.remarks as remark (remark)}<span class="remark">{remark}</span>
          {/each}
        {/if}
      </p>
      <Button main type="submit" disabled={!typed || !!hours.refusal}>Choose this hour</Button>
    </form>
  {/if}
  {#if wrong}<p class="wrong" role="alert">{wrong}</p>{/if}
</Slip>

<style>
  ul {
    margin: 0 0 8px -6px;
    padding: 0;
    list-style: none;
  }

  li {
    display: flex;
    flex-wrap: wrap;
    gap: 0 8px;
    align-items: baseline;
  }

  small {
    padding-left: 6px;
    color: var(--ink-soft);
    font-size: 12.5px;
  }

  form {
    display: flex;
    flex-wrap: wrap;
    gap: 6px 8px;
    align-items: center;
    padding-top: 8px;
    border-top: 1px solid var(--rule);
  }

  .read {
    flex-basis: 100%;
    min-height: 20px;
    color: var(--ink-soft);
    font-size: 13px;
  }

  .remark {
    color: var(--query);
  }

  .wrong {
    color: var(--stop);
  }
</style>
