import { describe, expect, it } from 'vitest';
import { Chosen } from './chosen.svelte';

const lines = ['a', 'b', 'c', 'd', 'e'];
const lineAt = (at: number) => lines[at];
const narrowed = { search: '', where: '', list: null, minus: null, deals: null, role: null };

describe('choosing lines of a list', () => {
  it('chooses one, and leaves it out again', () => {
    const chosen = new Chosen();
    chosen.toggle('b', 1);
    expect(lines.filter((id) => chosen.has(id))).toEqual(['b']);
    chosen.toggle('b', 1);
    expect(chosen.number(5)).toBe(0);
  });

  it('chooses from one line to another, in both directions', () => {
    const chosen = new Chosen();
    chosen.toggle('d', 3);
    chosen.upTo(1, lineAt);
    expect(lines.filter((id) => chosen.has(id))).toEqual(['b', 'c', 'd']);
    chosen.upTo(2, lineAt);
    expect(lines.filter((id) => chosen.has(id))).toEqual(['d']);
  });

  it('passes over lines that are not read yet', () => {
    const chosen = new Chosen();
    chosen.toggle('a', 0);
    chosen.upTo(2, (at) => (at === 1 ? undefined : lineAt(at)));
    expect(lines.filter((id) => chosen.has(id))).toEqual(['a', 'c']);
  });

  it('chooses all of any number but for some', () => {
    const chosen = new Chosen();
    chosen.toggle('a', 0);
    chosen.chooseAll();
    chosen.toggle('c', 2);
    expect(chosen.number(100_000)).toBe(99_999);
    expect(chosen.has('c')).toBe(false);
    expect(chosen.choice('contact', narrowed)).toEqual({ kind: 'contact', all: true, ids: ['c'], narrowed });
    chosen.none();
    expect(chosen.choice('contact', narrowed)).toEqual({ kind: 'contact', all: false, ids: [], narrowed });
  });
});
