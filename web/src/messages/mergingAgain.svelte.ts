import { type Schemas } from '../api/client';
import type { MessageState } from './messageState.svelte';

/** What a message is merged with. */
interface Ways {
  /** Merges it anew; words that were changed are left behind. */
  merge: () => Promise<void>;
  /** The subject of its conversation; null for none. */
  subject: () => string | null;
  /** Has the server know what it was begun with. */
  keepBegun: () => void;
  failed: (failure: unknown) => void;
}

/** Merges a message again where whom it is for, or what it is about, is another. */
export class MergingAgain {
  /** What is to be done once it is said that changed words may go; null while nothing asks. */
  asked = $state.raw<(() => void) | null>(null);
  private wishing = Promise.resolve();

  constructor(
    private readonly message: MessageState,
    private readonly ways: Ways,
  ) {}

  /** Changes whom or for what it is written; asks first when words of this message would be lost. */
  after(change: () => void): void {
    const then = () => {
      this.asked = null;
      change();
      void this.ways.merge();
    };
    if (this.message.untouched()) then();
    else this.asked = then;
  }

  /**
   * Takes what changes values of the message: who is greeted, and the day it is read. A message that nobody has changed is
   * merged again for it; of any other the new values are offered.
   */
  wish(wishes: Schemas['SendingWishes']): void {
    this.message.envelope.wishes = wishes;
    this.message.moved();
    // One after another: each begins with all that is wished by then.
    this.wishing = this.wishing.then(() => this.beginUntouched()).catch(this.ways.failed);
  }

  private async beginUntouched(): Promise<void> {
    if (await this.message.beginUntouched(this.ways.subject())) this.ways.keepBegun();
    else this.message.preview.ask();
  }
}
