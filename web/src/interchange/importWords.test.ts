import { expect, it } from 'vitest';
import type { Schemas } from '../api/client';
import { listOf, many, outcome } from './importWords';

const result = { fresh: 3, known: 2 } as Schemas['ImportResult'];

it.each([
  ['SKIP', [], 'add 3 contacts, skip 2'],
  ['UPDATE', [], 'add 3 contacts, update 2'],
  ['ADD', [], 'add 5 contacts'],
  ['SKIP', ['UPDATE'], 'add 3 contacts, update 1, skip 1'],
  ['UPDATE', ['ADD', 'SKIP'], 'add 4 contacts, skip 1'],
] as const)('says what %s with %j does', (all, some, words) => {
  expect(outcome(result, 'contact', all, [...some])).toBe(words);
});

it('says so when nothing is added', () => {
  const known = { fresh: 0, known: 1 } as Schemas['ImportResult'];
  expect(outcome(known, 'lead', 'UPDATE', [])).toBe('update 1');
  expect(outcome(known, 'lead', 'SKIP', [])).toBe('add 0 leads, skip 1');
});

it('counts and finds lists', () => {
  expect(many(1, 'row')).toBe('1 row');
  expect(many(20_000, 'row')).toBe('20,000 rows');
  expect(listOf('deal')).toBe('/deals');
  expect(listOf('lead')).toBe('/people/leads');
});
