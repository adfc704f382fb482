import { describe, expect, it } from 'vitest';
import { bothClocks, onSameDay } from './bothClocks';

const places = { ours: 'London', theirs: 'Toronto' };

describe('an hour on both clocks', () => {
  it('says the day once where it is the same', () => {
    expect(bothClocks({ ours: 'Monday 4 May, 13:00', theirs: 'Monday 4 May, 08:00' }, places)).toBe(
      'Monday 4 May, 08:00 in Toronto, 13:00 in London',
    );
    expect(bothClocks({ ours: 'Tuesday 5 May, 03:00', theirs: 'Monday 4 May, 22:00' }, places)).toBe(
      'Monday 4 May, 22:00 in Toronto, Tuesday 5 May, 03:00 in London',
    );
  });

  it('says one where the clocks say the same', () => {
    expect(bothClocks({ ours: 'Monday 4 May, 08:00', theirs: 'Monday 4 May, 08:00' }, places)).toBe(
      'Monday 4 May, 08:00',
    );
    expect(onSameDay('Monday 4 May, 08:00', 'Monday 14 May, 08:00')).toBe('Monday 4 May, 08:00');
  });
});
