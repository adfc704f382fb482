<script lang="ts">
  import { ask, sentence, type Schemas } from '../api/client';
  import HourSlip from '../messages/HourSlip.svelte';
  import InlineButton from '../ui/InlineButton.svelte';
  import { notify } from '../ui/notices.svelte';

  /** Has what one of a mailing's people gets leave at another hour than is planned. */
  let {
    mailing,
    to,
    started,
    label = 'move…',
    onmoved,
  }: {
    mailing: string;
    to: {
      key: string;
      kind: string;
      person: string;
      name: string;
      moved: boolean;
      /** When it leaves. */
      at?: string | null;
      dueAt?: string | null;
    };
    /** Whether the mailing was started: then it can leave at once. */
    started: boolean;
    label?: string;
    onmoved: () => Promise<unknown>;
  } = $props();

  let anchor = $state.raw<HTMLElement | null>(null);

  /** Says what is wrong with it. */
  async function move(hour: Schemas['Hour'] | null): Promise<string> {
    try {
      await ask('put', '/api/mailings/{id}/people/{key}/hour', {
        params: { id: mailing, key: to.key },
        body: { hour },
      });
      await onmoved();
      return '';
    } catch (failure) {
      return sentence(failure);
    }
  }

  async function asPlanned() {
    const wrong = await move(null);
    if (wrong) notify(wrong, { stop: true });
  }
</script>

<InlineButton
  soft
  aria-label="Move the message to {to.name}"
  onclick={(event) => (anchor = event.currentTarget as HTMLElement)}>{label}</InlineButton
>
{#if to.moved && !started}
  <InlineButton soft aria-label="Send to {to.name} with the others" onclick={() => void asPlanned()}
    >with the others</InlineButton
  >
{/if}
{#if anchor}
  <HourSlip
    {anchor}
    kind={to.kind}
    person={to.person}
    name={to.name}
    hour={null}
    from={to.moved ? (to.at ?? to.dueAt ?? null) : null}
    mayBeNow={started}
    onchoose={move}
    onclose={() => (anchor = null)}
  />
{/if}
