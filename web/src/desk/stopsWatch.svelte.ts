import { ask, type Schemas } from '../api/client';

const AFTER_MS = 300;

/** Asks, once a message has not changed for a moment, what stops it; only the newest answer counts. */
export class StopsWatch {
  stops = $state<Schemas['Stop'][]>([]);
  private soon: ReturnType<typeof setTimeout> | undefined;
  private asked = 0;

  /**
   * @param message the message as it is now; null while there is none
   */
  constructor(private readonly message: () => Schemas['MessageToSend'] | null) {}

  /** The message has changed. */
  changed(): void {
    clearTimeout(this.soon);
    this.soon = setTimeout(() => void this.look(), AFTER_MS);
  }

  /** Those about one of its texts. */
  about(part: Schemas['Stop']['part']): Schemas['Stop'][] {
    return this.stops.filter((one) => one.part === part);
  }

  private async look(): Promise<void> {
    const mine = ++this.asked;
    const body = this.message();
    if (!body) return;
    try {
      const found = await ask('post', '/api/messages/stops', { body });
      if (mine === this.asked) this.stops = found;
    } catch {
      // Without an answer nothing is known to be wrong; sending asks again.
      if (mine === this.asked) this.stops = [];
    }
  }
}
