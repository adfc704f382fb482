import { newId, type Block } from './body';

/** What a block is called on screen, and how one begins. */
export interface BlockKind {
  kind: string;
  label: string;
  /** What it is for, in a few words. */
  says: string;
  begin: () => Omit<Block, 'id' | 'kind'>;
}

const words = (text = '') => [{ runs: text ? [{ text }] : [] }];

/** The kinds a body can be made of, in groups. */
export const blockGroups: readonly (readonly [group: string, kinds: readonly BlockKind[]])[] = [
  [
    'Words',
    [
      { kind: 'text', label: 'Text', says: 'paragraphs, headings, lists', begin: () => ({ text: words() }) },
      { kind: 'signature', label: 'Signature', says: 'the sender’s own', begin: () => ({}) },
      {
        kind: 'passage',
        label: 'Passage',
        says: 'kept once, used in many',
        begin: () => ({ passage: '' }),
      },
    ],
  ],
  [
    'Pictures',
    [
      {
        kind: 'picture',
        label: 'Picture',
        says: 'from the cupboard',
        begin: () => ({ picture: '', width: 240, description: '', link: '' }),
      },
      {
        kind: 'pairing',
        label: 'Picture and text',
        says: 'side by side',
        begin: () => ({
          picture: { picture: '', width: 240, description: '', link: '' },
          text: words(),
          share: 40,
        }),
      },
      {
        kind: 'video still',
        label: 'Video still',
        says: 'a picture that leads to a video',
        begin: () => ({ picture: '', address: '', description: '', width: 480 }),
      },
    ],
  ],
  [
    'Actions',
    [
      { kind: 'button', label: 'Button', says: 'one thing to do', begin: () => ({ label: '', link: '' }) },
      {
        kind: 'social links',
        label: 'Social links',
        says: 'to profiles',
        begin: () => ({ links: [{ label: '', address: '' }] }),
      },
      { kind: 'feed', label: 'Feed', says: 'its newest entries', begin: () => ({ feed: '', most: 3 }) },
    ],
  ],
  [
    'From the record',
    [
      {
        kind: 'item table',
        label: 'Item table',
        says: 'the deal’s lines and sums',
        begin: () => ({
          columns: [{ is: 'description' }, { is: 'quantity' }, { is: 'price' }, { is: 'total' }],
          totals: true,
          empty: '',
        }),
      },
      {
        kind: 'event',
        label: 'Event',
        says: 'goes along as a calendar file',
        begin: () => ({
          title: '',
          day: '{today plus 1 week}',
          time: '09:00',
          minutes: 60,
          zone: '',
          place: '',
        }),
      },
      {
        kind: 'record card',
        label: 'Record card',
        says: 'facts of a record or colleague',
        begin: () => ({ picture: '', title: '{sender.full_name}', facts: ['{sender.phone}'] }),
      },
    ],
  ],
  [
    'Layout',
    [
      { kind: 'divider', label: 'Rule', says: 'a line across', begin: () => ({ thickness: 1, colour: '' }) },
      {
        kind: 'own HTML',
        label: 'Own HTML',
        says: 'written by hand',
        begin: () => ({ source: '' }),
      },
      { kind: 'spacer', label: 'Room', says: 'nothing, of some height', begin: () => ({ height: 24 }) },
    ],
  ],
];

/** Kinds that can't stand in a text of this kind: a passage holds no passage, a signature no signature, what stands around messages none of what changes by itself. */
export function barred(textKind: string | null | undefined): readonly string[] {
  if (textKind === 'PASSAGE') return ['passage'];
  if (textKind === 'HEADER' || textKind === 'FOOTER') return ['passage', 'signature', 'feed'];
  return textKind === 'SIGNATURE' ? ['passage', 'signature'] : [];
}

const all = blockGroups.flatMap(([, kinds]) => kinds);

/** A new block of a kind. */
export function newBlock(kind: string): Block {
  const made = all.find((one) => one.kind === kind)!;
  return { id: newId(), kind, ...made.begin() };
}

/** What a kind is called on screen. */
export function kindLabel(kind: string): string {
  return all.find((one) => one.kind === kind)?.label ?? kind;
}

/** Whether a block is of a kind that this version knows. */
export function isKnown(block: Block): boolean {
  return all.some((one) => one.kind === block.kind);
}

/** What a string of a block is, for those who can't see where it stands. */
export function stringLabel(kind: string, key: string): string {
  const [part, more] = key.split('/');
  const label = kindLabel(kind).toLowerCase();
  if (part === 'link' || more === 'link') return `${label}: address`;
  if (part === 'description') return `${label}: description`;
  if (part === 'day') return `${label}: day`;
  if (part === 'source') return `${label}: source`;
  if (part === 'place') return `${label}: place`;
  return label;
}

/** The columns an item table can have, and what stands at their head. */
export const columnLabels: Record<string, string> = {
  description: 'Description',
  quantity: 'Quantity',
  unit: 'Unit',
  price: 'Price',
  discount: 'Discount',
  tax: 'Tax',
  note: 'Note',
  total: 'Amount',
};
