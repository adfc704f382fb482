import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { ask, Problem } from '../api/client';
import { DeskState } from './deskState.svelte';

vi.mock('../api/client', () => {
  class Problem extends Error {
    constructor(
      readonly code: string,
      message: string,
    ) {
      super(message);
    }
  }
  return {
    ask: vi.fn(),
    Problem,
    sentence: (failure: Error) => failure.message,
    fieldsOf: () => ({}),
  };
});

interface Call {
  way: string;
  path: string;
  body: Record<string, Record<string, string>> & { version?: number };
  done: (answer: unknown) => void;
  fail: (failure: unknown) => void;
}

const asked = vi.mocked(ask as (...all: unknown[]) => Promise<unknown>);
/** What the server has been asked to change and has not answered yet. */
let calls: Call[];

function template(subject: string, body: string, version: number) {
  return {
    id: 'one',
    name: 'Call',
    about: 'CONTACT',
    previewText: '',
    subject,
    body,
    version,
    changedAt: '2026-05-04T09:00:00Z',
    readyVersion: null,
    design: '',
  };
}

function draft(subject: string, body: string) {
  return { subject, body, design: '' };
}

async function opened(): Promise<DeskState> {
  const desk = new DeskState('one');
  await desk.open();
  return desk;
}

/** Lets the time pass after which a draft is kept, and everything that follows from it happen. */
async function later(milliseconds = 700): Promise<void> {
  await vi.advanceTimersByTimeAsync(milliseconds);
}

describe('a draft that is kept', () => {
  beforeEach(() => {
    vi.useFakeTimers();
    localStorage.clear();
    sessionStorage.clear();
    calls = [];
    asked.mockReset();
    asked.mockImplementation((way, path, how) => {
      if (way === 'get' && path === '/api/templates/{id}') {
        return Promise.resolve({
          template: template('Hives', 'Dear', 1),
          mayChange: true,
          lastTest: null,
          attached: [],
        });
      }
      if (way === 'get') return Promise.reject(new Error('nobody'));
      return new Promise((done, fail) =>
        calls.push({
          way: String(way),
          path: String(path),
          body: structuredClone((how as Call).body),
          done,
          fail,
        }),
      );
    });
  });

  afterEach(() => vi.useRealTimers());

  it('is sent once at a time, and again for what was written meanwhile', async () => {
    const desk = await opened();
    desk.change({ body: 'Dear I' });
    await later();
    desk.change({ body: 'Dear Inés' });
    await later(5000);
    expect(calls.map((call) => call.body.draft.body)).toEqual(['Dear I']);
    calls[0].done({ template: template('Hives', 'Dear I', 2) });
    await later();
    expect(calls.map((call) => [call.body.version, call.body.draft.body])).toEqual([
      [1, 'Dear I'],
      [2, 'Dear Inés'],
    ]);
    calls[1].done({ template: template('Hives', 'Dear Inés', 3) });
    await later();
    expect(desk.keeping.is).toBe('kept');
    expect(calls).toHaveLength(2);
  });

  it('keeps words that were written while two changes were brought together', async () => {
    const desk = await opened();
    desk.change({ body: 'Dear I' });
    await later();
    calls[0].fail(new Problem('changed-meanwhile', 'Oriel changed it.'));
    await later(0);
    desk.change({ body: 'Dear Inés' });
    calls[1].done({
      version: 2,
      theirs: draft('Bees', 'Dear'),
      mineFirst: draft('Bees', 'Dear I'),
      both: [],
    });
    await later(0);
    expect(calls[2].path).toContain('merge');
    expect(calls[2].body.mine.body).toBe('Dear Inés');
    calls[2].done({
      version: 2,
      theirs: draft('Bees', 'Dear'),
      mineFirst: draft('Bees', 'Dear Inés'),
      both: [],
    });
    await later(0);
    expect(desk.draft).toMatchObject({ subject: 'Bees', body: 'Dear Inés' });
  });

  it('brings in what was written after it was asked which words are to stand', async () => {
    const desk = await opened();
    desk.change({ subject: 'My hives' });
    await later();
    calls[0].fail(new Problem('changed-meanwhile', 'Oriel changed it.'));
    await later(0);
    const merged = { version: 2, by: 'Oriel', both: ['the subject'], theirs: draft('Bees', 'Dear') };
    calls[1].done({ ...merged, mineFirst: draft('My hives', 'Dear'), theirsFirst: draft('Bees', 'Dear') });
    await later(0);
    expect(desk.keeping).toMatchObject({ is: 'conflict', why: 'Oriel changed the subject too.' });

    desk.change({ body: 'Dear Inés' });
    await later();
    expect(calls).toHaveLength(2);
    const chosen = desk.choose(false);
    await later(0);
    expect(calls[2].body.mine).toMatchObject({ subject: 'My hives', body: 'Dear Inés' });
    calls[2].done({
      ...merged,
      mineFirst: draft('My hives', 'Dear Inés'),
      theirsFirst: draft('Bees', 'Dear Inés'),
    });
    await chosen;
    expect(desk.draft).toMatchObject({ subject: 'Bees', body: 'Dear Inés' });
    expect(desk.keeping.is).toBe('keeping');
  });

  it('is tried again when the line is back, with nothing lost by a reload meanwhile', async () => {
    const desk = await opened();
    desk.change({ body: 'Dear Inés' });
    await later();
    calls[0].fail(new Error('No line.'));
    await later(0);
    expect(desk.keeping).toEqual({ is: 'unkept', why: 'No line.' });
    desk.close();

    const again = await opened();
    expect(again.draft!.body).toBe('Dear Inés');
    await later();
    expect(calls[1].body.draft.body).toBe('Dear Inés');
    calls[1].done({ template: template('Hives', 'Dear Inés', 2) });
    await later(0);
    expect(again.keeping.is).toBe('kept');
  });
});
