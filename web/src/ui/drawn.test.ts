import { afterEach, expect, test, vi } from 'vitest';
import { drawn } from './drawn';

afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

/** Frames that are drawn one by one. */
function frames() {
  let waiting: (() => void)[] = [];
  vi.stubGlobal('requestAnimationFrame', (what: () => void) => waiting.push(what));
  return async () => {
    const now = waiting;
    waiting = [];
    now.forEach((what) => what());
    await Promise.resolve();
  };
}

test('waits for the second frame', async () => {
  const draw = frames();
  const then = vi.fn();
  void drawn().then(then);
  await draw();
  expect(then).not.toHaveBeenCalled();
  await draw();
  expect(then).toHaveBeenCalledOnce();
});

test('does not wait for ever where nothing is drawn', async () => {
  vi.useFakeTimers();
  frames();
  const then = vi.fn();
  void drawn().then(then);
  await vi.advanceTimersByTimeAsync(100);
  expect(then).toHaveBeenCalledOnce();
});
