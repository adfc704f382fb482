import { describe, expect, it } from 'vitest';
import { paragraphKind, slotLabel, withWords, wordsAt } from './designWords';

const design = JSON.stringify({
  version: 1,
  bands: [
    {
      id: 'a',
      columns: [
        {
          blocks: [
            {
              id: 't',
              kind: 'text',
              text: [{ kind: 'heading-1', runs: [{ text: 'One' }, { text: 'two', link: 'tel:1' }] }],
            },
            { id: 'b', kind: 'button', label: 'Read', link: 'https://x.example' },
            {
              id: 'p',
              kind: 'pairing',
              picture: { description: 'Hives' },
              text: [{ runs: [{ text: 'Beside' }] }],
            },
            { id: 'c', kind: 'record card', title: 'Who', facts: ['First', 'Second'] },
            { id: 's', kind: 'social links', links: [{ label: 'Web', address: 'https://y.example' }] },
          ],
        },
      ],
    },
  ],
});

describe('the words of a design', () => {
  it.each([
    ['t/0.0', 'One'],
    ['t/0.1/link', 'tel:1'],
    ['b/label', 'Read'],
    ['b/link', 'https://x.example'],
    ['p/description', 'Hives'],
    ['p/0.0', 'Beside'],
    ['c/label', 'Who'],
    ['c/fact1', 'Second'],
    ['s/fact0', 'Web'],
    ['s/fact0/link', 'https://y.example'],
    ['gone/label', ''],
  ])('finds %s and changes nothing else', (key, words) => {
    expect(wordsAt(design, key)).toBe(words);
    const changed = withWords(design, key, 'New');
    expect(wordsAt(changed, key)).toBe(words ? 'New' : '');
    expect(withWords(changed, key, words)).toBe(design);
  });

  it('says what a string is', () => {
    expect(slotLabel('b/link', 'button')).toBe('button: address');
    expect(slotLabel('t/0.0', 'text')).toBe('text');
    expect(paragraphKind(design, 't/0.0')).toBe('heading-1');
    expect(paragraphKind(design, 'p/0.0')).toBe('');
  });
});
