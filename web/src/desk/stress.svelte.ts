import { lines, sentence, type Schemas } from '../api/client';
import { saidIn } from './proofOf';

type Draft = Schemas['Draft'];
type Request = Schemas['StressRequest'];

/** The few people that together show all a draft can do, and which of them one is at. */
export class Stress {
  choice = $state<Schemas['StressChoice'] | null>(null);
  at = $state(-1);
  running = $state(false);
  read = $state(0);
  of = $state(0);
  failed = $state('');
  /** The words the choice was made for; later ones ask for another. */
  private made = '';
  private stopping: AbortController | null = null;

  /** The one that is shown, if the proof shows one. */
  get current(): Schemas['StressProof'] | null {
    return this.choice?.proofs[this.at] ?? null;
  }

  /** Steps on or back; chooses first when the draft has changed since. Returns whom to prove with. */
  async step(draft: Draft, way: number): Promise<Schemas['StressProof'] | null> {
    const request: Request = saidIn(draft);
    const words = JSON.stringify(request);
    if (words !== this.made && !(await this.choose(request, words))) return null;
    const many = this.choice?.proofs.length ?? 0;
    if (!many) return null;
    this.at = this.at < 0 ? (way > 0 ? 0 : many - 1) : (this.at + way + many) % many;
    return this.current;
  }

  private async choose(request: Request, words: string): Promise<boolean> {
    if (this.running) return false;
    this.running = true;
    this.failed = '';
    this.stopping = new AbortController();
    try {
      for await (const line of lines('/api/desk/stress', request, this.stopping.signal)) {
        const { read, of, choice } = line as Schemas['StressLine'];
        this.read = read;
        this.of = of;
        if (choice) this.choice = choice;
      }
      this.made = words;
      this.at = -1;
      return true;
    } catch (failure) {
      if (!(failure instanceof DOMException)) this.failed = sentence(failure);
      return false;
    } finally {
      this.running = false;
    }
  }

  /** Ends a choice that is being made. */
  stop(): void {
    this.stopping?.abort();
  }

  /** The proof shows somebody else now. */
  leave(): void {
    this.at = -1;
  }
}
