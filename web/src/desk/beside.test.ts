import { beforeEach, describe, expect, it, vi } from 'vitest';
import { ask } from '../api/client';
import { Beside } from './beside.svelte';

vi.mock('../api/client', () => ({
  ask: vi.fn(),
  sentence: (failure: Error) => failure.message,
}));

const asked = vi.mocked(ask as (...all: unknown[]) => Promise<unknown>);
const person = { kind: 'contact' as const, id: 'ines', deal: null };

/** Templates answer with their name as subject, and proofs with whom they were made for. */
function answer(
  path: string,
  how: { params?: { id: string }; body?: { draft: { subject: string }; id: string } },
) {
  return path === '/api/templates/{id}'
    ? { template: { subject: how.params!.id, kind: 'TEMPLATE' } }
    : { said: `${how.body!.draft.subject} for ${how.body!.id}` };
}

describe('the same template in another language', () => {
  beforeEach(() => {
    asked.mockReset();
    asked.mockImplementation((_, path, how) => Promise.resolve(answer(path as string, how as never)));
  });

  it('is proved for the same person', async () => {
    const beside = new Beside();
    await beside.show('german', person);
    expect(beside.proof).toEqual({ said: 'german for ines' });
    expect(asked.mock.calls[1][2]).toMatchObject({
      body: { template: 'german', kind: 'contact', deal: null },
    });
  });

  it('is gone when nothing is to stand beside', async () => {
    const beside = new Beside();
    await beside.show('german', person);
    await beside.show(null, person);
    expect(beside.proof).toBeNull();
  });

  it('is the one asked for last, whichever answer comes first', async () => {
    let late: (value: unknown) => void = () => undefined;
    asked.mockImplementationOnce(() => new Promise((done) => (late = done)));
    const beside = new Beside();
    const first = beside.show('german', person);
    await beside.show('french', person);
    late({ template: { subject: 'german' } });
    await first;
    expect(beside.proof).toEqual({ said: 'french for ines' });
  });

  it('stays as it was, and says so, when it can’t be read', async () => {
    const beside = new Beside();
    await beside.show('german', person);
    asked.mockRejectedValueOnce(new Error('The line is broken.'));
    await beside.show('german', person);
    expect(beside.failed).toBe('The line is broken.');
    expect(beside.proof).toEqual({ said: 'german for ines' });
    await beside.show('french', person);
    expect(beside.failed).toBe('');
  });
});
