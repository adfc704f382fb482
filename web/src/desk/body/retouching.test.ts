import { describe, expect, it } from 'vitest';
import { copyAddress, cutTo, without } from './retouching';

describe('retouching', () => {
  it('leaves a tenth of a side whatever is cut', () => {
    expect(cutTo({ right: 30 }, 'left', 80)).toEqual({ right: 30, left: 60 });
    expect(cutTo({}, 'top', 120)).toEqual({ top: 90 });
    expect(cutTo({ top: 4 }, 'top', -3)).toEqual({});
  });

  it('keeps only what changes the picture', () => {
    expect(without({ left: 0, brightness: -5, tint: '#3c5b82', strength: 0 })).toEqual({ brightness: -5 });
    expect(without({ strength: 40 })).toEqual({});
  });

  it('names the copy as the server does', () => {
    expect(copyAddress('bee')).toBe('/api/materials/pictures/bee~wide.1200');
    expect(copyAddress('bee', {}, 480, true)).toBe('/api/materials/pictures/bee~play~wide.480');
    expect(
      copyAddress('bee', { left: 5, bottom: 10, brightness: -20, tint: '#3C5B82', strength: 60 }, 480),
    ).toBe('/api/materials/pictures/bee~cut.5.0.0.10~light.-20~tint.3c5b82.60~wide.480');
  });
});
