<script lang="ts">
  import type { Snippet } from 'svelte';
  import { fieldsOf, sentence, type Schemas } from '../api/client';
  import Button from '../ui/Button.svelte';
  import Choose from '../ui/Choose.svelte';
  import Slip from '../ui/Slip.svelte';
  import UsedIn from './UsedIn.svelte';
  import type { Exchange } from './inItsPlace';

  /** What is used can be deleted once another one takes its place in the templates that have it. */
  let {
    exchange,
    anchor,
    look,
    onexchanged,
    onclose,
  }: {
    exchange: Exchange;
    anchor?: HTMLElement;
    /** Shows one by its identifier: what is there now, and what would be. */
    look?: Snippet<[id: string]>;
    /** It is deleted; told in a sentence what stands in its place, and where. */
    onexchanged: (said: string) => void;
    onclose: () => void;
  } = $props();

  let uses = $state.raw<Schemas['Used']>();
  let others = $state.raw<{ id: string; name: string }[]>([]);
  let other = $state('');
  let wrong = $state('');
  let busy = $state(false);
  const { word } = $derived(exchange);

  $effect(() => {
    const { id } = exchange;
    Promise.all([exchange.uses(), exchange.others()])
      .then(([used, all]) => {
        uses = used;
        others = all.filter((one) => one.id !== id);
      })
      .catch((failure) => (wrong = sentence(failure)));
  });

  async function put() {
    busy = true;
    wrong = '';
    try {
      const { changed } = await exchange.put(other);
      const name = others.find((one) => one.id === other)?.name ?? '';
      onexchanged(
        changed === 0
          ? ''
          : ` ${changed === 1 ? 'One template has' : `${changed} templates have`} “${name}” in its place.`,
      );
    } catch (failure) {
      wrong = fieldsOf(failure).other ?? sentence(failure);
    }
    busy = false;
  }
</script>

<Slip title="This {word} is used" {anchor} placement="bottom-end" {onclose}>
  {#if uses}
    <p>
      {#if uses.seen.length || uses.others}In <UsedIn {uses} />.{:else}Messages are signed with it.{/if}
      It can be deleted once another one is in its place.
    </p>
    {#if others.length}
      <Choose
        label="Put in its place"
        bind:value={other}
        empty="choose a {word}"
        options={others.map((one) => [one.id, one.name] as const)}
        error={wrong}
      />
      {#if look}
        <div class="looks">
          <figure>
            {@render look(exchange.id)}
            <figcaption>now</figcaption>
          </figure>
          {#if other}
            <figure>
              {#key other}{@render look(other)}{/key}
              <figcaption>in its place</figcaption>
            </figure>
          {/if}
        </div>
      {/if}
      <p class="ways">
        <Button main disabled={!other || busy} onclick={() => void put()}>Replace and delete</Button>
        <Button quiet onclick={onclose}>Keep it</Button>
      </p>
      <p class="soft">
        What the templates said before is kept among their versions. Messages that were sent stay as they
        were.
      </p>
    {:else}
      <p class="soft">
        There is no other {word}{exchange.ready ? ' that is ready' : ''}. Add one in Materials, or take this
        one out of the templates.
      </p>
    {/if}
  {/if}
  {#if wrong && !others.length}<p role="alert">{wrong}</p>{/if}
</Slip>

<style>
  p {
    margin-bottom: 10px;
  }

  .looks {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 10px;
    margin-bottom: 10px;
  }

  figure {
    min-width: 0;
    margin: 0;
  }

  figcaption {
    color: var(--ink-soft);
    font-size: 12.5px;
  }

  .ways {
    display: flex;
    gap: 10px;
    align-items: center;
  }

  .soft {
    color: var(--ink-soft);
    font-size: 12.5px;
  }
</style>
