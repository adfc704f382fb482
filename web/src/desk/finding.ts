import type { Schemas } from '../api/client';
import type { Chip } from './draftText';

export type FoundField = Schemas['FoundField'];

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

/** The fields that fit what was typed, the best first and otherwise in the catalogue's order. */
export function findFields(fields: FoundField[], typed: string): FoundField[] {
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
  return fields
    .map((field) => ({ field, score: fit(field, words) }))
    .filter(({ score }) => score < Infinity)
    .sort((a, b) => a.score - b.score)
    .slice(0, MOST)
    .map(({ field }) => field);
}

/** The chip of a field that is put in as it is. */
export function chipOf(field: FoundField): Chip {
  return {
    start: 0,
    end: field.written.length,
    written: field.written,
    label: field.label,
    source: field.source,
    fallback: '',
    known: true,
    type: field.type,
    terms: [{ kind: 'field', value: field.path, format: '' }],
    formats: field.formats,
  };
}
