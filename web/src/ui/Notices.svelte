<script lang="ts">
  import { sentence } from '../api/client';
  import { dismiss, notices, notify, type Notice } from './notices.svelte';

  async function undo(notice: Notice) {
    dismiss(notice.id);
    try {
      await notice.undo?.();
    } catch (failure) {
      notify(sentence(failure), { stop: true });
    }
  }
</script>

<div class="notices" role="status" aria-live="polite">
  {#each notices.list as notice (notice.id)}
    <p class:stop={notice.stop}>
      <span>{notice.text}</span>
      {#if notice.undo}<button onclick={() => void undo(notice)}>{notice.action}</button>{/if}
      <button class="close" aria-label="Dismiss" onclick={() => dismiss(notice.id)}>×</button>
    </p>
  {/each}
</div>

<style>
  .notices {
    position: fixed;
    bottom: 38px;
    left: 108px;
    z-index: 19; /* Below slips: what is asked there is not to be covered. */
    display: flex;
    flex-direction: column;
    gap: 6px;
    max-width: calc(100vw - 130px);
  }

  p {
    display: flex;
    align-items: center;
    gap: 12px;
    padding: 8px 8px 8px 14px;
    border-radius: var(--corner);
    background: var(--spine);
    color: #fff;
    box-shadow: var(--shadow);
  }

  .stop {
    box-shadow:
      inset 4px 0 0 #e2836f,
      var(--shadow);
  }

  button {
    border: 0;
    background: none;
    color: var(--spine-count);
    font: 600 14px/1 var(--sans);
    cursor: pointer;
  }

  button:focus-visible {
    outline-color: var(--spine-count);
  }

  @media (width <= 700px) {
    .notices {
      bottom: 10px;
      left: 10px;
      max-width: calc(100vw - 20px);
    }
  }
</style>
