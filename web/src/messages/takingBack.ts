import { ask, type Schemas } from '../api/client';
import { shortcuts } from '../app/keys.svelte';
import { go, recordAddress } from '../app/router';
import { dismiss, notify } from '../ui/notices.svelte';

/** Says that a message is on its way; until it leaves, `u` or a click takes it back whole. */
export function onItsWay(taken: Schemas['Taken'], name: string, record: { kind: string; id: string }): void {
  const left = new Date(taken.leavesAt).getTime() - new Date(taken.takenAt).getTime();
  if (left <= 0) {
    notify(`On its way to ${name}.`);
    return;
  }
  const back = async () => {
    forget();
    dismiss(notice);
    const { draft } = await ask('post', '/api/outbox/{id}/take-back', { params: { id: taken.id } });
    go(recordAddress(record.kind, record.id), { search: draft ? `?draft=${draft}` : '' });
  };
  const notice = notify(`On its way to ${name} in ${Math.round(left / 1000)} seconds.`, {
    undo: back,
    action: 'Take back (u)',
    shownFor: left,
  });
  const forget = shortcuts([
    {
      key: 'u',
      label: 'Take the message back that was sent last',
      run: () => void back().catch((failure: Error) => notify(failure.message, { stop: true })),
    },
  ]);
  setTimeout(forget, left);
}
