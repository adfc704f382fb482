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
