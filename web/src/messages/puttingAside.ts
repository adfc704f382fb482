import { ask, sentence } from '../api/client';
import { notify } from '../ui/notices.svelte';
import type { MessageState } from './messageState.svelte';

/**
 * Leaves a message to be found again among the drafts; meanwhile another one can be begun.
 *
 * @returns why that can't be, in a sentence; empty where it is done
 */
export async function putAside(message: MessageState): Promise<string> {
  if (await message.putAside()) {
    notify('Saved as a draft.');
    return '';
  }
  return 'The draft can’t be saved on the server just now. It is safe in this browser.';
}

/** Throws a message away; that can be undone for as long as it is said. */
export async function discard(message: MessageState): Promise<void> {
  const kept = message.asItIs();
  try {
    await message.discard();
  } catch (failure) {
    notify(sentence(failure), { stop: true });
  }
  notify('The message is discarded.', {
    undo: async () => {
      await ask('put', '/api/message-drafts/{id}', {
        params: { id: kept.draft! },
        body: { version: 0, message: kept },
      });
      location.assign(`${location.pathname}?draft=${kept.draft}`);
    },
  });
}
