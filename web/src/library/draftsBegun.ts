import { ask, type Schemas } from '../api/client';

export type DraftsBegun = Schemas['DraftsBegun'];
export type DraftBegun = DraftsBegun['mine'][number];

/** The drafts that were begun from a template; null where there are none. */
export async function draftsBegun(template: string): Promise<DraftsBegun | null> {
  const begun = await ask('get', '/api/message-drafts/of/{template}', { params: { template } });
  return begun.mine.length || begun.others ? begun : null;
}

const many = (number: number) => (number === 1 ? 'one draft' : `${number} drafts`);

/** How many were begun, in a sentence. */
export function said({ mine, others }: DraftsBegun): string {
  const ones = [
    ...(mine.length ? [`${many(mine.length)} of yours`] : []),
    ...(others
      ? [`${mine.length ? others : many(others)} of ${others === 1 ? 'a colleague' : 'colleagues'}`]
      : []),
  ].join(' and ');
  return `${ones.charAt(0).toUpperCase()}${ones.slice(1)} ${mine.length + others === 1 ? 'was' : 'were'} begun from it.`;
}

/** What a template would say in a draft. */
export async function lookIn(draft: DraftBegun, template: string): Promise<Schemas['ShownProof']> {
  const { kind, person, deal } = draft;
  const body = { template, kind, id: person, deal: deal ?? null, sender: null, mode: null, wishes: null };
  return (await ask('post', '/api/messages/begin', { body })).read.proof;
}

/** Begins drafts anew from another template; what is returned puts them back as they were. */
export async function replaceIn(
  drafts: readonly DraftBegun[],
  template: string,
  other: string,
): Promise<() => Promise<void>> {
  const before = await Promise.all(
    drafts.map(({ id }) => ask('get', '/api/message-drafts/{id}', { params: { id } })),
  );
  await ask('post', '/api/message-drafts/of/{template}/in-its-place', {
    params: { template },
    body: { other, drafts: drafts.map((one) => one.id) },
  });
  return async () => {
    for (const { id, version, message } of before)
      await ask('put', '/api/message-drafts/{id}', {
        params: { id },
        body: { version: version + 1, message },
      });
  };
}
