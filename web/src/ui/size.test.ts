import { describe, expect, it } from 'vitest';
import { size } from './size';

describe('the size of a file', () => {
  it('is said in the unit one thinks in', () => {
    expect(size(1)).toBe('1 KB');
    expect(size(340_400)).toBe('340 KB');
    expect(size(999_600)).toBe('1.0 MB');
    expect(size(1_400_000)).toBe('1.4 MB');
  });
});
