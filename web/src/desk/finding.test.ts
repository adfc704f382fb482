import { expect, it } from 'vitest';
import { chipOf, findFields, type FoundField } from './finding';

function found(path: string, label: string, whose: string): FoundField {
  return {
    path,
    label,
    whose,
    source: 'contact',
    type: 'TEXT',
    written: `{${path}}`,
    value: '',
    formats: [],
  };
}

const fields = [
  found('person.first_name', 'First name', 'person'),
  found('deal.placement_date', 'Placement date', 'deal'),
  found('deal.organisation.name', 'Organisation name', 'deal organisation'),
];

it('finds by label, by owner and by path, the best first', () => {
  expect(findFields(fields, 'pla').map((one) => one.path)).toEqual(['deal.placement_date']);
  expect(findFields(fields, 'deal na').map((one) => one.path)).toEqual(['deal.organisation.name']);
  expect(findFields(fields, 'name')[0].label).toBe('First name');
  expect(findFields(fields, 'person.first')).toHaveLength(1);
  expect(findFields(fields, 'nothing')).toEqual([]);
  expect(findFields(fields, '')).toHaveLength(3);
});

it('makes a chip of a field as it is', () => {
  expect(chipOf(fields[0])).toMatchObject({
    written: '{person.first_name}',
    label: 'First name',
    fallback: '',
  });
});
