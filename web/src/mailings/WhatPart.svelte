<script lang="ts">
  import { ask, sentence, type Schemas } from '../api/client';
  import { go } from '../app/router';
  import { me } from '../app/session.svelte';
  import { aboutOf, lookFor, whom } from '../messages/many';
  import TemplateChooser from '../library/TemplateChooser.svelte';
  import InlineButton from '../ui/InlineButton.svelte';
  import Slip from '../ui/Slip.svelte';
  import SmallInput from '../ui/SmallInput.svelte';
  import SmallSelect from '../ui/SmallSelect.svelte';
  import type { MailingSheet } from './mailingSheet.svelte';
  import Part from './Part.svelte';

  /** What a mailing says, who it is from, and what is attached. */
  let { sheet, folded = $bindable(false) }: { sheet: MailingSheet; folded?: boolean } = $props();

  const what = $derived(sheet.plan!.what);
  const kind = $derived(sheet.plan!.who.kind);
  const wordings = $derived(sheet.ready?.wordings ?? []);
  const first = $derived(sheet.ready?.in[0] ?? null);
  const languages = $derived(wordings.filter((one) => one.language).map((one) => language(one.language)));
  const blanks = $derived([...new Set(wordings.flatMap((one) => one.blanks))]);
  let choosing = $state<HTMLElement | null>(null);
  let topics = $state.raw<Schemas['Topic'][]>([]);
  let colleagues = $state.raw<Schemas['Colleague'][]>([]);
  /** Those in whose name this mailing may go out. */
  let senders = $state.raw<string[]>([]);
  let files = $state.raw<Schemas['KeptFile'][]>([]);
  let tagging = $state(false);
  let replying = $state(false);
  let saying = $state(false);
  let wrong = $state('');

  Promise.all([
    ask('get', '/api/topics'),
    ask('get', '/api/team'),
    ask('get', '/api/materials/files'),
    ask('get', '/api/mailings/senders'),
  ])
    .then(([found, all, kept, allowed]) => {
      senders = allowed.map((one) => one.id);
      topics = found;
      colleagues = all.filter((one) => one.active && one.id !== me().id);
      files = kept;
    })
    .catch((failure) => (wrong = sentence(failure)));

  /** Makes words of its own of it, and opens them on the desk. */
  async function ownWords() {
    try {
      await sheet.keep();
      const { template } = await ask('post', '/api/mailings/{id}/own-words', { params: { id: sheet.id } });
      go(`/templates/${template}`, { search: `?mailing=${sheet.id}` });
    } catch (failure) {
      wrong = sentence(failure);
    }
  }

  /** Its words of its own on the desk, from where one comes back here. */
  const onDesk = (template: string) => `/templates/${template}?mailing=${sheet.id}`;

  const language = (code: string) => new Intl.DisplayNames('en', { type: 'language' }).of(code) ?? code;
  const from = $derived(what.from === 'OWNER' ? 'OWNER' : (what.sender ?? ''));
  const fileName = (id: string) => files.find((one) => one.id === id)?.name ?? 'a file you don’t see';
  const senderName = $derived(
    what.from === 'OWNER'
      ? 'whoever looks after them'
      : what.sender
        ? what.sender === me().id
          ? me().firstName
          : (colleagues.find((one) => one.id === what.sender)?.firstName ?? 'a colleague')
        : 'whoever sends it',
  );
  /** What it is for: as this mailing says, or else its template. */
  const purpose = $derived(what.purpose || (wordings[0]?.purpose ?? ''));
  const summary = $derived(
    what.template
      ? `${wordings[0]?.name ?? 'A template'}${purpose ? ` (${purpose})` : ''}, from ${senderName}`
      : 'No template yet',
  );
</script>

<Part name="What" {summary} said={sheet.sentBack} bind:folded>
  {#if sheet.open}
    <p class="what">
      {#if wordings[0]}
        <b><bdi>{wordings[0].name}</bdi></b>{languages.length > 1
          ? `, in ${languages.join(', ')}: each in their language`
          : ''}
        <InlineButton onclick={(event) => (choosing = event.currentTarget as HTMLElement)}
          >choose another</InlineButton
        >
        {#if what.original}
          <span class="word">in words of its own</span>
          <a href={onDesk(wordings[0].template)}>change them on the desk</a>
          <InlineButton
            onclick={() =>
              void sheet.act(() =>
                ask('delete', '/api/mailings/{id}/own-words', { params: { id: sheet.id } }),
              )}>as the template says</InlineButton
          >
        {:else}
          <a href="/templates/{wordings[0].template}">open it on the desk</a>
          <InlineButton onclick={() => void ownWords()}>change words for this mailing</InlineButton>
        {/if}
      {:else}
        <InlineButton disabled={!first} onclick={(event) => (choosing = event.currentTarget as HTMLElement)}
          >choose a template …</InlineButton
        >
        {#if !first}<span>once somebody gets it</span>{/if}
      {/if}
      · from
      <SmallSelect
        word
        aria-label="In whose name"
        style="max-width: none"
        value={from}
        onchange={(event) => {
          const value = event.currentTarget.value;
          sheet.what({
            from: value === 'OWNER' ? 'OWNER' : 'COLLEAGUE',
            sender: value === 'OWNER' ? null : value || null,
          });
        }}
      >
        <option value="">whoever sends it</option>
        <option value={me().id}>me</option>
        <option value="OWNER">whoever looks after each of them</option>
        {#each colleagues.filter((one) => senders.includes(one.id) || one.id === what.sender) as one (one.id)}
          <option value={one.id}>{one.firstName} {one.lastName}</option>
        {/each}
      </SmallSelect>
      · answers go to
      {#if replying || what.replyTo}
        <SmallInput
          aria-label="Where answers go"
          placeholder="an address"
          value={what.replyTo ?? ''}
          autofocus={replying}
          onblur={() => (replying = false)}
          onchange={(event) => sheet.what({ replyTo: event.currentTarget.value || null })}
        />
      {:else}
        <InlineButton onclick={() => (replying = true)}>the same</InlineButton>
      {/if}
      {#if what.from !== 'OWNER'}
        ·
        <label
          ><input
            type="checkbox"
            checked={what.ownerCopy}
            onchange={(event) => sheet.what({ ownerCopy: event.currentTarget.checked })}
          /> a copy to whoever looks after them</label
        >
      {/if}
    </p>
    <p class="what">
      Attached:
      {#each what.files as id (id)}
        <span class="word"
          >{fileName(id)}<InlineButton
            soft
            aria-label="Take {fileName(id)} away"
            onclick={() => sheet.what({ files: what.files.filter((one) => one !== id) })}>×</InlineButton
          ></span
        >
      {/each}
      <SmallSelect
        word
        aria-label="Attach a file"
        value=""
        onchange={(event) => {
          const id = event.currentTarget.value;
          event.currentTarget.value = '';
          if (id) sheet.what({ files: [...what.files, id] });
        }}
      >
        <option value="">{what.files.length ? 'another file …' : 'nothing …'}</option>
        {#each files.filter((one) => !what.files.includes(one.id)) as one (one.id)}
          <option value={one.id}>{one.name}</option>
        {/each}
      </SmallSelect>
      {#if kind !== 'deal'}
        · about
        <SmallSelect
          word
          aria-label="What it is about"
          style="max-width: 260px"
          value={what.topic ?? ''}
          onchange={(event) => sheet.what({ topic: event.currentTarget.value || null })}
        >
          <option value="">none of our topics</option>
          {#each topics as one (one.id)}<option value={one.id}>{one.name}</option>{/each}
        </SmallSelect>
      {/if}
      · purpose
      {#if saying}
        <SmallInput
          aria-label="What this mailing is for"
          placeholder={wordings[0]?.purpose || 'what it is for'}
          maxlength={80}
          value={what.purpose}
          autofocus
          onblur={() => (saying = false)}
          onchange={(event) => {
            saying = false;
            sheet.what({ purpose: event.currentTarget.value });
          }}
        />
      {:else}
        <InlineButton aria-label="Purpose: {purpose || 'none'}" onclick={() => (saying = true)}
          >{purpose || 'none'}</InlineButton
        >
      {/if}
      · tags
      {#if tagging}
        <SmallInput
          aria-label="Tags, parted by commas"
          placeholder="spring, offers"
          value={what.tags.join(', ')}
          autofocus
          onblur={() => (tagging = false)}
          onchange={(event) => {
            tagging = false;
            sheet.what({
              tags: event.currentTarget.value
                .split(',')
                .map((tag) => tag.trim())
                .filter(Boolean),
            });
          }}
        />
      {:else}
        <InlineButton onclick={() => (tagging = true)}
          >{what.tags.length ? what.tags.join(', ') : 'none'}</InlineButton
        >
      {/if}
    </p>
    {#each blanks as hint (hint)}
      <p class="blank">
        <label>
          <span>{hint}</span>
          <SmallInput
            value={what.answers[hint] ?? ''}
            placeholder="for everybody"
            onchange={(event) =>
              sheet.what({ answers: { ...what.answers, [hint]: event.currentTarget.value } })}
          />
        </label>
      </p>
    {/each}
  {:else}
    <p>{summary}.</p>
  {/if}
  {#each [sheet.ready?.wrong.template, sheet.ready?.wrong.sender, sheet.wrong.replyTo, sheet.wrong.purpose, sheet.wrong.tags, wrong].filter(Boolean) as one (one)}
    <p class="wrong" role="alert">{one}</p>
  {/each}
</Part>

{#if choosing && first}
  <Slip title="What it says" anchor={choosing} page onclose={() => (choosing = null)}>
    <TemplateChooser
      about={aboutOf(kind)}
      whom={whom(kind, first)}
      only
      look={(template) => lookFor(kind, first, template)}
      onchoose={(template) => {
        choosing = null;
        if (template) sheet.what({ template, original: null, answers: {} });
      }}
      onclose={() => (choosing = null)}
    />
  </Slip>
{/if}

<style>
  .what {
    color: var(--ink-soft);
  }

  .what b,
  .word {
    color: var(--ink);
  }

  .blank label {
    display: flex;
    gap: 8px;
    align-items: baseline;
  }

  .blank span {
    padding: 0 5px;
    border: 1px dotted var(--ink);
  }

  .wrong {
    color: var(--stop);
  }
</style>
