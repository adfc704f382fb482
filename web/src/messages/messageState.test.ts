import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { ask, Problem } from '../api/client';
import { readDraft } from '../desk/keptDrafts';
import { isKeptMessage } from './keptMessage';
import { MessageState } from './messageState.svelte';

vi.mock('../api/client', async (original) => ({
  ...(await original<typeof import('../api/client')>()),
  ask: vi.fn(),
}));

const asked = vi.mocked(ask as (method: string, path: string, rest: never) => Promise<unknown>);
const KEY = 'famulus.draft.message.contact.ines';
const WORDS = {
  about: 'CONTACT',
  subject: 'Hives',
  previewText: '',
  body: 'Dear Ines',
  mode: 'PLAIN',
  design: '',
};
const PROOF = {
  person: { addresses: [], deal: '' },
  subject: { chips: [], pieces: [] },
  previewText: { chips: [], pieces: [] },
  body: { chips: [], pieces: [] },
};

/** What the server answers to keeping a draft. */
let keeping: () => Promise<{ version: number }>;
let kept: { version: number; message: { words: { body: string } } }[];

function begun(): MessageState {
  return new MessageState(KEY, {
    template: 'call',
    kind: 'contact',
    person: 'ines',
    deal: null,
    address: null,
    sender: null,
    after: null,
    wishes: null,
  });
}

const READ = {
  proof: PROOF,
  hand: { values: [], changes: [], newer: [] },
  stops: [],
  templateChanged: false,
};

describe('a message that is being written', () => {
  beforeEach(() => {
    vi.useFakeTimers();
    localStorage.clear();
    kept = [];
    keeping = () => Promise.resolve({ version: kept.length });
    asked.mockImplementation((method, path, rest) => {
      if (path === '/api/messages/begin')
        return Promise.resolve({ words: WORDS, read: READ, senderId: 'signe' });
      if (path === '/api/messages/proof') return Promise.resolve(READ);
      if (path === '/api/message-drafts/{id}' && method === 'put') {
        kept.push((rest as { body: (typeof kept)[number] }).body);
        return keeping();
      }
      if (path === '/api/messages/settle') {
        return Promise.resolve({ ...WORDS, body: 'Dear Ines, 48 hives' });
      }
      return Promise.resolve([]);
    });
  });

  afterEach(() => vi.useRealTimers());

  it('needs no second answer to be read when it is begun, but for the subject of a conversation', async () => {
    asked.mockClear();
    const message = begun();
    await message.begin();
    expect(message.preview.proof).toMatchObject(PROOF);
    expect(asked.mock.calls.map(([, path]) => path)).not.toContain('/api/messages/proof');
    await message.begin(null, 'Re: Hives');
    expect(asked.mock.calls.map(([, path]) => path)).toContain('/api/messages/proof');
  });

  it('begins with what was looked at just before, unless that failed, was long ago, or was for somebody else', async () => {
    const begins = () => asked.mock.calls.filter(([, path]) => path === '/api/messages/begin').length;
    asked.mockClear();
    let message = begun();
    await message.look('call');
    await message.begin();
    expect(begins()).toBe(1);
    expect(message.draft?.body).toBe(WORDS.body);
    await message.begin();
    expect(begins()).toBe(2);

    message = begun();
    await message.look('call');
    message.envelope.person = 'tobias';
    await message.begin();
    expect(begins()).toBe(4);

    message = begun();
    await message.look('call');
    await vi.advanceTimersByTimeAsync(11_000);
    await message.begin();
    expect(begins()).toBe(6);

    message = begun();
    asked.mockImplementationOnce(() => Promise.reject(new Problem('offline', 'There is no connection.')));
    await expect(message.look('call')).rejects.toThrow('no connection');
    await message.begin();
    expect(begins()).toBe(8);
  });

  it('is kept here with every change and on the server at a pause', async () => {
    const message = begun();
    await message.begin();
    message.change({ body: 'Dear Ines, h' });
    message.change({ body: 'Dear Ines, hello' });
    expect(readDraft(KEY, isKeptMessage)).toMatchObject({ unsent: true, version: 0 });
    expect(kept).toHaveLength(0);

    await vi.advanceTimersByTimeAsync(1000);

    expect(kept.map(({ version, message: { words } }) => [version, words.body])).toEqual([
      [0, 'Dear Ines, hello'],
    ]);
    expect(message.keeping).toBe('kept');
    expect(readDraft(KEY, isKeptMessage)).toMatchObject({ unsent: false, version: 1 });
  });

  it('keeps what was written while the answer was on its way', async () => {
    const message = begun();
    await message.begin();
    let answer: (kept: { version: number }) => void = () => {};
    keeping = () => new Promise((done) => (answer = done));
    message.change({ body: 'one' });
    await vi.advanceTimersByTimeAsync(700);
    message.change({ body: 'two' });
    answer({ version: 1 });
    keeping = () => Promise.resolve({ version: 2 });
    await vi.advanceTimersByTimeAsync(2000);
    expect(kept.map(({ version, message: { words } }) => [version, words.body])).toEqual([
      [0, 'one'],
      [1, 'two'],
    ]);
    expect(message.keeping).toBe('kept');
  });

  it('overwrites nothing that another window has kept', async () => {
    const message = begun();
    await message.begin();
    keeping = () =>
      Promise.reject(new Problem('changed-meanwhile', 'This draft was changed in another window.'));
    message.change({ body: 'mine' });
    await vi.advanceTimersByTimeAsync(700);
    expect(message.keeping).toBe('elsewhere');
    message.change({ body: 'mine too' });
    await vi.advanceTimersByTimeAsync(5000);
    expect(kept).toHaveLength(1);
  });

  it('tries again when the line is back', async () => {
    const message = begun();
    await message.begin();
    keeping = () => Promise.reject(new Problem('offline', 'There is no connection.'));
    message.change({ body: 'from the train' });
    await vi.advanceTimersByTimeAsync(700);
    expect(message.keeping).toBe('unkept');
    keeping = () => Promise.resolve({ version: 1 });
    await vi.advanceTimersByTimeAsync(4000);
    expect(message.keeping).toBe('kept');
  });

  it('takes back a change, and a field that became words with it', async () => {
    const message = begun();
    await message.begin();
    message.change({ body: 'Dear Ines, {deal.hives}' }, true);
    await message.settle();
    expect(message.draft?.body).toBe('Dear Ines, 48 hives');
    expect(message.goBack(-1)).toBe(true);
    expect(message.draft?.body).toBe('Dear Ines, {deal.hives}');
    message.goBack(-1);
    expect(message.draft?.body).toBe('Dear Ines');
    expect(message.goBack(-1)).toBe(false);
  });

  it('is left to the server when it is put aside, and not before the server has it', async () => {
    const message = begun();
    await message.begin();
    message.change({ body: 'for some other time' });
    keeping = () => Promise.reject(new Problem('offline', 'There is no connection.'));
    expect(await message.putAside()).toBe(false);
    expect(localStorage.length).toBe(1);
    keeping = () => Promise.resolve({ version: 1 });
    expect(await message.putAside()).toBe(true);
    expect(localStorage.length).toBe(0);
  });

  it('knows what the server has of it though its page was left at once', async () => {
    const message = begun();
    await message.begin();
    message.change({ body: 'half a sen' });
    message.close();
    await vi.advanceTimersByTimeAsync(100);
    expect(readDraft(KEY, isKeptMessage)).toMatchObject({ unsent: false, version: 1 });
  });

  it('begins another draft when it is merged anew', async () => {
    const message = begun();
    await message.begin();
    message.change({ body: 'mine' });
    await vi.advanceTimersByTimeAsync(1000);
    const before = message.draftId;
    await message.begin();
    message.moved();
    await vi.advanceTimersByTimeAsync(1000);
    expect(message.draftId).not.toBe(before);
    expect(kept.map(({ version }) => version)).toEqual([0, 0]);
    expect(asked).toHaveBeenCalledWith('delete', '/api/message-drafts/{id}', { params: { id: before } });
  });

  it('is begun anew without asking only while it says what it was begun with', async () => {
    const message = begun();
    await message.begin();
    expect(message.untouched()).toBe(true);
    message.change({ design: '{}' });
    expect(message.untouched()).toBe(false);
    await message.begin();
    expect(message.untouched()).toBe(true);
    message.goOn(readDraft(KEY, isKeptMessage)!);
    expect(message.untouched()).toBe(false);
  });

  it('is not begun anew over what was typed meanwhile', async () => {
    const message = begun();
    await message.begin();
    const anew = message.beginUntouched();
    message.change({ body: 'Dear Ines, hello' });
    expect(await anew).toBe(false);
    expect(message.draft?.body).toBe('Dear Ines, hello');
    await message.begin(null, 'Re: Hives');
    expect(await message.beginUntouched('Re: Hives')).toBe(true);
    expect(message.draft?.subject).toBe('Re: Hives');
  });

  it('leaves nothing behind once it is sent', async () => {
    const message = begun();
    await message.begin();
    message.change({ body: 'Dear Ines, hello' });
    message.sent();
    await vi.advanceTimersByTimeAsync(5000);
    expect(localStorage.length).toBe(0);
    expect(kept).toHaveLength(0);
  });
});
