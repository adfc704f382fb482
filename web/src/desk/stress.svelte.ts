import { lines, sentence, type Schemas } from '../api/client';

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
    const request: Request = { draft };
    const words = JSON.stringify(request);
    if (words !== this.made && !(await this.choose(request, words))) return null;
    const many = this.choice?.proofs.length ?? 0;
    if (!many) return null;
    this.at = this.at < 0 ? (way > 0 ? 0 : many - 1) : (this.at + way + many) % many;
    return this.current;
  }

  /** Answers as soon as there is a choice; of very many people one from some of them is there before that from all. */
  private choose(request: Request, words: string): Promise<boolean> {
    this.stop();
    const stopping = new AbortController();
    this.stopping = stopping;
    this.running = true;
    this.failed = '';
    let chosen = false;
    return new Promise((resolve) => {
      const take = (choice: Schemas['StressChoice']) => {
        const current = chosen ? this.current : null;
        this.choice = choice;
        // Whoever is looked at stays the one that is looked at, where they are chosen still.
        this.at = current
          ? choice.proofs.findIndex((one) => one.id === current.id && one.dealId === current.dealId)
          : -1;
        this.made = words;
        chosen = true;
        resolve(true);
      };
      const readAll = async () => {
        try {
          for await (const line of lines('/api/desk/stress', request, stopping.signal)) {
            if (this.stopping !== stopping) return;
            const { read, of, choice } = line as Schemas['StressLine'];
            this.read = read;
            this.of = of;
            if (choice) take(choice);
          }
        } catch (failure) {
          if (!(failure instanceof DOMException) && this.stopping === stopping)
            this.failed = sentence(failure);
        } finally {
          if (this.stopping === stopping) this.running = false;
          resolve(chosen);
        }
      };
      void readAll();
    });
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
