import { describe, expect, it } from 'vitest';
import { difference, Steps } from './steps';

describe('the changes of a draft', () => {
  it('finds what differs', () => {
    expect(difference('abc', 'abXc')).toEqual({ at: 2, out: '', into: 'X' });
    expect(difference('aaaa', 'aa')).toEqual({ at: 2, out: 'aa', into: '' });
    expect(difference('', '')).toEqual({ at: 0, out: '', into: '' });
  });

  it('takes typing back as one, and does it again', () => {
    const steps = new Steps();
    let text = '';
    for (const [at, letter] of [...'Hello'].entries()) {
      steps.add({ body: text }, { body: text + letter }, at * 100, false);
      text += letter;
    }
    steps.add({ body: text }, { body: `${text}!` }, 5000, false);
    expect(steps.back({ body: 'Hello!' })).toEqual({ body: 'Hello' });
    expect(steps.back({ body: 'Hello' })).toEqual({ body: '' });
    expect(steps.back({ body: '' })).toBeNull();
    expect(steps.forth({ body: '' })).toEqual({ body: 'Hello' });
    expect(steps.forth({ body: 'Hello' })).toEqual({ body: 'Hello!' });
    expect(steps.canRedo).toBe(false);
  });

  it('keeps whole changes apart from typing, and values that are no text', () => {
    const steps = new Steps();
    steps.add({ design: 'ab' }, { design: 'abc' }, 0, true);
    steps.add({ design: 'abc' }, { design: 'abcd' }, 1, false);
    steps.add({ houseStyle: null, header: 'a' }, { houseStyle: 'x', header: '' }, 2, true);
    expect(steps.back({ houseStyle: 'x', header: '' })).toEqual({ houseStyle: null, header: 'a' });
    expect(steps.back({ design: 'abcd' })).toEqual({ design: 'abc' });
    expect(steps.back({ design: 'abc' })).toEqual({ design: 'ab' });
  });

  it('goes on after a reload, and forgets what no longer fits', () => {
    const steps = new Steps();
    steps.add({ body: 'one' }, { body: 'one two' }, 0, true);
    const again = new Steps(steps.toKeep(10_000));
    expect(again.back({ body: 'one two' })).toEqual({ body: 'one' });
    const other = new Steps(steps.toKeep(10_000));
    expect(other.back({ body: 'something else' })).toBeNull();
    expect(other.canUndo).toBe(false);
  });

  it('takes back whatever was done, however it came', () => {
    let seed = 7;
    const random = (below: number) => (seed = (seed * 1103515245 + 12345) % 2147483648) % below;
    const steps = new Steps();
    let text = 'begin';
    for (let i = 0; i < 300; i++) {
      const at = random(text.length + 1);
      const next = text.slice(0, at) + 'xyz'.slice(0, random(4)) + text.slice(at + random(3));
      steps.add({ body: text }, { body: next }, i * random(900), random(5) === 0);
      text = next;
    }
    const end = text;
    for (let back = steps.back({ body: text }); back; back = steps.back({ body: text }))
      text = String(back.body);
    expect(text).toBe('begin');
    for (let on = steps.forth({ body: text }); on; on = steps.forth({ body: text })) text = String(on.body);
    expect(text).toBe(end);
  });

  it('leaves out the oldest when there is no room', () => {
    const steps = new Steps();
    for (let i = 0; i < 100; i++)
      steps.add({ body: 'a'.repeat(i) }, { body: 'a'.repeat(i + 1) }, i * 1000, true);
    expect(steps.toKeep(2000).length).toBeLessThanOrEqual(2000);
    expect(new Steps(steps.toKeep(2000)).back({ body: 'a'.repeat(100) })).toEqual({ body: 'a'.repeat(99) });
  });
});
