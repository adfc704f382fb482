import { afterEach, describe, expect, it, vi } from 'vitest';
import { TypedAhead } from './typedAhead';

const ahead = new TypedAhead();
afterEach(() => ahead.stop());

function press(...keys: string[]) {
  for (const key of keys) {
    document.body.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }));
  }
}

describe('what is typed before there is a place for it', () => {
  it('is kept until the place is there, and no shortcut hears it', () => {
    const shortcut = vi.fn();
    window.addEventListener('keydown', shortcut);
    ahead.start();
    press('c', 'a', 'x', 'Backspace', 'l', 'l', 'Enter');
    expect(ahead.take()).toEqual({ text: 'call', entered: true });
    expect(shortcut).not.toHaveBeenCalled();
    press('c');
    expect(shortcut).toHaveBeenCalledOnce();
    expect(ahead.take()).toEqual({ text: '', entered: false });
    window.removeEventListener('keydown', shortcut);
  });

  it('leaves keys that are no words to whoever hears them, and gives up with Escape', () => {
    const heard: string[] = [];
    const hear = (event: KeyboardEvent) => void heard.push(event.key);
    window.addEventListener('keydown', hear);
    ahead.start();
    press('Shift', 'ArrowDown', 'q', 'Escape', 'c');
    expect(heard).toEqual(['Shift', 'ArrowDown', 'c']);
    expect(ahead.take().text).toBe('');
    window.removeEventListener('keydown', hear);
  });
});
