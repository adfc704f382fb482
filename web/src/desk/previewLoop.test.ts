import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../api/client';
import { PreviewLoop, type Previewed } from './previewLoop.svelte';
import { proofOf } from './proofOf';

vi.mock('../api/client', () => ({ ask: vi.fn(), sentence: (failure: Error) => failure.message }));
vi.mock('./proofOf', () => ({ proofOf: vi.fn() }));

const proofs = vi.mocked(proofOf as (...all: unknown[]) => Promise<unknown>);
/** Answers that are on their way. */
let waiting: { body: string; done: (proof: unknown) => void; fail: (failure: Error) => void }[];

const part = (written = '') => ({ chips: written ? [{ written }] : [], pieces: [] });
const proof = (said: string, written = '') => ({
  said,
  subject: part(),
  previewText: part(),
  body: part(written),
});

const settled = () => new Promise((done) => setTimeout(done));

describe('the preview of a draft', () => {
  let words: string;
  const now = () =>
    ({ draft: { body: words }, template: 'one', person: { id: 'ines' } }) as unknown as Previewed;

  beforeEach(() => {
    waiting = [];
    words = 'Dear';
    proofs.mockReset();
    proofs.mockImplementation(
      (draft) =>
        new Promise((done, fail) => waiting.push({ body: (draft as { body: string }).body, done, fail })),
    );
  });

  it('is asked for once at a time, and then with the newest words', async () => {
    const loop = new PreviewLoop(now);
    loop.ask();
    for (const next of ['Dear I', 'Dear In', 'Dear Ines']) {
      words = next;
      loop.ask();
    }
    expect(waiting.map((one) => one.body)).toEqual(['Dear']);
    waiting[0].done(proof('first'));
    await settled();

    expect(loop.proof).toMatchObject({ said: 'first' });
    expect(waiting.map((one) => one.body)).toEqual(['Dear', 'Dear Ines']);
    waiting[1].done(proof('second'));
    await settled();
    expect(loop.proof).toMatchObject({ said: 'second' });
    expect(waiting).toHaveLength(2);
  });

  it('shows what is known already, and asks again where an older one is still on its way', async () => {
    const loop = new PreviewLoop(now);
    loop.take({ body: words } as Schemas['Draft'], proof('known') as unknown as Schemas['ShownProof']);
    expect(loop.proof).toMatchObject({ said: 'known' });
    expect(waiting).toHaveLength(0);

    loop.ask();
    words = 'Dear Ines';
    loop.take({ body: words } as Schemas['Draft'], proof('known') as unknown as Schemas['ShownProof']);
    waiting[0].done(proof('older'));
    await settled();
    expect(waiting.map((one) => one.body)).toEqual(['Dear', 'Dear Ines']);
  });

  it('tells of each with the draft that it was read from, and remembers the fields', async () => {
    const told: string[] = [];
    const loop = new PreviewLoop(now);
    loop.onproof = (draft: Schemas['Draft']) => told.push(draft.body);
    loop.ask();
    words = 'Dear {person.first_name}';
    waiting[0].done(proof('first', '{person.title}'));
    await settled();
    expect(told).toEqual(['Dear']);
    expect([...loop.met.keys()]).toEqual(['{person.title}']);
  });

  it('stays as it was, and says so, when there is no answer; the next one mends it', async () => {
    const loop = new PreviewLoop(now);
    loop.ask();
    waiting[0].done(proof('first'));
    await settled();
    loop.ask();
    waiting[1].fail(new Error('The line is broken.'));
    await settled();
    expect(loop.failed).toBe('The line is broken.');
    expect(loop.proof).toMatchObject({ said: 'first' });
    loop.ask();
    waiting[2].done(proof('third'));
    await settled();
    expect(loop.failed).toBe('');
  });

  it('is not asked for without a person, and no more once the desk is closed', async () => {
    const nobody = new PreviewLoop(() => null);
    nobody.ask();
    expect(waiting).toHaveLength(0);
    const loop = new PreviewLoop(now);
    loop.ask();
    loop.ask();
    loop.close();
    waiting[0].done(proof('first'));
    await settled();
    expect(waiting).toHaveLength(1);
  });
});
