import { describe, expect, it } from 'vitest';
import { atWidth } from './pictureWidth';

describe('the width of a picture', () => {
  it.each([
    [240, 20, 'start', 260],
    [240, 20, 'centre', 280],
    [240, 20, 'end', 220],
    [240, -1000, 'start', 8],
    [240, 1000, 'start', 900],
    [240, 0.4, 'start', 240],
  ] as const)('of %i moved by %d to the right, standing at the %s, is %i', (width, by, align, wide) => {
    expect(atWidth(width, by, align)).toBe(wide);
  });
});
