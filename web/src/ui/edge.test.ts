import { describe, expect, it, vi } from 'vitest';
import { edge } from './edge';

function made() {
  const element = document.createElement('div');
  element.tabIndex = 0;
  element.setPointerCapture = vi.fn();
  element.releasePointerCapture = vi.fn();
  document.body.append(element);
  const moves: number[] = [];
  const letGo = vi.fn();
  const away = edge({ moved: (event) => moves.push(event.clientX), letGo })(element);
  const point = (name: string, clientX = 0) =>
    element.dispatchEvent(Object.assign(new MouseEvent(name, { clientX, bubbles: true }), { pointerId: 7 }));
  return { element, moves, letGo, away, point };
}

describe('an edge', () => {
  it('tells of moves from when it is taken until it is let go', () => {
    const { element, moves, letGo, point } = made();
    point('pointermove', 1);
    point('pointerdown', 2);
    expect(document.activeElement).toBe(element);
    point('pointermove', 3);
    point('pointerup');
    point('pointermove', 4);
    expect(moves).toEqual([3]);
    expect(letGo.mock.calls).toEqual([[true]]);
  });

  it('is left as it was by Escape, which closes nothing else then', () => {
    const { element, moves, letGo, point } = made();
    const heard = vi.fn();
    document.body.addEventListener('keydown', heard, { once: true });
    point('pointerdown');
    element.dispatchEvent(new KeyboardEvent('keydown', { key: 'Escape', bubbles: true }));
    point('pointermove', 5);
    point('pointerup');
    expect(moves).toEqual([]);
    expect(letGo.mock.calls).toEqual([[false]]);
    expect(heard).not.toHaveBeenCalled();
    element.dispatchEvent(new KeyboardEvent('keydown', { key: 'Escape', bubbles: true }));
    expect(heard).toHaveBeenCalledOnce();
  });

  it('hears nothing once it is gone', () => {
    const { moves, away, point } = made();
    away();
    point('pointerdown');
    point('pointermove', 5);
    expect(moves).toEqual([]);
  });
});
