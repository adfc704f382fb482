/** A message as it is kept in the browser while it is written. */
export interface KeptMessage {
  id: string;
  template: string | null;
  person: string;
  deal: string | null;
  address: string;
  sender: string;
  after?: { id: string; subject: string } | null;
  chosen: Record<string, string>;
  answers?: Record<string, string>;
  subject: unknown;
  body: unknown;
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
  return (
    typeof one === 'object' &&
    one !== null &&
    [one.id, one.person, one.address, one.sender].every((text) => typeof text === 'string') &&
    [one.template, one.deal].every((text) => text === null || typeof text === 'string') &&
    isTexts(one.chosen) &&
    (one.answers === undefined || isTexts(one.answers)) &&
    (one.after === undefined || one.after === null || typeof one.after.id === 'string')
  );
}

function isTexts(texts: unknown): boolean {
  return (
    typeof texts === 'object' &&
    texts !== null &&
    Object.values(texts).every((text) => typeof text === 'string')
  );
}
