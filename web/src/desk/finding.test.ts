import { expect, it } from 'vitest';
import {
  branchChip,
  chipOf,
  choiceChips,
  conditionOf,
  findFields,
  otherwiseChip,
  type FoundField,
} from './finding';

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
    group: 'WORDS',
    choices: [],
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
  expect(findFields(fields, '')).toHaveLength(5);
});

it('makes a chip of a field as it is', () => {
  expect(chipOf(fields[0])).toMatchObject({
    written: '{person.first_name}',
    label: 'First name',
    fallback: '',
  });
});

it('offers a choice and a blank to write in beside the fields', () => {
  expect(findFields(fields, 'choice').map((one) => one.special)).toEqual(['when']);
  expect(findFields(fields, 'when')[0].special).toBe('when');
  expect(findFields(fields, 'write in')[0].special).toBe('write in');
});

it('reads the condition out of a mark, as it was written into it', () => {
  expect(choiceChips(fields).map((one) => one.role)).toEqual(['WHEN', 'OTHERWISE', 'END']);
  expect(conditionOf(choiceChips(fields)[0])).toBe('person.first_name is filled');
  expect(conditionOf(branchChip(false, 'deal.stage is "won"', 'Stage is won'))).toBe('deal.stage is "won"');
  expect(conditionOf(otherwiseChip())).toBe('');
});
