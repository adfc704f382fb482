<script lang="ts">
  import { untrack } from 'svelte';
  import { ask, download, fieldsOf, sentence, type Schemas } from '../api/client';
  import SmallSelect from '../ui/SmallSelect.svelte';
  import { aboutOf, lookFor, whom } from './many';
  import TemplateChooser from '../library/TemplateChooser.svelte';

  /** Puts a letter or designed template on paper for each of those who are chosen in a list. */
  let { choice, onclose }: { choice: Schemas['ListSelection']; onclose: () => void } = $props();

  type Size = 'A4' | 'LETTER' | '';
  let together = $state(true);
  let size = $state<Size>('');
  let first = $state.raw<Schemas['ShownCandidate'] | null>(null);
  let making = $state(false);
  let wrong = $state('');

  // Whom the preview is for; whether they have an address does not matter on paper.
  ask('post', '/api/messages/many/audience', {
    body: { choice: untrack(() => choice), minus: null, restDays: 0, topic: null, putBack: [] },
  })
    .then((audience) => {
      first = [...audience.in, ...audience.out.map((one) => one.who)].find((one) => one.person) ?? null;
      if (!first) wrong = 'None of these deals has a main contact to print it for.';
    })
    .catch((failure) => (wrong = sentence(failure)));

  async function make(template: string | null) {
    if (!template || making) return;
    making = true;
    wrong = '';
    try {
      const close = onclose;
      await download(
        '/api/exports/papers',
        { choice, template, size: size || null, together },
        together ? 'letters.pdf' : 'letters.zip',
      );
      close();
    } catch (failure) {
      wrong = fieldsOf(failure).template ?? sentence(failure);
    } finally {
      making = false;
    }
  }
</script>

<p class="how">
  On
  <SmallSelect
    word
    style="max-width: none"
    aria-label="Size of the paper"
    value={size}
    onchange={(event) => (size = event.currentTarget.value as Size)}
  >
    <option value="">the paper that is usual where each is</option>
    <option value="A4">A4</option>
    <option value="LETTER">Letter</option>
  </SmallSelect>, in
  <SmallSelect
    word
    style="max-width: none"
    aria-label="In one file or several"
    value={together ? 'one' : 'each'}
    onchange={(event) => (together = event.currentTarget.value === 'one')}
  >
    <option value="one">one file to print</option>
    <option value="each">a file for each</option>
  </SmallSelect>.
</p>
{#if wrong}<p class="wrong" role="alert">{wrong}</p>{/if}
{#if making}
  <p role="status">Putting them on paper …</p>
{:else if first}
  <TemplateChooser
    about={aboutOf(choice.kind)}
    whom={whom(choice.kind, first)}
    only
    fits={(line) => line.mode === 'LETTER' || line.mode === 'DESIGNED'}
    look={(template) => lookFor(choice.kind, first!, template)}
    onchoose={(template) => void make(template)}
    {onclose}
  />
{/if}

<style>
  p {
    margin: 0 0 8px;
  }

  .how {
    color: var(--ink-soft);
    line-height: 1.9;
  }

  .wrong {
    color: var(--stop);
  }
</style>
