import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { gathered } from './changes';

beforeEach(() => {
  vi.useFakeTimers();
});
afterEach(() => {
  vi.useRealTimers();
});

test('the first change is read at once, those after it together', async () => {
  const run = vi.fn(() => Promise.resolve());
  const changed = gathered(run);
  changed();
  expect(run).toHaveBeenCalledTimes(1);
  for (let i = 0; i < 50; i++) changed();
  expect(run).toHaveBeenCalledTimes(1);
  await vi.advanceTimersByTimeAsync(400);
  expect(run).toHaveBeenCalledTimes(2);
  await vi.advanceTimersByTimeAsync(2000);
  expect(run).toHaveBeenCalledTimes(2);
});

test('nothing is read while a reading is on its way', async () => {
  let done = () => {};
  const run = vi.fn(() => new Promise<void>((resolve) => (done = resolve)));
  const changed = gathered(run);
  changed();
  changed();
  await vi.advanceTimersByTimeAsync(5000);
  expect(run).toHaveBeenCalledTimes(1);
  done();
  await vi.advanceTimersByTimeAsync(400);
  expect(run).toHaveBeenCalledTimes(2);
});
