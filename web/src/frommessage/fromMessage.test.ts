import { expect, test } from 'vitest';
import { apart, same } from './fromMessage.svelte';

const found = (words: string, ...written: string[]) => ({
  key: 'BODY',
  start: 0,
  words,
  fields: written.map((one) => ({ label: one, source: 'contact', written: one })),
  sure: true,
});

test('places that say the same of the same field are one', () => {
  const all = [found('Ines', '{a}'), found('48', '{b}'), found('Ines', '{a}'), found('Ines', '{a}', '{c}')];
  expect(same(all[0], all[2])).toBe(true);
  expect(apart(all).map(({ found: { words }, at, places }) => [words, at, places])).toEqual([
    ['Ines', 0, 2],
    ['48', 1, 1],
    ['Ines', 3, 1],
  ]);
});
