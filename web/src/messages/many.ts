import { ask, type Schemas } from '../api/client';

/** What a template would say to somebody who is chosen in a list. */
export async function lookFor(
  chosen: Schemas['Choice']['kind'],
  { person, deal }: Schemas['ShownCandidate'],
  template: string,
): Promise<Schemas['ShownProof']> {
  const kind = chosen === 'deal' ? 'contact' : chosen;
  const body = { template, kind, id: person!, deal: deal ?? null, sender: null, mode: null, wishes: null };
  return (await ask('post', '/api/messages/begin', { body })).read.proof;
}
