<script lang="ts">
  import { untrack } from 'svelte';
  import { ask, fieldsOf, sentence } from '../api/client';
  import { recordAddress } from '../app/router';
  import type { About } from '../library/about';
  import FieldInput from '../records/FieldInput.svelte';
  import InlineButton from '../ui/InlineButton.svelte';
  import { figure, outOf, readExactProfile, readProfile, type Profile } from './profiles';

  /** What a field really holds for everybody, and who lacks it: missing values are filled in a column, in place. */
  let {
    about,
    path,
    fallback,
    onmended,
  }: {
    about: About;
    path: string;
    /** What stands in where it is missing, in a few words; empty when nothing does. */
    fallback: string;
    onmended: () => void;
  } = $props();

  let profile = $state<Profile | null>(null);
  let failed = $state('');
  let listed = $state(false);
  let typed = $state<Record<string, string>>({});
  let wrong = $state<Record<string, string>>({});
  let done = $state<Record<string, string>>({});
  /** What is on its way or kept: Enter and leaving the line, one after the other, send it once. */
  const sent: Record<string, string> = {};

  const lacking = $derived(profile ? profile.of - profile.filled : 0);

  /** How far the count of everybody is; below nothing while none is made. */
  let percent = $state(-1);

  async function read(signal: AbortSignal) {
    try {
      profile = await readProfile(about, path);
      failed = '';
      if (!profile.sampled) return;
      percent = 0;
      const exact = await readExactProfile(about, path, (now) => (percent = now), signal);
      if (exact && !signal.aborted) profile = exact;
    } catch (failure) {
      if (!signal.aborted) failed = sentence(failure);
    } finally {
      percent = -1;
    }
  }

  /** The chip beside this may be read anew without being another one; the lines stay as they are then. */
  const shown = $derived(`${about} ${path}`);
  $effect(() => {
    void shown;
    const stopping = new AbortController();
    untrack(() => void read(stopping.signal));
    return () => stopping.abort();
  });

  type Lacking = Profile['missing'][number];

  async function fill(person: Lacking) {
    const value = typed[person.id] ?? '';
    if (!person.place || value === '' || value === done[person.id] || value === sent[person.id]) return;
    sent[person.id] = value;
    try {
      await ask('put', '/api/records/{kind}/{id}/fields/{field}', {
        params: { kind: person.place.kind, id: person.place.id, field: person.place.field },
        body: { value },
      });
      done[person.id] = value;
      delete wrong[person.id];
      onmended();
      // The lines stay where they are; only what is counted is asked again.
      const lines = profile!.missing;
      profile = { ...(await readProfile(about, path)), missing: lines };
    } catch (failure) {
      delete sent[person.id];
      wrong[person.id] = Object.values(fieldsOf(failure))[0] ?? sentence(failure);
    }
  }

  /** Enter keeps a value and goes on to the next line. */
  function onkeydown(event: KeyboardEvent, person: Lacking) {
    if (event.key !== 'Enter') return;
    event.preventDefault();
    const line = (event.currentTarget as HTMLElement).closest('li');
    void fill(person);
    line?.nextElementSibling?.querySelector<HTMLElement>('input, select, textarea')?.focus();
  }
</script>

{#if failed}
  <p class="wrong" role="alert">{failed}</p>
{:else if profile && !profile.counted}
  <p class="soft">Worked out for each person, so there is nothing to count.</p>
{:else if profile}
  <dl>
    <dt>Filled for</dt>
    <dd>
      <b>{outOf(profile.filled, profile.of, profile.error)}</b>
      {#if profile.sampled}
        <small
          >from {figure(profile.sampled)} of them{#if percent >= 0}; counting everybody: {percent} %{/if}</small
        >
      {/if}
    </dd>
    {#if profile.commonest.length}
      <dt>Most common</dt>
      <dd>
        {#each profile.commonest as one, i (one.value)}{i ? ', ' : ''}<bdi>{one.value}</bdi>
          <small>{one.people}</small>{/each}
      </dd>
    {/if}
    {#if profile.longest}
      <dt>{profile.longest.why.replace('the ', '').replace(/^./, (first) => first.toUpperCase())}</dt>
      <dd>
        <bdi>{profile.longest.value}</bdi>
        <small
          ><a href={recordAddress(profile.longest.kind, profile.longest.id)}>{profile.longest.name}</a></small
        >
      </dd>
    {/if}
    {#if profile.odd.length}
      <dt>Unusual</dt>
      <dd class="odd">
        {#each profile.odd.slice(0, 6) as one, i (i)}
          <span
            ><bdi class="as-stored">{one.value}</bdi>
            <small>{one.why}, <a href={recordAddress(one.kind, one.id)}>{one.name}</a></small></span
          >
        {/each}
      </dd>
    {/if}
    {#if lacking}
      <dt>Missing</dt>
      <dd>
        <InlineButton aria-expanded={listed} onclick={() => (listed = !listed)}>
          {lacking === 1 ? 'one person' : `${profile.error ? 'about ' : ''}${figure(lacking)} people`}
          {fallback ? `would see “${fallback}”` : 'have no value'}
        </InlineButton>
      </dd>
    {/if}
  </dl>
  {#if listed}
    <ul aria-label="People without it">
      {#each profile.missing as person (person.id + (person.place?.id ?? ''))}
        <li>
          <span>
            <a href={recordAddress(person.kind, person.id)}><bdi>{person.name || 'no name'}</bdi></a>
            <small>{person.remark}</small>
          </span>
          {#if person.place}
            <!-- svelte-ignore a11y_no_static_element_interactions -->
            <span
              class="fill"
              onkeydown={(event) => onkeydown(event, person)}
              onfocusout={() => void fill(person)}
            >
              <FieldInput
                label="{profile.label} of {person.name}"
                type={profile.type}
                choices={profile.choices}
                grab={false}
                bind:value={() => typed[person.id] ?? '', (value) => (typed[person.id] = value)}
                invalid={person.id in wrong}
              />
            </span>
            <span class="done" role="status">{done[person.id] ? 'saved' : ''}</span>
          {:else}
            <span class="soft">can’t be filled in here</span>
          {/if}
          {#if wrong[person.id]}<p class="wrong" role="alert">{wrong[person.id]}</p>{/if}
        </li>
      {/each}
      {#if lacking > profile.missing.length}
        <li class="soft">
          and {figure(lacking - profile.missing.length)} more; fill these in, and open it again
        </li>
      {/if}
    </ul>
  {/if}
{/if}

<style>
  dl {
    display: grid;
    grid-template-columns: 82px minmax(0, 1fr);
    gap: 3px 8px;
    align-items: baseline;
    margin-top: 8px;
    padding-top: 8px;
    border-top: 1px solid var(--rule-soft);
  }

  dt,
  .soft,
  small {
    color: var(--ink-soft);
  }

  small {
    font-size: var(--small);
  }

  dd {
    overflow-wrap: anywhere;
  }

  .odd span {
    display: block;
  }

  .as-stored {
    padding: 0 2px;
    background: var(--query-tint);
    white-space: pre-wrap;
  }

  ul {
    max-height: 220px;
    margin-top: 6px;
    overflow: auto;
    border-top: 1px solid var(--rule-soft);
  }

  li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 150px 34px;
    gap: 8px;
    align-items: center;
    padding: 2px 0;
    border-bottom: 1px solid var(--rule-soft);
  }

  .done {
    color: var(--good);
    font-size: 12px;
  }

  .wrong {
    grid-column: 1 / -1;
    color: var(--stop);
    font-size: 12.5px;
  }
</style>
