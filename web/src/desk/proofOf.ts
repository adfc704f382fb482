import { ask, type Schemas } from '../api/client';

/** Whom a draft is proved with: a contact or lead, and one of their deals. */
export interface ProofFor {
  kind: Schemas['ProvedPerson']['kind'];
  id: string;
  deal: string | null;
}

/**
 * A draft of a template merged and proofread for somebody.
 *
 * @param template what it is the draft of; null while it is none yet
 */
export function proofOf(
  draft: Schemas['Draft'],
  template: string | null,
  person: ProofFor,
): Promise<Schemas['ShownProof']> {
  return ask('post', '/api/desk/proof', {
    body: { draft, template, ...person },
  });
}
