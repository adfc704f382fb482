import type { Schemas } from '../api/client';

type Kind = Schemas['ImportShown']['kind'];
type Choice = Schemas['ImportChoices']['all'];

/** A number of records of a kind, in words. */
export function many(count: number, kind: string): string {
  return `${count.toLocaleString('en')} ${kind}${count === 1 ? '' : 's'}`;
}

/** Where the records of a kind are listed. */
export function listOf(kind: Kind): string {
  return kind === 'deal' ? '/deals' : `/people/${kind}s`;
}

/** What separates columns, by the sign. */
export const delimiters = [
  [',', 'commas'],
  [';', 'semicolons'],
  ['\t', 'tabs'],
  ['|', 'bars'],
] as const;

/** What can be done with a record that is here already. */
export const choices: [NonNullable<Choice>, string][] = [
  ['SKIP', 'skip'],
  ['UPDATE', 'update'],
  ['ADD', 'add again'],
];

/** What an import with these choices does, as a sentence. */
export function outcome(result: Schemas['ImportResult'], kind: Kind, all: Choice, some: Choice[]): string {
  const known = { ADD: 0, UPDATE: 0, SKIP: 0 };
  known[all ?? 'SKIP'] += result.known - some.length;
  for (const one of some) known[one ?? 'SKIP']++;
  const parts = [
    result.fresh + known.ADD > 0 || !known.UPDATE ? `add ${many(result.fresh + known.ADD, kind)}` : '',
    known.UPDATE ? `update ${known.UPDATE.toLocaleString('en')}` : '',
    known.SKIP ? `skip ${known.SKIP.toLocaleString('en')}` : '',
  ].filter(Boolean);
  return parts.join(', ');
}
