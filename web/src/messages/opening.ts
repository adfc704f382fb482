import { ask, Problem } from '../api/client';
import { readDraft } from '../desk/keptDrafts';
import { isKeptMessage, type KeptMessage } from './keptMessage';
import type { MessageState } from './messageState.svelte';

/** What was found to go on with: a message, none, or one that was thrown away or sent elsewhere. */
export type Found = 'message' | 'nothing' | 'gone';

/**
 * Goes on with what is kept in this browser, or with the draft that is wanted.
 *
 * @param key under which it is kept here
 * @param wanted a draft on the server; null for none
 */
export async function openKept(message: MessageState, key: string, wanted: string | null): Promise<Found> {
  const here = readDraft(key, isKeptMessage);
  if (here && (!wanted || wanted === here.draft)) {
    if (here.unsent || here.version === 0) message.goOn(here);
    else return await newest(message, here);
    return 'message';
  }
  if (!wanted) return 'nothing';
  if (here?.unsent) await handOver(here);
  await fromServer(message, wanted);
  return 'message';
}

/** What another machine has made of a draft since is what is gone on with; without a server, what is kept here. */
async function newest(message: MessageState, here: KeptMessage): Promise<Found> {
  try {
    await fromServer(message, here.draft);
  } catch (failure) {
    if (failure instanceof Problem && failure.code === 'missing') {
      await message.discard().catch(() => undefined);
      return 'gone';
    }
    message.goOn(here);
  }
  return 'message';
}

async function fromServer(message: MessageState, id: string): Promise<void> {
  const kept = await ask('get', '/api/message-drafts/{id}', { params: { id } });
  message.goOn({ draft: kept.id, version: kept.version, message: kept.message, unsent: false });
}

/** Gives the server what it has not got of another draft that is kept here, before this one takes its place. */
async function handOver({ draft: id, version, message }: KeptMessage): Promise<void> {
  await ask('put', '/api/message-drafts/{id}', { params: { id }, body: { version, message } });
}
