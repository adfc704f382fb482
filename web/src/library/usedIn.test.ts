import { describe, expect, it } from 'vitest';
import { count, named } from './usedIn';

const seen = (...names: string[]) => names.map((name) => ({ id: name, name }));

describe('where something is used', () => {
  it('names the first three and counts the others', () => {
    expect(named({ seen: seen('A', 'B'), others: 0 })).toBe('“A”, “B”');
    expect(named({ seen: seen('A', 'B', 'C', 'D'), others: 0 })).toBe('“A”, “B”, “C” and 1 more');
    expect(named({ seen: seen('A'), others: 2 })).toBe('“A” and 2 more that you don’t see');
    expect(named({ seen: [], others: 1 })).toBe('1 template that you don’t see');
    expect(count({ seen: seen('A'), others: 2 })).toBe(3);
  });
});
