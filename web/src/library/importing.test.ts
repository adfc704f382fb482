import { expect, test } from 'vitest';
import { added, count, inShort } from './importing';

test('an import is told in a sentence', () => {
  expect(added({ added: 1, replaced: 0, skipped: 0, left: 0 })).toBe('1 template added.');
  expect(added({ added: 3, replaced: 2, skipped: 1, left: 4 })).toBe(
    '3 templates added, 2 replaced, 1 kept as it is, 4 left out.',
  );
  expect(count(1, 'thing')).toBe('1 thing');
});

test('a file is told in short', () => {
  expect(inShort([])).toBe('There is nothing in this file.');
  expect(inShort([{ state: 'SAME' }, { state: 'SAME' }])).toBe('Everything in this file is here already.');
  expect(inShort([{ state: 'NEW' }, { state: 'OTHER' }, { state: 'OTHER' }, { state: 'LEFT' }])).toBe(
    'In this file: 1 new, 2 say something else here, 1 left out.',
  );
});
