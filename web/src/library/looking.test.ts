import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../api/client';
import { Looking } from './looking.svelte';

const proof = (words: number) => ({ words }) as Schemas['ShownProof'];
const rest = () => vi.advanceTimersByTimeAsync(200);

describe('what is looked at beside a list', () => {
  beforeEach(() => void vi.useFakeTimers());
  afterEach(() => void vi.useRealTimers());

  it('is asked for once one rests', async () => {
    const looking = new Looking();
    const passed = vi.fn(() => Promise.resolve(proof(1)));
    looking.at(passed);
    looking.at(() => Promise.resolve(proof(2)));
    await rest();
    expect(passed).not.toHaveBeenCalled();
    expect(looking.proof?.words).toBe(2);
  });

  it('is the last one, whichever answer comes first', async () => {
    const looking = new Looking();
    let late: (read: Schemas['ShownProof']) => void = () => {};
    looking.at(() => new Promise((done) => (late = done)));
    await rest();
    looking.at(() => Promise.resolve(proof(2)));
    await rest();
    late(proof(1));
    await rest();
    expect(looking.proof?.words).toBe(2);
  });

  it('is nothing where it can’t be read, and says why', async () => {
    const looking = new Looking();
    const failed = vi.fn();
    looking.at(() => Promise.reject(new Error('gone')), failed);
    await rest();
    expect(looking.proof).toBeNull();
    expect(failed).toHaveBeenCalledOnce();
  });
});
