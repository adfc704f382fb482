import { afterEach, expect, it, vi } from 'vitest';
import { ImportWork } from './importWork.svelte';

afterEach(() => vi.unstubAllGlobals());

/** Answers requests by the end of their address. */
function server(answers: Record<string, () => Promise<Response> | Response>) {
  vi.stubGlobal('fetch', (address: string, given: RequestInit) => {
    const end = address.split('/').at(-1)!;
    return new Promise<Response>((resolve, reject) => {
      given.signal?.addEventListener('abort', () => reject(new DOMException('stopped', 'AbortError')));
      void Promise.resolve(answers[end]()).then(resolve, reject);
    });
  });
}

const lines = (...all: object[]) =>
  new Response(all.map((one) => JSON.stringify(one) + '\n').join(''), { status: 200 });
const choices = { all: 'SKIP', some: {} } as const;
const imported = { added: 3, updated: 0, skipped: 0, faulty: 0 };

it('comes to its end', async () => {
  server({ run: () => lines({ read: 500 }, { read: 0, result: { added: 3 } }) });
  const work = new ImportWork();
  expect(await work.do('1', 'run', choices)).toEqual({ added: 3 });
  expect(work.read).toBe(500);
  expect(work.doing).toBeNull();
});

it('says what the server says', async () => {
  server({ check: () => lines({ read: 500 }, { read: 0, failed: 'A sentence.' }) });
  const work = new ImportWork();
  expect(await work.do('1', 'check', choices)).toBeNull();
  expect(work.failed).toBe('A sentence.');
});

it.each([
  [null, true],
  [imported, false],
])('knows of a stopped import what the server knows: %j', async (done, stopped) => {
  server({ run: () => new Promise(() => {}), ended: () => Response.json({ id: '1', done }) });
  const work = new ImportWork();
  const doing = work.do('1', 'run', choices);
  work.stop();
  await doing;
  expect(work.unsure).toBe(true);
  expect(work.stopped).toBe(false);
  expect((await work.settle('1'))?.done).toEqual(done);
  expect(work.stopped).toBe(stopped);
  expect(work.unsure).toBe(false);
});

it('is not sure where nobody answers', async () => {
  server({ run: () => lines({ read: 500 }), ended: () => Promise.reject(new TypeError('offline')) });
  const work = new ImportWork();
  expect(await work.do('1', 'run', choices)).toBeNull();
  expect(await work.settle('1')).toBeNull();
  expect(work.unsure).toBe(true);
  expect(work.stopped).toBe(false);
});

it('needs nobody to say how a stopped check ended', async () => {
  server({ check: () => new Promise(() => {}) });
  const work = new ImportWork();
  const doing = work.do('1', 'check', choices);
  work.stop();
  await doing;
  expect(work.stopped).toBe(true);
});
