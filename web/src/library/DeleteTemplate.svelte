<script lang="ts">
  import { ask, fieldsOf, sentence, type Schemas } from '../api/client';
  import Button from '../ui/Button.svelte';
  import Slip from '../ui/Slip.svelte';
  import { lookIn, replaceIn, said, type DraftBegun, type DraftsBegun } from './draftsBegun';
  import TemplateChooser from './TemplateChooser.svelte';

  /**
   * Deletes a template that drafts were begun from: they keep their words, or those one chooses are begun anew from another
   * template.
   */
  let {
    template,
    begun,
    anchor,
    ondeleted,
    onclose,
  }: {
    template: { id: string; name: string };
    begun: DraftsBegun;
    anchor?: HTMLElement;
    /** It is deleted; told what else has changed, and how that is put back. */
    ondeleted: (besides: string, undo: () => Promise<void>) => void;
    onclose: () => void;
  } = $props();

  /** What has been changed by hand keeps its words unless one says otherwise. */
  let chosen = $derived(begun.mine.filter((one) => !one.changed).map((one) => one.id));
  let replacing = $state(false);
  let other = $state<{ id: string; name: string } | null>(null);
  let wrong = $state('');
  let busy = $state(false);
  const drafts = $derived(begun.mine.filter((one) => chosen.includes(one.id)));
  const first = $derived(drafts[0] as DraftBegun | undefined);
  const about = $derived<Schemas['TemplateLine']['about']>(
    first?.deal ? 'DEAL' : first?.kind === 'lead' ? 'LEAD' : 'CONTACT',
  );

  async function remove() {
    busy = true;
    wrong = '';
    // They are put back even where deleting fails after them.
    let back = async () => {};
    try {
      if (other && drafts.length) back = await replaceIn(drafts, template.id, other.id);
      await ask('delete', '/api/templates/{id}', { params: { id: template.id } });
      const many = drafts.length === 1 ? 'One draft is' : `${drafts.length} drafts are`;
      ondeleted(other && drafts.length ? ` ${many} begun anew from “${other.name}”.` : '', back);
    } catch (failure) {
      wrong = Object.values(fieldsOf(failure))[0] ?? sentence(failure);
      await back().catch(() => undefined);
      busy = false;
    }
  }

  async function take(id: string | null) {
    if (!id) return;
    const found = await ask('get', '/api/templates/{id}', { params: { id } });
    other = { id, name: found.template.name };
  }
</script>

<Slip title="Delete “{template.name}”" {anchor} placement="bottom-end" page={replacing} {onclose}>
  <p>{said(begun)} {replacing ? '' : 'They keep their words when it is deleted.'}</p>
  {#if replacing}
    <ul aria-label="Drafts to begin anew">
      {#each begun.mine as draft (draft.id)}
        <li>
          <label>
            <input type="checkbox" value={draft.id} bind:group={chosen} />
            <span
              ><b><bdi>{draft.personName}</bdi></b>
              {draft.subject}{#if draft.changed}<em>, changed by hand</em>{/if}</span
            >
          </label>
        </li>
      {/each}
    </ul>
    {#if other}
      <p role="status">
        “{other.name}” takes its place in {drafts.length === 1 ? 'one draft' : `${drafts.length} drafts`};
        what was changed by hand in {drafts.length === 1 ? 'it' : 'them'} goes.
        <Button quiet onclick={() => (other = null)}>Choose another</Button>
      </p>
    {:else if first}
      <TemplateChooser
        {about}
        whom={{ kind: first.kind, person: first.person, deal: first.deal }}
        only
        fits={(line) => line.id !== template.id}
        look={(one) => lookIn(first, one)}
        onchoose={(one) => void take(one)}
        {onclose}
      />
    {:else}
      <p class="soft">Choose the drafts that are to be begun anew.</p>
    {/if}
  {/if}
  <p class="ways">
    {#if replacing}
      <Button main disabled={busy || !other || !drafts.length} onclick={() => void remove()}
        >Replace and delete</Button
      >
    {:else}
      <Button main disabled={busy} onclick={() => void remove()}>Delete template</Button>
      {#if begun.mine.length}
        <Button disabled={busy} onclick={() => (replacing = true)}>Put another in its place …</Button>
      {/if}
    {/if}
    <Button quiet onclick={onclose}>Keep it</Button>
  </p>
  {#if begun.others && replacing}<p class="soft">What colleagues are writing keeps its words.</p>{/if}
  {#if wrong}<p class="wrong" role="alert">{wrong}</p>{/if}
</Slip>

<style>
  p {
    margin: 0 0 10px;
  }

  ul {
    max-height: 130px;
    margin: 0 0 10px;
    padding: 0;
    overflow: auto;
    list-style: none;
  }

  label {
    display: flex;
    gap: 8px;
    align-items: baseline;
    padding: 2px 0;
  }

  .ways {
    display: flex;
    flex-wrap: wrap;
    gap: 10px;
    align-items: center;
    margin: 12px 0 4px;
  }

  .soft,
  em {
    color: var(--ink-soft);
  }

  .wrong {
    color: var(--stop);
  }
</style>
