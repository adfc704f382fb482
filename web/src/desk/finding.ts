import type { Schemas } from '../api/client';
import type { Chip } from './draftText';

/** A field that can be put in; `special` for what is no field but is put in the same way. */
export type FoundField = Schemas['FoundField'] & { special?: 'when' | 'write in' };

function special(which: 'when' | 'write in', label: string, value: string): FoundField {
  return {
    special: which,
    path: which,
    label,
    whose: which === 'when' ? 'when … otherwise … end' : 'at each use',
    source: which === 'when' ? 'choice' : 'blank',
    type: 'TEXT',
    written: '',
    value,
    formats: [],
    group: 'WORDS',
    choices: [],
  };
}

/** What can be put in besides fields. */
const specials = [
  special('when', 'A choice', 'some words for some people, others for everyone else'),
  special('write in', 'You write in', 'the sender writes it'),
];

const MOST = 40;

/** How well a field fits what was typed; lower is better, Infinity is not at all. */
function fit(field: FoundField, words: string[]): number {
  const label = field.label.toLowerCase();
  const all = `${field.whose} ${label} ${field.path}`.toLowerCase();
  if (!words.every((word) => all.includes(word))) return Infinity;
  const first = words[0] ?? '';
  if (label.startsWith(first)) return 0;
  return label.split(' ').some((one) => one.startsWith(first)) ? 1 : field.path.startsWith(first) ? 2 : 3;
}

/**
 * The fields that fit what was typed, the best first and otherwise in the catalogue's order.
 *
 * @param special whether what is no field can be put in too
 */
export function findFields(fields: FoundField[], typed: string, special = true): FoundField[] {
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
  return [...fields, ...(special ? specials : [])]
    .map((field) => ({ field, score: fit(field, words) }))
    .filter(({ score }) => score < Infinity)
    .sort((a, b) => a.score - b.score)
    .slice(0, MOST)
    .map(({ field }) => field);
}

function chip(written: string, part: Partial<Chip>): Chip {
  return {
    start: 0,
    end: written.length,
    role: 'FIELD',
    written,
    label: '',
    source: '',
    fallback: '',
    known: true,
    type: 'TEXT',
    terms: [],
    formats: [],
    choice: -1,
    taken: false,
    ...part,
  };
}

/** The chip of a field that is put in as it is. */
export function chipOf(field: FoundField): Chip {
  return chip(field.written, {
    label: field.label,
    source: field.source,
    type: field.type,
    terms: [{ kind: 'field', value: field.path, format: '', steps: [] }],
    formats: field.formats,
  });
}

/** The chip of a new blank to write in. */
export function blankChip(): Chip {
  const hint = 'what to write in';
  return chip(`{write in "${hint}"}`, {
    role: 'WRITE_IN',
    label: hint,
    source: 'blank',
    terms: [{ kind: 'blank', value: hint, format: '', steps: [] }],
  });
}

/** The marks of a new choice; its condition is about the first field there is, until the writer says another. */
export function choiceChips(fields: FoundField[]): Chip[] {
  const first = fields[0];
  const path = first?.path ?? 'today';
  return [
    chip(`{when ${path} is filled}`, {
      role: 'WHEN',
      label: `${first?.label ?? 'Today'} is filled`,
      choice: 0,
    }),
    otherwiseChip(),
    chip('{end}', { role: 'END', choice: 0 }),
  ];
}

/** The mark of a branch for everybody else. */
export function otherwiseChip(): Chip {
  return chip('{otherwise}', { role: 'OTHERWISE', choice: 0 });
}

/** The mark of a branch with a condition. */
export function branchChip(first: boolean, written: string, sentence: string): Chip {
  return chip(`{${first ? 'when' : 'otherwise when'} ${written}}`, {
    role: first ? 'WHEN' : 'OTHERWISE',
    label: sentence,
    choice: 0,
  });
}

/** The condition a mark is written with; empty for one without. */
export function conditionOf(mark: Chip): string {
  return mark.written.replace(/^\{(otherwise )?when /, '').replace(/^\{\w+|\}$/g, '');
}
