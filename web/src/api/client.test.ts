import { afterEach, expect, it, vi } from 'vitest';
import { ask, fieldsOf, Problem } from './client';

afterEach(() => vi.unstubAllGlobals());

function answering(status: number, body: unknown) {
  const fetched = vi.fn((address: string, options?: RequestInit) => {
    void address;
    void options;
    return Promise.resolve(new Response(JSON.stringify(body), { status }));
  });
  vi.stubGlobal('fetch', fetched);
  return fetched;
}

it('fills the path, leaves empty questions out and sends the token', async () => {
  document.cookie = 'XSRF-TOKEN=a%2Bb';
  const fetched = answering(200, { id: '1' });
  await ask('get', '/api/records/{kind}', { params: { kind: 'contact' }, query: { search: '', from: 0 } });
  await ask('delete', '/api/templates/{id}', { params: { id: 'a/b' } });
  expect(fetched.mock.calls[0][0]).toBe('/api/records/contact?from=0');
  expect(fetched.mock.calls[1][0]).toBe('/api/templates/a%2Fb');
  expect(new Headers(fetched.mock.calls[1][1]?.headers).get('X-XSRF-TOKEN')).toBe('a+b');
});

it('turns a no into a problem with its fields', async () => {
  answering(422, { code: 'fields', detail: 'No.', fields: { name: 'No.' } });
  const failure = await ask('get', '/api/team').catch((one) => one);
  expect(failure).toBeInstanceOf(Problem);
  expect(fieldsOf(failure)).toEqual({ name: 'No.' });
});

it('says so when there is no line', async () => {
  vi.stubGlobal('fetch', () => Promise.reject(new TypeError('failed')));
  const failure = await ask('get', '/api/team').catch((one) => one);
  expect(failure.code).toBe('offline');
});
