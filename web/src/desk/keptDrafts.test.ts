import { beforeEach, describe, expect, it } from 'vitest';
import { draftKey, dropDraft, hasDraft, keepDraft, readDraft } from './keptDrafts';
import { isKeptMessage, newMessageId, type KeptMessage } from './keptMessage';

const KEY = draftKey('contact', 'ines');
const MESSAGE: KeptMessage = {
  id: newMessageId(),
  template: 'call',
  person: 'ines',
  deal: null,
  address: 'a',
  sender: '',
  after: null,
  chosen: { 'contact.variety': 'Braeburn' },
  answers: { 'what we agreed': 'Tuesday' },
  subject: { type: 'doc' },
  body: undefined,
};

describe('a message kept in the browser', () => {
  beforeEach(() => localStorage.clear());

  it('is there again after a reload', () => {
    expect(keepDraft(KEY, MESSAGE)).toBe(true);
    expect(hasDraft(KEY)).toBe(true);
    expect(readDraft(KEY, isKeptMessage)).toEqual({ ...MESSAGE, body: undefined });
    dropDraft(KEY);
    expect(hasDraft(KEY)).toBe(false);
    expect(readDraft(KEY, isKeptMessage)).toBeNull();
  });

  it('is gone on with though it was kept before there were answers and conversations', () => {
    const { answers, after, ...older } = MESSAGE;
    expect([answers, after]).toHaveLength(2);
    keepDraft(KEY, older);
    expect(readDraft(KEY, isKeptMessage)).toMatchObject({ person: 'ines', chosen: MESSAGE.chosen });
  });

  it.each([
    ['its words alone', 'Dear Ines'],
    ['nothing', null],
    ['a list', [1, 2]],
    ['who it is for in another way', { ...MESSAGE, person: { id: 'ines' } }],
    ['a template by number', { ...MESSAGE, template: 7 }],
    ['what was chosen as a list', { ...MESSAGE, chosen: [['a', 1]] }],
    ['answers that are no texts', { ...MESSAGE, answers: { hint: 3 } }],
    ['what it follows by its subject alone', { ...MESSAGE, after: { subject: 'Hives' } }],
  ])('is begun anew where an older version kept %s', (_, older) => {
    keepDraft(KEY, older);
    expect(readDraft(KEY, isKeptMessage)).toBeNull();
  });

  it('is begun anew where what was kept is cut off', () => {
    localStorage.setItem(KEY, JSON.stringify(MESSAGE).slice(0, 40));
    expect(readDraft(KEY, isKeptMessage)).toBeNull();
  });

  it('has an identifier of its own', () => {
    expect(newMessageId()).toMatch(/^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/);
    expect(newMessageId()).not.toBe(newMessageId());
  });
});
