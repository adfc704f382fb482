import type { Schemas } from '../api/client';

type FieldType = Schemas['Fact']['type'];

const labels: Partial<Record<FieldType, string>> = {
  TEXT: 'a line of text',
  LONG_TEXT: 'text of several lines',
  NUMBER: 'a number',
  MONEY: 'an amount of money',
  DATE: 'a day',
  CHOICE: 'one of several choices',
  CHOICES: 'any number of choices',
  YES_NO: 'yes or no',
  EMAIL: 'an e-mail address',
  LINK: 'a link',
  PHONE: 'a phone number',
};

/** What a field of a sort holds, in words. */
export function typeLabel(type: FieldType): string {
  return labels[type] ?? type.toLowerCase();
}

/** Sorts to choose from. */
export function typeOptions(types: FieldType[]): [string, string][] {
  return types.map((type) => [type, typeLabel(type)]);
}

/** What a field of one's own can hold, to choose from. */
export const ownTypes = typeOptions([
  'TEXT',
  'LONG_TEXT',
  'NUMBER',
  'MONEY',
  'DATE',
  'CHOICE',
  'CHOICES',
  'YES_NO',
  'EMAIL',
  'LINK',
  'PHONE',
]);
