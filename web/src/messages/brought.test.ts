import { describe, expect, it } from 'vitest';
import { filesOf, takeFiles } from './brought';

function brought(...types: string[]): DataTransfer {
  const items = types.map((type) => ({
    kind: type ? 'file' : 'string',
    type,
    getAsFile: () => (type ? new File(['x'], 'a', { type }) : null),
  }));
  return { items } as unknown as DataTransfer;
}

describe('what a drop or paste brings', () => {
  it('goes along, but for pictures that the message can show', () => {
    const several = brought('application/pdf', 'image/png', '');
    expect(filesOf(several, false).map((one) => one.type)).toEqual(['application/pdf']);
    expect(filesOf(several, true)).toHaveLength(2);
    expect(filesOf(null, true)).toEqual([]);
  });

  it('means nothing else where it brings files, and what it always did where not', () => {
    const event = new Event('paste', { cancelable: true });
    expect(takeFiles(event, brought('image/png', ''), false)).toEqual([]);
    expect(event.defaultPrevented).toBe(false);
    expect(takeFiles(event, brought('application/pdf'), false)).toHaveLength(1);
    expect(event.defaultPrevented).toBe(true);
  });
});
