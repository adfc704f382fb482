import { sentence, type Schemas } from '../api/client';
import type { Chip } from './draftText';
import { proofOf, type ProofFor } from './proofOf';

type Draft = Schemas['Draft'];

/** What is to be shown, and for whom. */
export interface Previewed {
  draft: Draft;
  template: string;
  person: ProofFor;
}

/**
 * The preview of a draft, asked for after every change. While one is on its way, the next waits for it and then takes the
 * newest words, so that the draft itself never waits.
 */
export class PreviewLoop {
  proof = $state.raw<Schemas['ShownProof'] | null>(null);
  failed = $state('');
  /** Fields that were met in the draft's texts, by their written form. */
  readonly met = new Map<string, Chip>();
  onproof: (read: Draft, proof: Schemas['ShownProof']) => void = () => {};
  private running = false;
  private ended: Promise<void> = Promise.resolve();
  private wanted = false;
  private closed = false;

  /**
   * @param now what is to be shown at this moment; null while there is nothing
   * @param read merges and proofreads it
   */
  constructor(
    private readonly now: () => Previewed | null,
    private readonly read: (next: Previewed) => Promise<Schemas['ShownProof']> = (next) =>
      proofOf(next.draft, next.template, next.person),
  ) {}

  /** The draft or the person has changed. */
  ask(): void {
    this.wanted = true;
    if (!this.running) this.ended = this.run();
  }

  /** What is known of a draft without asking. */
  take(draft: Draft, proof: Schemas['ShownProof']): void {
    // One that is on its way is older: what it says is shown, and then asked for again.
    if (this.running) this.wanted = true;
    this.show(draft, proof);
  }

  private show(draft: Draft, proof: Schemas['ShownProof']): void {
    this.proof = proof;
    this.failed = '';
    for (const part of [proof.subject, proof.previewText, proof.body, proof.plainText]) {
      for (const chip of part?.chips ?? []) this.met.set(chip.written, chip);
    }
    this.onproof(draft, proof);
  }

  /** Until what is shown is the newest there is. */
  async newest(): Promise<void> {
    await this.ended;
  }

  close(): void {
    this.closed = true;
  }

  private async run(): Promise<void> {
    this.running = true;
    for (let next = this.next(); next; next = this.next()) {
      try {
        this.show(next.draft, await this.read(next));
      } catch (failure) {
        this.failed = sentence(failure);
      }
    }
    this.running = false;
  }

  private next(): Previewed | null {
    const next = this.wanted && !this.closed ? this.now() : null;
    if (next) this.wanted = false;
    return next;
  }
}
