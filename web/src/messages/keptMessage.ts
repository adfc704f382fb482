import type { Schemas } from '../api/client';

/** A message as it is kept in the browser while it is written. */
export interface KeptMessage {
  /** The draft it is on the server. */
  draft: string;
  /** What the server had of it, as far as this browser knows; 0 for nothing. */
  version: number;
  message: Schemas['MessageToSend'];
  /** Whether there is something here that the server has not got. */
  unsent: boolean;
}

/** An identifier made here, so that the same message sent twice goes once. */
export function newMessageId(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  const hex = [...bytes].map((one) => one.toString(16).padStart(2, '0')).join('');
  return hex.replace(/^(.{8})(.{4})(.{4})(.{4})/, '$1-$2-$3-$4-');
}

/** Whether what is kept is a message of this shape: one that an older version kept otherwise can't be gone on with. */
export function isKeptMessage(kept: unknown): kept is KeptMessage {
  const one = kept as Partial<KeptMessage> | null;
  const message = one?.message as Partial<KeptMessage['message']> | undefined;
  const words = message?.words;
  return (
    typeof one?.draft === 'string' &&
    typeof one.version === 'number' &&
    [message?.id, message?.kind, message?.person].every((text) => typeof text === 'string') &&
    !!words &&
    [words.subject, words.previewText, words.body].every((text) => typeof text === 'string')
  );
}
