import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { ask, type Schemas } from '../api/client';
import { StopsWatch } from './stopsWatch.svelte';

vi.mock('../api/client', () => ({ ask: vi.fn() }));

const asked = vi.mocked(ask as (...all: unknown[]) => Promise<unknown>);
const GAP = { code: 'gap', part: 'BODY', title: 'A value is missing' } as Schemas['Stop'];
const SUBJECT = { code: 'no-subject', part: 'SUBJECT', title: 'There is no subject' } as Schemas['Stop'];
const MESSAGE = { id: 'one' } as unknown as Schemas['MessageToSend'];

describe('what stops a message', () => {
  beforeEach(() => {
    vi.useFakeTimers();
    asked.mockReset();
  });
  afterEach(() => vi.useRealTimers());

  it('is asked for once nothing has changed for a moment', async () => {
    asked.mockResolvedValue([GAP, SUBJECT]);
    const watch = new StopsWatch(() => MESSAGE);
    for (let key = 0; key < 5; key++) {
      watch.changed();
      await vi.advanceTimersByTimeAsync(100);
    }
    expect(asked).not.toHaveBeenCalled();
    await vi.advanceTimersByTimeAsync(300);

    expect(asked).toHaveBeenCalledOnce();
    expect(asked.mock.calls[0][2]).toEqual({ body: MESSAGE });
    expect(watch.stops).toEqual([GAP, SUBJECT]);
    expect(watch.about('SUBJECT')).toEqual([SUBJECT]);
  });

  it('is what the newest answer says', async () => {
    let late: (stops: unknown) => void = () => undefined;
    asked.mockImplementationOnce(() => new Promise((done) => (late = done)));
    asked.mockResolvedValueOnce([SUBJECT]);
    const watch = new StopsWatch(() => MESSAGE);
    watch.changed();
    await vi.advanceTimersByTimeAsync(400);
    watch.changed();
    await vi.advanceTimersByTimeAsync(400);
    late([GAP]);
    await vi.advanceTimersByTimeAsync(0);

    expect(watch.stops).toEqual([SUBJECT]);
  });

  it('is not known without an answer', async () => {
    asked.mockResolvedValueOnce([GAP]);
    asked.mockRejectedValueOnce(new Error('The line is broken.'));
    const watch = new StopsWatch(() => MESSAGE);
    watch.changed();
    await vi.advanceTimersByTimeAsync(400);
    expect(watch.stops).toEqual([GAP]);
    watch.changed();
    await vi.advanceTimersByTimeAsync(400);
    expect(watch.stops).toEqual([]);
  });

  it('is not asked for while there is no message', async () => {
    const watch = new StopsWatch(() => null);
    watch.changed();
    await vi.advanceTimersByTimeAsync(400);
    expect(asked).not.toHaveBeenCalled();
  });
});
