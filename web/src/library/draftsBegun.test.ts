import { describe, expect, it } from 'vitest';
import { said, type DraftBegun } from './draftsBegun';

const mine = (number: number) => Array.from({ length: number }, () => ({}) as DraftBegun);

describe('how many drafts were begun', () => {
  it.each([
    [1, 0, 'One draft of yours was begun from it.'],
    [2, 1, '2 drafts of yours and 1 of a colleague were begun from it.'],
    [0, 1, 'One draft of a colleague was begun from it.'],
    [0, 3, '3 drafts of colleagues were begun from it.'],
    [1, 2, 'One draft of yours and 2 of colleagues were begun from it.'],
  ])('%i of mine and %i of others', (own, others, sentence) => {
    expect(said({ mine: mine(own), others })).toBe(sentence);
  });
});
