import { ask, type Schemas } from '../api/client';

type Kind = Schemas['ListSelection']['kind'];

/** Whom a message goes to who was chosen as one of a kind, and about which deal. */
export const whom = (chosen: Kind, { person, deal }: Schemas['ShownCandidate']) => ({
  kind: chosen === 'deal' ? ('contact' as const) : chosen,
  person: person!,
  deal: deal ?? null,
});

/** What a template is for that can be written from to those of a kind. */
export const aboutOf = (chosen: Kind): Schemas['TemplateLine']['about'] =>
  chosen === 'deal' ? 'DEAL' : chosen === 'lead' ? 'LEAD' : 'CONTACT';

/** What a template would say to somebody who is chosen in a list. */
export async function lookFor(
  chosen: Kind,
  candidate: Schemas['ShownCandidate'],
  template: string,
): Promise<Schemas['ShownProof']> {
  const { kind, person, deal } = whom(chosen, candidate);
  const body = { template, kind, id: person, deal, sender: null, mode: null, wishes: null };
  return (await ask('post', '/api/messages/begin', { body })).read.proof;
}
