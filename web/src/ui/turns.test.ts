import { describe, expect, it } from 'vitest';
import { Turns } from './turns';

describe('turns', () => {
  it('begins a piece of work when the one before has ended', async () => {
    const turns = new Turns();
    const done: string[] = [];
    let end = () => {};
    const first = turns.take(async () => {
      await new Promise<void>((resolve) => (end = resolve));
      done.push('first');
    });
    const second = turns.take(() => Promise.resolve(done.push('second')));
    await Promise.resolve();
    expect(done).toEqual([]);
    end();
    await Promise.all([first, second]);
    expect(done).toEqual(['first', 'second']);
  });

  it('goes on after a failure, which is told to whoever asked', async () => {
    const turns = new Turns();
    await expect(turns.take(() => Promise.reject(new Error('taken')))).rejects.toThrow('taken');
    expect(await turns.take(() => Promise.resolve(2))).toBe(2);
  });
});
