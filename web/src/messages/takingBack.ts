import { ask, type Schemas } from '../api/client';
import { shortcuts } from '../app/keys.svelte';
import { go, recordAddress } from '../app/router';
import { dismiss, notify } from '../ui/notices.svelte';
import { dayAndTime } from '../ui/when';

/** The longest that somebody waits for a message to leave that was sent at once, in milliseconds. */
const SOON = 60_000;
const SHOWN_FOR = 10_000;

/** Says that a message is on its way; `u` or a click takes it back whole, for as long as that is said. */
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
  const planned = left > SOON;
  const shownFor = planned ? SHOWN_FOR : left;
  const text = planned
    ? `Leaves for ${name} on ${dayAndTime(taken.leavesAt)}.`
    : `On its way to ${name} in ${Math.round(left / 1000)} seconds.`;
  const notice = notify(text, {
    undo: back,
    action: 'Take back (u)',
    shownFor,
  });
  const forget = shortcuts([
    {
      key: 'u',
      label: 'Take the message back that was sent last',
      run: () => void back().catch((failure: Error) => notify(failure.message, { stop: true })),
    },
  ]);
  setTimeout(forget, shownFor);
}
