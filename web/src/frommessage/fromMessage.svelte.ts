import { ask, type Schemas } from '../api/client';

export type MessageWords = Schemas['MessageWords'];
export type ReadWords = Schemas['ReadWords'];
type FoundWords = Schemas['FoundWords'];

/** A message that becomes a template: what it says, what was found in it, and what somebody has said yes to. */
export class FromMessage {
  words = $state<MessageWords>({
    message: null,
    subject: '',
    text: '',
    kind: null,
    person: null,
    deal: null,
    sent: null,
    withoutSignature: true,
    withoutThread: true,
  });
  read = $state.raw<ReadWords | null>(null);
  /** Of each value that was found, which of its fields takes its place; -1 for none. */
  taken = $state<number[]>([]);

  /** Reads the message; what can hardly be anything else is taken at once, and what was answered before stays so. */
  async look(): Promise<void> {
    const read = await ask('post', '/api/templates/from-message/read', { body: $state.snapshot(this.words) });
    const before = this.read?.found ?? [];
    this.taken = read.found.map((one) => {
      const at = before.findIndex((other) => same(one, other));
      return at >= 0 ? this.taken[at] : one.sure ? 0 : -1;
    });
    this.words.deal = read.deal;
    this.read = read;
  }

  /** Takes a field for a value, and for every other place that says the same. */
  take(found: FoundWords, field: number): void {
    const all = this.read?.found ?? [];
    this.taken = all.map((one, at) => (same(one, found) ? field : this.taken[at]));
  }

  /** Takes the likeliest field for every value, or none for any. */
  takeAll(yes: boolean): void {
    this.taken = this.taken.map((field) => (yes ? Math.max(field, 0) : -1));
  }

  /** Makes the template; returns its id. */
  async make(name: string): Promise<string> {
    const accepted = (this.read?.found ?? []).flatMap((one, at) =>
      this.taken[at] < 0
        ? []
        : [{ key: one.key, start: one.start, words: one.words, written: one.fields[this.taken[at]].written }],
    );
    const made = await ask('post', '/api/templates/from-message', {
      body: { words: $state.snapshot(this.words), name, accepted },
    });
    return made.id;
  }
}

/** Whether two places say the same of the same field, so that one answer is for both. */
export const same = (one: FoundWords, other: FoundWords): boolean =>
  one.words === other.words &&
  one.fields.map((field) => field.written).join() === other.fields.map((field) => field.written).join();

/** What was found, places that say the same as one. */
export function apart(found: FoundWords[]): { found: FoundWords; at: number; places: number }[] {
  const rows: { found: FoundWords; at: number; places: number }[] = [];
  found.forEach((one, at) => {
    const before = rows.find((row) => same(row.found, one));
    if (before) before.places++;
    else rows.push({ found: one, at, places: 1 });
  });
  return rows;
}
