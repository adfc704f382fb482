<script lang="ts">
  import { ask, fieldsOf, sentence, type Schemas } from '../api/client';
  import { isEditor } from '../app/session.svelte';
  import { recordAddress } from '../app/router';
  import InlineButton from '../ui/InlineButton.svelte';
  import Button from '../ui/Button.svelte';
  import Choose from '../ui/Choose.svelte';
  import PlainTable from '../ui/PlainTable.svelte';
  import { notify } from '../ui/notices.svelte';

  /** How the house greets people, a language at a time, with how it comes out for people there are. */
  type Rules = Schemas['TypedRules'];
  const may = isEditor();
  const names = new Intl.DisplayNames(['en'], { type: 'language' });
  const ways = [
    ['FORMAL', 'formally'],
    ['FAMILIAR', 'by first name'],
  ] as const;
  const AFTER = 300;

  let all = $state<Rules[] | null>(null);
  let typed = $state<Rules | null>(null);
  let wrong = $state<Record<string, string>>({});
  let failed = $state('');
  let examples = $state<Schemas['Example'][] | null>(null);
  const kept = $derived(all?.find((one) => one.language === typed?.language));
  const changed = $derived(JSON.stringify(typed) !== JSON.stringify(kept));

  function choose(language: string) {
    wrong = {};
    const found = all?.find((one) => one.language === language) ?? all?.[0];
    typed = found ? structuredClone($state.snapshot(found)) : null;
  }

  ask('get', '/api/company/greetings')
    .then((read) => {
      all = read;
      choose(read[0]?.language ?? '');
    })
    .catch((failure) => (failed = sentence(failure)));

  $effect(() => {
    const body = typed ? $state.snapshot(typed) : null;
    if (!body) return;
    const timer = setTimeout(() => void greet(body), AFTER);
    return () => clearTimeout(timer);
  });

  async function greet(rules: Rules) {
    try {
      examples = await ask('post', '/api/company/greetings/examples', { body: rules });
      wrong = {};
    } catch (failure) {
      wrong = fieldsOf(failure);
    }
  }

  async function keep() {
    if (!typed) return;
    try {
      const { language } = typed;
      all = await ask('put', '/api/company/greetings/{language}', { params: { language }, body: typed });
      choose(language);
      notify(`The greetings in ${names.of(language)} are saved.`);
    } catch (failure) {
      wrong = fieldsOf(failure);
      if (!Object.keys(wrong).length) notify(sentence(failure), { stop: true });
    }
  }

  function move(at: number, way: number) {
    const rules = [...typed!.rules];
    const [rule] = rules.splice(at, 1);
    rules.splice(at + way, 0, rule);
    typed!.rules = rules;
  }
</script>

<p class="soft">
  The greeting &#123;person.greeting&#125; follows these rules: the first rule that fits, and whose fields all
  have a value, is used. Whether somebody is addressed formally can be set on their own page; for everybody
  else the language decides.
  {#if !may}Editors and administrators change the rules.{/if}
</p>
{#if failed}<p role="alert">{failed}</p>{/if}
{#if all && typed}
  <div class="top">
    <Choose
      label="Language"
      value={typed.language}
      options={all.map((one) => [one.language, names.of(one.language) ?? one.language] as const)}
      onchange={choose}
    />
    <fieldset disabled={!may}>
      <Choose
        label="People are addressed"
        value={typed.usual}
        options={ways}
        onchange={(code) => (typed!.usual = code as Rules['usual'])}
      />
    </fieldset>
  </div>
  <div class="halves">
    <fieldset disabled={!may}>
      <PlainTable
        label="Rules"
        heads={['For', 'With the title', 'Opening', 'Name', '']}
        widths={['128px', '150px', '140px', '', '110px']}
      >
        {#each typed.rules as rule, i (i)}
          <tr>
            <td>
              <select aria-label="Rule {i + 1}, for whom" bind:value={rule.formality}>
                {#each ways as [code, label] (code)}<option value={code}>{label}</option>{/each}
              </select>
            </td>
            {#each ['titles', 'opening', 'address'] as const as column (column)}
              {@const said = wrong[`rules.${i}.${column}`]}
              <td>
                <input
                  aria-label="Rule {i + 1}, {column}"
                  aria-invalid={said ? true : undefined}
                  placeholder={column === 'titles' ? 'any or none' : column === 'address' ? 'no name' : ''}
                  bind:value={rule[column]}
                />
                {#if said}<span class="wrong">{said}</span>{/if}
              </td>
            {/each}
            <td class="ways">
              {#if may}
                <InlineButton
                  soft
                  aria-label="Move rule {i + 1} up"
                  disabled={i === 0}
                  onclick={() => move(i, -1)}>↑</InlineButton
                >
                <InlineButton
                  soft
                  aria-label="Move rule {i + 1} down"
                  disabled={i === typed.rules.length - 1}
                  onclick={() => move(i, 1)}>↓</InlineButton
                >
                <InlineButton
                  soft
                  aria-label="Remove rule {i + 1}"
                  onclick={() => (typed!.rules = typed!.rules.filter((_, at) => at !== i))}>×</InlineButton
                >
              {/if}
            </td>
          </tr>
        {/each}
      </PlainTable>
    </fieldset>
    <section aria-label="Preview">
      <h2>Preview</h2>
      <ul>
        {#each examples ?? [] as example (example.id)}
          <li>
            <b><bdi>{example.salutation || 'no rule fits'}</bdi></b>
            <small
              ><a href={recordAddress('contact', example.id)}><bdi>{example.name}</bdi></a>: {example.known}</small
            >
          </li>
        {:else}
          <li class="soft">{examples ? 'Nobody here speaks this language yet.' : '…'}</li>
        {/each}
      </ul>
    </section>
  </div>
  {#if may}
    <p class="acts">
      <Button
        onclick={() =>
          (typed!.rules = [...typed!.rules, { formality: 'FORMAL', titles: '', opening: '', address: '' }])}
        >Add a rule</Button
      >
      <Button main disabled={!changed} onclick={() => void keep()}>Save</Button>
      {#if changed}<Button quiet onclick={() => choose(typed!.language)}>Discard changes</Button>{/if}
    </p>
  {/if}
{/if}

<style>
  .soft,
  small {
    color: var(--ink-soft);
  }

  .top {
    display: flex;
    gap: 16px;
    margin-top: 10px;
  }

  fieldset {
    min-width: 0;
    margin: 0;
    padding: 0;
    border: 0;
  }

  .halves {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 260px;
    gap: 24px;
    align-items: start;
  }

  h2 {
    margin: 12px 0 4px;
    font: 500 16px/1.2 var(--serif);
  }

  li {
    padding: 4px 0;
    border-bottom: 1px solid var(--rule-soft);
  }

  small {
    display: block;
  }

  .acts {
    display: flex;
    gap: 8px;
  }

  @media (width <= 900px) {
    .halves {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
