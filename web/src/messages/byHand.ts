import type Draft from '../desk/Draft.svelte';
import type { Schemas } from '../api/client';
import type { MessageState } from './messageState.svelte';

/** Puts what the template says in the place of a change. */
export async function takeBack(
  one: Schemas['HandChange'],
  message: MessageState,
  draft: Draft | undefined,
): Promise<void> {
  const now = await asItIsNow(message, one, () => message.hand.changes);
  if (now) draft?.texts.replaceIn(now.key, now.start, now.end, now.was);
}

/** Puts the value that a record has by now in the place of the one it had. */
export async function takeNewer(
  one: Schemas['NewerValue'],
  message: MessageState,
  draft: Draft | undefined,
): Promise<void> {
  const now = await asItIsNow(message, one, () => message.hand.newer);
  if (now) draft?.texts.replaceIn(now.key, now.start, now.end, now.is);
}

/** Where something stands once the server has read the newest words: one may have gone on writing before it. */
async function asItIsNow<T extends { key: string; start: number }>(
  message: MessageState,
  one: T,
  all: () => T[],
): Promise<T | undefined> {
  await message.preview.newest();
  return all()
    .filter(({ key: text }) => text === one.key)
    .sort((a, b) => Math.abs(a.start - one.start) - Math.abs(b.start - one.start))[0];
}
