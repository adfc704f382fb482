<script lang="ts">
  import { ask, sentence, type Schemas } from '../api/client';
  import { go, recordAddress } from '../app/router';
  import CompanyForm from '../company/CompanyForm.svelte';
  import Button from '../ui/Button.svelte';
  import { notify } from '../ui/notices.svelte';
  import AddPerson from './AddPerson.svelte';

  /** The steps that make an empty company work, each done in place or passed over. */
  type Step = Schemas['StepState']['step'];
  let {
    hour,
    onchanged,
    onread,
  }: {
    hour: Schemas['FirstHour'];
    onchanged: (hour: Schemas['FirstHour']) => void;
    onread: () => Promise<void>;
  } = $props();

  const words: Record<Step, { title: string; about: string; act: string }> = {
    COMPANY: {
      title: 'Our company',
      about: 'Its phone number and address for signatures and footers, and where readers reach it.',
      act: 'Fill in',
    },
    PEOPLE: {
      title: 'People to write to',
      about: 'Import them from a CSV or vCard file, or add a first contact by hand.',
      act: 'Add people',
    },
    TEMPLATE: {
      title: 'A first template',
      about:
        'Start from a design, or write in an empty one. A made-up person shows it until you have contacts.',
      act: 'Choose a design',
    },
    MESSAGE: {
      title: 'A first message',
      about: 'Open somebody and write to them, from a template or from nothing.',
      act: 'Write a message',
    },
  };
  let open = $state<Step | null>(null);
  const left = $derived(hour.steps.filter((one) => !one.done && !one.skipped).length);

  async function begin(step: Step) {
    if (step === 'TEMPLATE') go('/templates/new');
    else if (step === 'MESSAGE') await writeToFirst();
    else open = open === step ? null : step;
  }

  /** To whoever comes first by name; somebody has to be there. */
  async function writeToFirst() {
    try {
      const { person, total } = await ask('get', '/api/desk/people/step', { query: { about: 'PERSON' } });
      if (total) go(recordAddress(person.kind, person.id), { search: '?write=yes' });
      else {
        open = 'PEOPLE';
        notify('Add somebody to write to first.');
      }
    } catch (failure) {
      notify(sentence(failure), { stop: true });
    }
  }

  async function skip(step: Step, skipped: boolean) {
    try {
      const path = '/api/today/first-hour/{step}/skipped';
      onchanged(await ask(skipped ? 'put' : 'delete', path, { params: { step } }));
      if (skipped)
        notify(`“${words[step].title}” is skipped, for everybody.`, { undo: () => skip(step, false) });
    } catch (failure) {
      notify(sentence(failure), { stop: true });
    }
  }

  async function done() {
    open = null;
    await onread();
  }
</script>

<section aria-labelledby="first-hour">
  <h2 id="first-hour">First steps <small>{left} to go</small></h2>
  <ol>
    {#each hour.steps as { step, done: ready, skipped } (step)}
      <li class:ready={ready || skipped}>
        <span class="mark" aria-hidden="true">{ready ? '✓' : skipped ? '–' : ''}</span>
        <div>
          <b>{words[step].title}</b><span class="unseen">{ready ? ': done' : skipped ? ': skipped' : ''}</span
          >
          <p>{words[step].about}</p>
        </div>
        <span class="ways">
          {#if skipped && !ready}
            skipped
          {:else if !ready && (step !== 'COMPANY' || hour.mayChange)}
            <Button quiet aria-expanded={open === step} onclick={() => void begin(step)}
              >{words[step].act}</Button
            >
            {#if hour.mayChange}
              <Button quiet aria-label="Skip “{words[step].title}”" onclick={() => void skip(step, true)}
                >Skip</Button
              >
            {/if}
          {/if}
        </span>
        {#if open === step}
          <div class="place">
            {#if step === 'COMPANY'}
              <CompanyForm onkept={() => void done()} />
            {:else if step === 'PEOPLE'}
              <p class="file">
                <a href="/people/contacts/import">Import contacts from a file</a>, or add one here:
              </p>
              <AddPerson onadded={() => void done()} />
            {/if}
          </div>
        {/if}
      </li>
    {/each}
  </ol>
</section>

<style>
  section {
    max-width: 1000px;
    padding: 6px 20px 14px;
  }

  h2 {
    padding: 10px 0 6px;
    font: 500 var(--large) / 1.3 var(--serif);
  }

  small {
    color: var(--ink-soft);
    font: 12.5px var(--sans);
  }

  ol {
    padding: 0;
    list-style: none;
  }

  li {
    display: grid;
    grid-template-columns: 20px minmax(0, 1fr) auto;
    gap: 0 10px;
    align-items: baseline;
    padding: 8px 0 9px;
    border-top: 1px solid var(--rule-soft);
  }

  .ready b,
  .ready p {
    color: var(--ink-soft);
    font-weight: 400;
  }

  p {
    color: var(--ink-soft);
    font-size: 13px;
  }

  .file {
    padding-bottom: 8px;
  }

  .file a {
    color: var(--ink);
  }

  .mark {
    color: var(--good);
  }

  .ways {
    color: var(--ink-soft);
    font-size: 13px;
  }

  .place {
    grid-column: 2 / -1;
    padding-top: 12px;
  }

  @media (width <= 700px) {
    .ways {
      grid-column: 2;
    }
  }
</style>
