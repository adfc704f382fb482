<script lang="ts">
  import InlineButton from '../ui/InlineButton.svelte';
  import Sentence from '../ui/Sentence.svelte';
  import SmallSelect from '../ui/SmallSelect.svelte';
  import KeepListSlip from './KeepListSlip.svelte';
  import ListSlip from './ListSlip.svelte';
  import PasteSlip from './PasteSlip.svelte';
  import type { KeptList, Narrowing } from './narrowing.svelte';

  /** Which records a list shows, as a sentence whose words are the controls. */
  let {
    narrowing,
    sort,
    descending,
    oncolumns,
    onchanged,
  }: {
    narrowing: Narrowing;
    sort: string;
    descending: boolean;
    oncolumns: (event: MouseEvent) => void;
    /** Told when other records are on the list. */
    onchanged: () => void;
  } = $props();

  const plural = $derived(`${narrowing.kind}s`);
  const mine = $derived(narrowing.lists.filter((one) => one.mine));
  const shared = $derived(narrowing.lists.filter((one) => !one.mine));
  const list = $derived(narrowing.list);
  /** A list one doesn't see, or that is gone. */
  const lost = $derived(narrowing.listId !== '' && narrowing.lists.length > 0 && !list);
  let keeping = $state<HTMLElement | null>(null);
  let about = $state<HTMLElement | null>(null);
  let pasting = $state<HTMLElement | null>(null);

  async function kept(one: KeptList) {
    await narrowing.renew();
    narrowing.choose(one.id);
  }

  const anchor = (event: MouseEvent) => event.currentTarget as HTMLElement;
</script>

{#snippet named(one: KeptList)}
  <option value={one.id}>{one.name}{one.live ? '' : ` (${one.members.toLocaleString('en')}, fixed)`}</option>
{/snippet}

<div class="which">
  <div class="words">
    <SmallSelect
      word
      aria-label="Which {plural}"
      style="max-width: 340px; {list ? 'border-bottom: 2px solid; font-weight: 600' : ''}"
      value={narrowing.listId}
      onchange={(event) => narrowing.choose(event.currentTarget.value)}
    >
      <option value="">All {plural}</option>
      {#if mine.length}
        <optgroup label="My lists"
          >{#each mine as one (one.id)}{@render named(one)}{/each}</optgroup
        >
      {/if}
      {#if shared.length}
        <optgroup label="Shared lists"
          >{#each shared as one (one.id)}{@render named(one)}{/each}</optgroup
        >
      {/if}
      {#if lost}<option value={narrowing.listId}>A list you don’t see</option>{/if}
    </SmallSelect>
    {#if narrowing.condition && narrowing.verbs.length && narrowing.fields.length}
      whose
      <Sentence
        condition={narrowing.condition}
        fields={narrowing.fields}
        verbs={narrowing.verbs}
        label="Which {plural} are shown"
        onchange={(condition) => void narrowing.change(condition)}
      />
    {:else if narrowing.fields.length && !narrowing.where}
      <InlineButton onclick={() => narrowing.begin()}>whose …</InlineButton>
    {/if}
    {#if list?.deals && !narrowing.deals}
      <span
        >on the deals of “{list.dealsName || 'a list you don’t see'}”{list.role
          ? `, in the role “${list.role}”`
          : ''}</span
      >
    {:else if narrowing.dealLists.length}
      <span>
        on
        <SmallSelect
          word
          aria-label="On which deals"
          style="max-width: 260px"
          value={narrowing.deals}
          onchange={(event) => narrowing.onDeals(event.currentTarget.value, narrowing.role)}
        >
          <option value="">any deal or none</option>
          {#each narrowing.dealLists as one (one.id)}<option value={one.id}>the deals of “{one.name}”</option
            >{/each}
        </SmallSelect>
        {#if narrowing.deals}
          in
          <SmallSelect
            word
            aria-label="In which role"
            value={narrowing.role}
            onchange={(event) => narrowing.onDeals(narrowing.deals, event.currentTarget.value)}
          >
            <option value="">any role</option>
            {#each narrowing.roles as role (role)}<option value={role}>the role “{role}”</option>{/each}
          </SmallSelect>
        {/if}
      </span>
    {/if}
    {#if list?.base}<span>who are on “{list.baseName || 'a list you don’t see'}”</span>{/if}
    {#if list?.minus && !narrowing.minus}
      <span>leaving out those on “{list.minusName || 'a list you don’t see'}”</span>
    {:else if narrowing.simple.length && (narrowing.any || narrowing.minus)}
      <span>
        leaving out
        <SmallSelect
          word
          aria-label="Whom the list leaves out"
          style="max-width: 260px"
          value={narrowing.minus}
          onchange={(event) => narrowing.leaveOut(event.currentTarget.value)}
        >
          <option value=""
            >{narrowing.kind === 'contact' || narrowing.kind === 'lead' ? 'nobody' : 'none'}</option
          >
          {#each narrowing.simple as one (one.id)}<option value={one.id}>those on “{one.name}”</option>{/each}
        </SmallSelect>
      </span>
    {/if}
    <span class="ways">
      {#if narrowing.unkept}
        <InlineButton onclick={(event) => (keeping = keeping ? null : anchor(event))}
          >save as a list…</InlineButton
        >
      {/if}
      {#if narrowing.typed}<InlineButton soft onclick={() => narrowing.clear()}
          >{list?.condition ? 'as it was saved' : 'remove the condition'}</InlineButton
        >{/if}
    </span>
  </div>
  {#if list && !list.live && list.mayChange && (list.kind === 'contact' || list.kind === 'lead')}
    <InlineButton soft aria-haspopup="dialog" onclick={(event) => (pasting = pasting ? null : anchor(event))}
      >paste addresses…</InlineButton
    >
  {/if}
  {#if list}
    <InlineButton soft aria-haspopup="dialog" onclick={(event) => (about = about ? null : anchor(event))}
      >about this list</InlineButton
    >
  {/if}
  <InlineButton soft aria-haspopup="dialog" onclick={oncolumns}>columns…</InlineButton>
</div>
{#if narrowing.wrong}<p class="wrong" role="alert">
    {narrowing.wrong}
    {#if narrowing.typed && !narrowing.condition}<InlineButton onclick={() => narrowing.clear()}
        >show all {plural}</InlineButton
      >{/if}
  </p>{/if}
{#if lost}<p class="wrong" role="alert">
    This list is missing. It was deleted, or is not shared with you any more.
    <InlineButton onclick={() => narrowing.choose('')}>Show all {plural}</InlineButton>
  </p>{/if}
{#if keeping}
  <KeepListSlip
    kind={narrowing.kind}
    condition={narrowing.where}
    base={list ? (list.live ? (list.base ?? null) : list.id) : null}
    minus={narrowing.minus || list?.minus || null}
    deals={narrowing.deals || list?.deals || null}
    role={narrowing.deals ? narrowing.role : (list?.role ?? null)}
    {sort}
    {descending}
    over={list?.live && list.mayChange && !narrowing.minus && !narrowing.deals ? list : null}
    anchor={keeping}
    onclose={() => (keeping = null)}
    onkept={kept}
  />
{/if}
{#if pasting && list}
  <PasteSlip
    {list}
    anchor={pasting}
    onclose={() => (pasting = null)}
    onchanged={async () => {
      await narrowing.renew();
      onchanged();
    }}
  />
{/if}
{#if about && list}
  <ListSlip
    {list}
    anchor={about}
    onclose={() => (about = null)}
    onchanged={() => narrowing.renew()}
    ongone={async () => {
      narrowing.choose('');
      await narrowing.renew();
    }}
  />
{/if}

<style>
  .which {
    display: flex;
    gap: 18px;
    align-items: baseline;
    padding: 7px 20px 6px;
    border-bottom: 1px solid var(--rule-soft);
    color: var(--ink-soft);
    font-size: 14px;
  }

  .words {
    flex: 1;
    min-width: 0;
    line-height: 1.9;
  }

  .ways {
    margin-left: 8px;
    white-space: nowrap;
  }

  .wrong {
    margin: 0;
    padding: 6px 20px;
    border-bottom: 1px solid var(--rule-soft);
    color: var(--stop);
  }

  @media (width <= 700px) {
    .which {
      flex-wrap: wrap;
      padding: 6px 14px;
    }

    .words {
      flex-basis: 100%;
    }

    .ways {
      white-space: normal;
    }
  }
</style>
