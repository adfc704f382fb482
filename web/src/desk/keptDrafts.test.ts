import { beforeEach, describe, expect, it } from 'vitest';
import { draftKey, dropDraft, hasDraft, keepDraft, readDraft } from './keptDrafts';
import { isKeptMessage, newMessageId, type KeptMessage } from '../messages/keptMessage';

const KEY = draftKey('contact', 'ines');
const WORDS = { about: 'CONTACT', subject: 'Hives', previewText: '', body: 'Dear Ines', mode: 'PLAIN' };
const MESSAGE = {
  draft: newMessageId(),
  version: 3,
  message: { id: newMessageId(), kind: 'contact', person: 'ines', template: 'call', words: WORDS },
  unsent: true,
} as unknown as KeptMessage;

describe('a message kept in the browser', () => {
  beforeEach(() => localStorage.clear());

  it('is there again after a reload', () => {
    expect(keepDraft(KEY, MESSAGE)).toBe(true);
    expect(hasDraft(KEY)).toBe(true);
    expect(readDraft(KEY, isKeptMessage)).toEqual(MESSAGE);
    dropDraft(KEY);
    expect(hasDraft(KEY)).toBe(false);
    expect(readDraft(KEY, isKeptMessage)).toBeNull();
  });

  it.each([
    ['its words alone', 'Dear Ines'],
    ['nothing', null],
    ['a list', [1, 2]],
    ['a message without a draft', { ...MESSAGE, draft: undefined }],
    ['its words in stretches', { ...MESSAGE, message: { ...MESSAGE.message, words: null, subject: [] } }],
    ['who it is for in another way', { ...MESSAGE, message: { ...MESSAGE.message, person: { id: 'ines' } } }],
    ['a version by name', { ...MESSAGE, version: 'first' }],
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
