import { describe, expect, it } from 'vitest';
import { cardOf, CARDS } from './cardOf';

describe('cardOf', () => {
  it('knows whose picture a card takes', () => {
    expect(cardOf('of-sender')?.label).toBe('the sender');
    expect(cardOf('3f2a')).toBeUndefined();
    expect(cardOf('')).toBeUndefined();
  });

  it('says nothing where a value is missing', () => {
    for (const card of CARDS) for (const fact of card.facts) expect(fact).toMatch(/ else nothing}$/);
  });
});
