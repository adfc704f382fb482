import { ask, sentence, type Schemas } from '../api/client';
import type { FoundField } from './finding';
import type { PreviewLoop } from './previewLoop.svelte';
import type { ProofFor } from './proofOf';
import { Stress } from './stress.svelte';

/** Whom a draft is previewed for: the first person, the next or previous one, one that was chosen, or a hard case. */
export class PreviewPeople {
  person: ProofFor | null = null;
  /** How many people the template could go to. */
  total = $state(0);
  fields = $state.raw<FoundField[]>([]);
  /** How many people have each field; read when the desk opens and after somebody's value was filled in. */
  filled = $state.raw<Schemas['Filled'] | null>(null);
  readonly stress = new Stress();
  private stepping: Promise<void> = Promise.resolve();
  /** How many steps are asked for and not taken yet. */
  private ahead = 0;

  constructor(
    private readonly draft: () => Schemas['Draft'] | null,
    private readonly preview: PreviewLoop,
  ) {}

  close(): void {
    this.stress.stop();
  }

  async first(): Promise<void> {
    this.person = null;
    void this.readFilled();
    await this.step(true);
  }

  /**
   * Goes on to the next or previous person the template could go to; quick presses are taken one after another, and
   * only the person they end at is read.
   */
  step(forward: boolean): Promise<void> {
    this.ahead++;
    this.stepping = this.stepping.then(() => this.stepOnce(forward));
    return this.stepping;
  }

  private async stepOnce(forward: boolean): Promise<void> {
    const about = this.draft()?.about;
    try {
      if (!about) return;
      const from = about === 'DEAL' ? this.person?.deal : this.person?.id;
      const stepped = await ask('get', '/api/desk/people/step', {
        query: { about, from: from ?? undefined, forward },
      });
      this.total = stepped.total;
      if (this.ahead > 1) this.point(stepped.person);
      else await this.take(stepped.person);
    } catch (failure) {
      this.preview.failed = sentence(failure);
    } finally {
      this.ahead--;
    }
  }

  /** Takes somebody who was chosen. */
  async take(person: { kind: string; id: string; dealId: string | null }, stress = false): Promise<void> {
    if (!stress) this.stress.leave();
    this.point(person);
    await this.readFields();
    this.preview.ask();
  }

  private point(person: { kind: string; id: string; dealId: string | null }): void {
    this.person = { kind: person.kind as 'contact' | 'lead', id: person.id, deal: person.dealId };
  }

  /** Takes another deal of the same person. */
  async takeDeal(deal: string): Promise<void> {
    if (this.person) await this.take({ ...this.person, dealId: deal });
  }

  /** Goes to the next or previous of the few people that show all the draft can do. */
  async stepStress(way: number): Promise<void> {
    const draft = this.draft();
    if (!draft) return;
    const next = await this.stress.step({ ...draft }, way);
    if (next) await this.take(next, true);
  }

  /** A value was filled in on a record: what is shown is asked for again. */
  async mended(): Promise<void> {
    await Promise.all([this.readFields(), this.readFilled()]);
    this.preview.ask();
  }

  private async readFilled(): Promise<void> {
    const about = this.draft()?.about;
    if (!about) return;
    this.filled = await ask('get', '/api/desk/filled', { query: { about } }).catch(() => this.filled);
  }

  private async readFields(): Promise<void> {
    const about = this.draft()?.about;
    if (!about || !this.person) return;
    const { kind, id, deal } = this.person;
    this.fields = await ask('get', '/api/desk/fields', {
      query: { about, kind, id, deal },
    }).catch(() => this.fields);
  }
}
