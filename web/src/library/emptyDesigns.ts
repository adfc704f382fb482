import type { Schemas } from '../api/client';

type Starter = Schemas['Starter'];

export const none = { purpose: '', about: 'CONTACT', subject: '', previewText: '', body: '' } as const;
export const bare = {
  houseStyle: null,
  header: '',
  footer: '',
  files: [],
  kind: null,
  wishes: null,
  plainText: null,
};
const text = { id: 'b1', kind: 'text', text: [{ runs: [{ text: '' }] }] };
const signature = { id: 'b2', kind: 'signature' };
const EMPTY_LETTER = bodyOf([text, signature]);
const EMPTY_DESIGNED = bodyOf([text], [signature]);
/** What a template can begin with that nobody has designed. */
export const EMPTY: Starter[] = [
  {
    name: 'empty-letter',
    description: 'An empty letter, with your signature and your company’s small print.',
    draft: { ...none, ...bare, name: 'An empty letter', mode: 'LETTER', design: EMPTY_LETTER },
  },
  {
    name: 'empty-designed',
    description: 'An empty designed message in the default style, with its header and footer.',
    draft: {
      ...none,
      ...bare,
      name: 'An empty designed message',
      mode: 'DESIGNED',
      design: EMPTY_DESIGNED,
    },
  },
  {
    name: 'empty-sheet',
    description: 'An empty sheet for words and fields alone.',
    draft: { ...none, ...bare, name: 'An empty sheet', mode: 'PLAIN', design: '' },
  },
];

/** A body of bands, each of one column. */
function bodyOf(...bands: object[][]): string {
  return JSON.stringify({
    version: 1,
    bands: bands.map((blocks, at) => ({ id: `band${at + 1}`, columns: [{ blocks }] })),
  });
}
