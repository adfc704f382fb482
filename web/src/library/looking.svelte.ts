import type { Schemas } from '../api/client';

type Proof = Schemas['ShownProof'];

/** While one walks a list quickly, as with a key held down, nothing is asked for; milliseconds. */
const REST = 50;

/** What is looked at beside a list: asked for once one rests, and only the last one counts. */
export class Looking {
  proof = $state.raw<Proof | null>(null);
  private run = 0;
  private timer: ReturnType<typeof setTimeout> | undefined;

  /**
   * Looks at something else; what was looked at stays until that is there.
   *
   * @param read merges it; null for nothing
   * @param onfailed told why it can't be shown
   */
  at(read: (() => Promise<Proof>) | null, onfailed: (failure: unknown) => void = () => {}): void {
    const mine = ++this.run;
    clearTimeout(this.timer);
    if (!read) {
      this.proof = null;
      return;
    }
    this.timer = setTimeout(() => void this.show(mine, read, onfailed), REST);
  }

  /** Whatever is on its way is not wanted any more. */
  end(): void {
    this.run++;
    clearTimeout(this.timer);
  }

  private async show(
    mine: number,
    read: () => Promise<Proof>,
    onfailed: (failure: unknown) => void,
  ): Promise<void> {
    try {
      const proof = await read();
      if (mine === this.run) this.proof = proof;
    } catch (failure) {
      if (mine !== this.run) return;
      this.proof = null;
      onfailed(failure);
    }
  }
}
