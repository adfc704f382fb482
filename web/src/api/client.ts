import type { components, paths } from './generated/schema';

/** The shapes of the server's answers, by their names in its description. */
export type Schemas = components['schemas'];

type Method = 'get' | 'post' | 'put' | 'patch' | 'delete';
type Operation<P extends keyof paths, M extends Method> = M extends keyof paths[P] ? paths[P][M] : never;
type Answer<O> = O extends { responses: { 200: { content: { 'application/json': infer A } } } } ? A : void;
type Body<O> = O extends { requestBody: { content: { 'application/json': infer B } } } ? B : undefined;
type Having<P extends keyof paths, M extends Method> = Operation<P, M> extends never | undefined ? never : P;

/** Why a request was not done, in a sentence; `fields` says which fields are to blame. */
export class Problem extends Error {
  constructor(
    readonly code: string,
    sentence: string,
    readonly fields: Record<string, string> = {},
    readonly status = 0,
  ) {
    super(sentence);
  }
}

/** The sentence of whatever was thrown. */
export function sentence(failure: unknown): string {
  return failure instanceof Error ? failure.message : 'Something went wrong. Try again.';
}

/** What fields are to blame for whatever was thrown. */
export function fieldsOf(failure: unknown): Record<string, string> {
  return failure instanceof Problem ? failure.fields : {};
}

interface Given<B> {
  /** Values for the places in the path. */
  params?: Record<string, string | number>;
  query?: Record<string, string | number | boolean | null | undefined>;
  body?: B;
  signal?: AbortSignal;
}

function token(): string {
  const cookie = document.cookie.split('; ').find((one) => one.startsWith('XSRF-TOKEN='));
  return cookie ? decodeURIComponent(cookie.slice('XSRF-TOKEN='.length)) : '';
}

function address(path: string, given: Given<unknown>): string {
  const filled = path.replace(/\{(\w+)\}/g, (_, name) => encodeURIComponent(String(given.params?.[name])));
  const query = new URLSearchParams();
  for (const [name, value] of Object.entries(given.query ?? {})) {
    if (value !== null && value !== undefined && value !== '') query.set(name, String(value));
  }
  return query.size ? `${filled}?${query}` : filled;
}

async function problem(response: Response): Promise<Problem> {
  const said = await response.json().catch(() => ({}));
  if (response.status === 401) window.dispatchEvent(new CustomEvent('famulus:signed-out'));
  return new Problem(
    said.code ?? 'failed',
    said.detail ?? (response.status === 401 ? 'Sign in again.' : 'Something went wrong. Try again.'),
    said.fields ?? {},
    response.status,
  );
}

/** Asks the server; throws a {@link Problem} when it says no, or code `offline` when it can't be reached. */
export async function ask<M extends Method, P extends keyof paths>(
  method: M,
  path: Having<P, M>,
  given: Given<Body<Operation<P, M>>> = {},
): Promise<Answer<Operation<P, M>>> {
  let response: Response;
  try {
    response = await fetch(address(path as string, given), {
      method: method.toUpperCase(),
      signal: given.signal,
      headers: {
        Accept: 'application/json',
        ...(method === 'get' ? {} : { 'X-XSRF-TOKEN': token() }),
        ...(given.body === undefined ? {} : { 'Content-Type': 'application/json' }),
      },
      body: given.body === undefined ? undefined : JSON.stringify(given.body),
    });
  } catch (failure) {
    if (failure instanceof DOMException && failure.name === 'AbortError') throw failure;
    throw new Problem('offline', 'There is no connection to the server.');
  }
  if (!response.ok) throw await problem(response);
  const text = await response.text();
  return (text ? JSON.parse(text) : undefined) as Answer<Operation<P, M>>;
}

/** Asks for a file, and hands it to the browser under a name. */
export async function download(path: keyof paths, body: unknown, name: string): Promise<void> {
  let response: Response;
  try {
    response = await fetch(path, {
      method: 'POST',
      headers: { 'X-XSRF-TOKEN': token(), 'Content-Type': 'application/json' },
      body: JSON.stringify(body),
    });
  } catch {
    throw new Problem('offline', 'There is no connection to the server.');
  }
  if (!response.ok) throw await problem(response);
  const link = document.createElement('a');
  link.href = URL.createObjectURL(await response.blob());
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 60_000);
}

/** Sends a file as it is. */
export async function send(path: string, file: Blob): Promise<void> {
  await sent(path, file);
}

/** Sends a file as it is, and returns what was made of it. */
export async function bring<A>(path: string, file: Blob): Promise<A> {
  return (await (await sent(path, file)).json()) as A;
}

/** Sends a file after a line that says what is to be done with it, and returns what was made of it. */
export const bringWith = <A>(path: string, file: Blob, wanted: unknown): Promise<A> =>
  bring<A>(path, new Blob([JSON.stringify(wanted), '\n', file]));

async function sent(path: string, file: Blob): Promise<Response> {
  let response: Response;
  try {
    response = await fetch(path, {
      method: 'POST',
      headers: { 'X-XSRF-TOKEN': token(), 'Content-Type': 'application/octet-stream' },
      body: file,
    });
  } catch {
    throw new Problem('offline', 'There is no connection to the server.');
  }
  if (!response.ok) throw await problem(response);
  return response;
}

/** Asks for an answer that comes a line at a time, each a JSON value; stops when `signal` says so. */
export async function* lines(
  path: keyof paths,
  body: unknown,
  signal?: AbortSignal,
  params: Record<string, string> = {},
): AsyncGenerator<unknown> {
  let response: Response;
  try {
    response = await fetch(address(path, { params }), {
      method: 'POST',
      signal,
      headers: { 'X-XSRF-TOKEN': token(), 'Content-Type': 'application/json' },
      body: JSON.stringify(body),
    });
  } catch (failure) {
    if (failure instanceof DOMException && failure.name === 'AbortError') throw failure;
    throw new Problem('offline', 'There is no connection to the server.');
  }
  if (!response.ok || !response.body) throw await problem(response);
  const decoder = new TextDecoder();
  const reader = response.body.getReader();
  let rest = '';
  for (let part = await reader.read(); !part.done; part = await reader.read()) {
    const read = (rest + decoder.decode(part.value, { stream: true })).split('\n');
    rest = read.pop()!;
    for (const line of read) yield JSON.parse(line);
  }
  if (rest) throw new Problem('failed', 'The answer broke off. Try again.');
}
