<script lang="ts">
  import type { Schemas } from '../api/client';

  /** From whom, to whom and about which deal a message goes; what leaves no choice is only said. */
  let {
    to,
    senderName,
    contacts,
    senders,
    onDeal,
    sender,
    person,
    deal,
    address = $bindable(),
    onaddress,
    onsender,
    onperson,
    ondeal,
  }: {
    /** Whom it goes to. */
    to: Schemas['ProvedPerson'];
    senderName: string;
    /** On a deal's page: who can be written to. */
    contacts: Schemas['RelatedLine'][];
    /** Whom one may write for; empty for those who write in their own name. */
    senders: Schemas['Colleague'][];
    onDeal: boolean;
    sender: string;
    person: string;
    deal: string | null;
    address: string;
    onaddress: () => void;
    onsender: (id: string) => void;
    onperson: (id: string) => void;
    ondeal: (id: string) => void;
  } = $props();

  const addresses = $derived(to.addresses);
  const deals = $derived(to.deals);
</script>

<span class="route">
  {#if senders.length}
    <label
      >From <select value={sender} onchange={(event) => onsender(event.currentTarget.value)}>
        {#if !senders.some((one) => one.id === sender)}<option value={sender}>{senderName}</option>{/if}
        {#each senders as one (one.id)}<option value={one.id}>{one.firstName} {one.lastName}</option>{/each}
      </select></label
    >
  {:else}
    From {senderName}
  {/if}
  {#if onDeal && contacts.length > 1}
    <label
      >to <select value={person} onchange={(event) => onperson(event.currentTarget.value)}>
        {#each contacts as one (one.id)}<option value={one.id}>{one.name}</option>{/each}
      </select></label
    >
  {/if}
  {#if addresses.length > 1}
    <label
      >to <select bind:value={address} onchange={onaddress}>
        {#each addresses as one (one.id)}<option value={one.id}>{one.address}</option>{/each}
      </select></label
    >
  {:else}
    to {addresses[0]?.address ?? 'nobody yet: there is no address'}
  {/if}
  {#if !onDeal && deals.length > 1}
    <label
      >· deal <select value={deal} onchange={(event) => ondeal(event.currentTarget.value)}>
        {#each deals as one (one.id)}<option value={one.id}>{one.name}</option>{/each}
      </select></label
    >
  {/if}
</span>

<style>
  .route {
    display: block;
    margin-bottom: 6px;
    color: var(--ink-soft);
    font-size: 13px;
  }

  select {
    max-width: 190px;
    border: 0;
    border-bottom: 1px solid var(--edge);
    background: none;
    color: var(--ink);
    font: inherit;
  }

  option {
    background: var(--sheet);
  }
</style>
