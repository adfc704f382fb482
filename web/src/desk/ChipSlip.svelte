<script lang="ts">
  import { tick, untrack } from 'svelte';
  import { ask, sentence, type Schemas } from '../api/client';
  import Button from '../ui/Button.svelte';
  import Slip from '../ui/Slip.svelte';
  import SmallInput from '../ui/SmallInput.svelte';
  import SmallSelect from '../ui/SmallSelect.svelte';
  import type { About } from '../library/about';
  import type { Chip } from './draftText';
  import FieldHolds from './FieldHolds.svelte';
  import type { FoundField } from './finding';
  import DateSteps from '../ui/DateSteps.svelte';

  /** A field's settings beside its chip: what this person has, what is printed when it is missing, and how. */
  let {
    chip,
    anchor,
    about,
    kind,
    fields,
    personName,
    editable,
    onchanged,
    onmended,
    onremove,
    onclose,
  }: {
    chip: Chip;
    anchor: HTMLElement;
    about: About;
    kind: Schemas['ProvedPerson']['kind'];
    fields: FoundField[];
    personName: string;
    editable: boolean;
    onchanged: (chip: Chip) => void;
    /** A missing value has been filled in on somebody's record. */
    onmended: () => void;
    onremove: () => void;
    onclose: () => void;
  } = $props();

  type Term = Schemas['ShownTerm'];
  let terms = $state<Term[]>(untrack(() => chip.terms.map((term) => ({ ...term }))));
  let wrong = $state('');
  const blank = $derived(terms[0]?.kind === 'blank');
  const dated = $derived(terms[0]?.kind === 'field' && (chip.type === 'DATE' || chip.type === 'DATE_TIME'));
  const field = $derived(fields.find((one) => one.path === chip.terms[0]?.value));
  const formats = $derived(
    chip.formats.includes(terms[0]?.format) || !terms[0]?.format
      ? chip.formats
      : [...chip.formats, terms[0].format],
  );

  let asked = 0;

  async function keep() {
    const mine = ++asked;
    // The slip may be closed before the answer comes; what was chosen counts all the same.
    const tell = onchanged;
    try {
      const made = await ask('post', '/api/desk/written', {
        body: { about, kind, terms: terms.filter((term) => term.kind !== 'text' || term.value !== '') },
      });
      if (mine !== asked) return;
      wrong = '';
      tell(made.chip);
    } catch (failure) {
      if (mine === asked) wrong = sentence(failure);
    }
  }

  let words = $state<HTMLInputElement>();

  function fallBackOn(how: string) {
    const first = terms[0];
    terms =
      how === ''
        ? [first]
        : how === 'text'
          ? [first, { kind: 'text', value: '', format: '', steps: [] }]
          : how === 'nothing'
            ? [first, { kind: 'nothing', value: '', format: '', steps: [] }]
            : [first, { kind: 'field', value: how.slice(6), format: '', steps: [] }];
    if (how === 'text') void tick().then(() => words?.focus());
    else void keep();
  }

  const how = $derived(
    terms.length < 2 ? '' : terms[1].kind === 'field' ? `field ${terms[1].value}` : terms[1].kind,
  );
</script>

<Slip title={blank ? 'You write in' : chip.label} {anchor} wide onclose={() => onclose()}>
  <dl>
    {#if blank}
      <dt><label for="chip-hint">What to write in</label></dt>
      <dd>
        <SmallInput
          whole
          id="chip-hint"
          disabled={!editable}
          maxlength={200}
          bind:value={terms[0].value}
          onchange={() => void keep()}
          onkeydown={(event) => {
            if (event.key === 'Enter') void keep().then(onclose);
          }}
        />
        <small>The sender fills this in at each use, before anything else.</small>
      </dd>
    {:else}
      <dt>This person</dt>
      <dd>
        {#if field?.value}{field.value}{:else}<em>{personName} has none</em>{/if}
      </dd>
    {/if}
    {#if dated}
      <dt>Date calculation</dt>
      <dd>
        <DateSteps
          steps={terms[0].steps ?? []}
          {editable}
          onchange={(steps) => {
            terms[0].steps = steps;
            void keep();
          }}
        />
      </dd>
    {/if}
    <dt><label for="chip-missing">If missing</label></dt>
    <dd>
      <SmallSelect
        whole
        id="chip-missing"
        disabled={!editable}
        value={how}
        onchange={(event) => fallBackOn(event.currentTarget.value)}
      >
        <option value="">{blank ? 'the message waits for it' : 'the message waits for a value'}</option>
        <option value="text">print these words</option>
        <option value="nothing">print nothing</option>
        <optgroup label="print another field">
          {#each fields.filter((one) => one.path !== chip.terms[0]?.value) as one (one.path)}
            <option value="field {one.path}">{one.label} ({one.whose})</option>
          {/each}
        </optgroup>
      </SmallSelect>
      {#if terms[1]?.kind === 'text'}
        <SmallInput
          whole
          bind:element={words}
          aria-label="Words to print when it is missing"
          disabled={!editable}
          bind:value={terms[1].value}
          onchange={() => void keep()}
          onkeydown={(event) => {
            if (event.key === 'Enter') {
              void keep().then(onclose);
            }
          }}
        />
      {/if}
      {#if terms.length > 2}
        <small
          >then {terms
            .slice(2)
            .map((term) => term.value || term.kind)
            .join(', then ')}</small
        >
      {/if}
    </dd>
    {#if formats.length && terms[0]?.kind === 'field'}
      <dt><label for="chip-format">Format</label></dt>
      <dd>
        <SmallSelect
          whole
          id="chip-format"
          disabled={!editable}
          value={terms[0].format}
          onchange={(event) => {
            terms[0].format = event.currentTarget.value;
            void keep();
          }}
        >
          <option value="">the default</option>
          {#each formats as format (format)}<option value={format}>{format}</option>{/each}
        </SmallSelect>
      </dd>
    {/if}
    <dt>Written form</dt>
    <dd class="written">{chip.written}</dd>
  </dl>
  {#if wrong}<p role="alert">{wrong}</p>{/if}
  {#if field?.path.includes('.')}
    <FieldHolds {about} path={field.path} fallback={chip.fallback} {onmended} />
  {/if}
  {#if editable}<Button quiet onclick={onremove}>Remove</Button>{/if}
</Slip>

<style>
  dl {
    display: grid;
    grid-template-columns: 82px minmax(0, 1fr);
    gap: 5px 8px;
    align-items: baseline;
  }

  dt {
    color: var(--ink-soft);
  }

  dd {
    overflow-wrap: anywhere;
  }

  .written {
    font-size: 12.5px;
    color: var(--ink-soft);
  }

  small {
    color: var(--ink-soft);
  }

  p {
    color: var(--stop);
  }
</style>
