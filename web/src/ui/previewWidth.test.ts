import { expect, it } from 'vitest';
import { rested, stepped, stopAt, STOPS } from './previewWidth';

it('rests on a stop that is near, and nowhere else', () => {
  expect(rested(STOPS.tablet + 14)).toBe(STOPS.tablet);
  expect(rested(STOPS.tablet - 14)).toBe(STOPS.tablet);
  expect(rested(STOPS.tablet - 15)).toBe(STOPS.tablet - 15);
  expect(rested(500.4)).toBe(500);
});

it('stays between a phone and a wide screen', () => {
  expect(rested(12)).toBe(STOPS.phone);
  expect(rested(5000)).toBe(STOPS.wide);
  expect(stepped(STOPS.phone, -10)).toBe(STOPS.phone);
  expect(stepped(STOPS.wide, 10)).toBe(STOPS.wide);
  expect(stepped(STOPS.tablet, 10)).toBe(STOPS.tablet + 10);
});

it('knows its stops by their widths', () => {
  expect(stopAt(STOPS.phone)).toBe('phone');
  expect(stopAt(STOPS.phone + 1)).toBeNull();
});
