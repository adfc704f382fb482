import { newId, type Block, type KnownKind } from './body';
import type { KnownBlock } from './generated/body';

/** What a kind of block is called on screen, and how one begins. */
interface Beginning<K extends KnownKind> {
  label: string;
  /** What it is for, in a few words. */
  says: string;
  begin: () => Omit<Extract<KnownBlock, { kind: K }>, 'id' | 'kind'>;
}

export type BlockKind = { kind: KnownKind; label: string; says: string };

const words = (text = '') => [{ runs: text ? [{ text }] : [] }];

/** Every kind that docs/body.schema.json knows: one that is new there does not compile until it stands here. */
const kinds: { [K in KnownKind]: Beginning<K> } = {
  text: { label: 'Text', says: 'paragraphs, headings, lists', begin: () => ({ text: words() }) },
  signature: { label: 'Signature', says: 'the sender’s own', begin: () => ({}) },
  passage: { label: 'Passage', says: 'kept once, used in many', begin: () => ({ passage: '' }) },
  picture: {
    label: 'Picture',
    says: 'from Materials',
    begin: () => ({ picture: '', width: 240, description: '', link: '' }),
  },
  pairing: {
    label: 'Picture and text',
    says: 'side by side',
    begin: () => ({
      picture: { picture: '', width: 240, description: '', link: '' },
      text: words(),
      share: 40,
    }),
  },
  'video still': {
    label: 'Video still',
    says: 'a picture that leads to a video',
    begin: () => ({ picture: '', address: '', description: '', width: 480 }),
  },
  button: { label: 'Button', says: 'one thing to do', begin: () => ({ label: '', link: '' }) },
  'social links': {
    label: 'Social links',
    says: 'to profiles',
    begin: () => ({ links: [{ label: '', address: '' }] }),
  },
  feed: { label: 'Feed', says: 'its newest entries', begin: () => ({ feed: '', most: 3 }) },
  'item table': {
    label: 'Item table',
    says: 'the deal’s lines and sums',
    begin: () => ({
      columns: [{ is: 'description' }, { is: 'quantity' }, { is: 'price' }, { is: 'total' }],
      totals: true,
      empty: '',
    }),
  },
  event: {
    label: 'Event',
    says: 'attached as a calendar file',
    begin: () => ({
      title: '',
      day: '{today plus 1 week}',
      time: '09:00',
      minutes: 60,
      zone: '',
      place: '',
    }),
  },
  'record card': {
    label: 'Record card',
    says: 'details of a record or colleague',
    begin: () => ({ picture: '', title: '{sender.full_name}', facts: ['{sender.phone}'] }),
  },
  divider: { label: 'Line', says: 'a line across', begin: () => ({ thickness: 1, colour: '' }) },
  'own HTML': {
    label: 'Own HTML',
    says: 'written by hand',
    begin: () => ({ source: '' }),
  },
  spacer: { label: 'Space', says: 'empty space', begin: () => ({ height: 24 }) },
};

const groups: readonly (readonly [group: string, kinds: readonly KnownKind[]])[] = [
  ['Words', ['text', 'signature', 'passage']],
  ['Pictures', ['picture', 'pairing', 'video still']],
  ['Actions', ['button', 'social links', 'feed']],
  ['From the record', ['item table', 'event', 'record card']],
  ['Layout', ['divider', 'own HTML', 'spacer']],
];

/** The kinds a body can be made of, in groups. */
export const blockGroups: readonly (readonly [group: string, kinds: readonly BlockKind[]])[] = groups.map(
  ([group, names]) => [group, names.map((kind) => ({ kind, ...kinds[kind] }))],
);

/** Kinds that can't stand in a text of this kind: a passage holds no passage, a signature no signature, what stands around messages none of what changes by itself. */
export function barred(textKind: string | null | undefined): readonly string[] {
  if (textKind === 'PASSAGE') return ['passage'];
  if (textKind === 'HEADER' || textKind === 'FOOTER') return ['passage', 'signature', 'feed'];
  return textKind === 'SIGNATURE' ? ['passage', 'signature'] : [];
}

/** Whether it is a kind that this version knows. */
function known(kind: string): kind is KnownKind {
  return Object.hasOwn(kinds, kind);
}

/** A new block of a kind. */
export function newBlock(kind: KnownKind): Block {
  return { id: newId(), kind, ...kinds[kind].begin() };
}

/** What a kind is called on screen. */
export function kindLabel(kind: string): string {
  return known(kind) ? kinds[kind].label : kind;
}

/** Whether a block is of a kind that this version knows. */
export function isKnown(block: Block): boolean {
  return known(block.kind);
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
