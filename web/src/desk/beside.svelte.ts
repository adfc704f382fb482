import { ask, sentence, type Schemas } from '../api/client';
import { draftOf } from './draftOf';
import { proofOf, type ProofFor } from './proofOf';

/** The same template in another language, shown beside the draft for the same person. */
export class Beside {
  proof = $state.raw<Schemas['ShownProof'] | null>(null);
  failed = $state('');
  private run = 0;

  /** Reads what another template says to somebody, as it is now; null for none. */
  async show(template: string | null, person: ProofFor): Promise<void> {
    const mine = ++this.run;
    this.failed = '';
    if (!template) {
      this.proof = null;
      return;
    }
    try {
      const opened = await ask('get', '/api/templates/{id}', { params: { id: template } });
      const proof = await proofOf(draftOf(opened.template), template, person);
      if (mine === this.run) this.proof = proof;
    } catch (failure) {
      if (mine === this.run) this.failed = sentence(failure);
    }
  }
}
