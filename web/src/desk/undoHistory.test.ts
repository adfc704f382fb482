import { describe, expect, it } from 'vitest';
import { difference, UndoHistory } from './undoHistory';

describe('the changes of a draft', () => {
  it('finds what differs', () => {
    expect(difference('abc', 'abXc')).toEqual({ at: 2, out: '', into: 'X' });
    expect(difference('aaaa', 'aa')).toEqual({ at: 2, out: 'aa', into: '' });
    expect(difference('', '')).toEqual({ at: 0, out: '', into: '' });
  });

  it('takes typing back as one, and does it again', () => {
    const steps = new UndoHistory();
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
    const steps = new UndoHistory();
    steps.add({ design: 'ab' }, { design: 'abc' }, 0, true);
    steps.add({ design: 'abc' }, { design: 'abcd' }, 1, false);
    steps.add({ houseStyle: null, header: 'a' }, { houseStyle: 'x', header: '' }, 2, true);
    expect(steps.back({ houseStyle: 'x', header: '' })).toEqual({ houseStyle: null, header: 'a' });
    expect(steps.back({ design: 'abcd' })).toEqual({ design: 'abc' });
    expect(steps.back({ design: 'abc' })).toEqual({ design: 'ab' });
  });

  it('goes on after a reload, and forgets what no longer fits', () => {
    const steps = new UndoHistory();
    steps.add({ body: 'one' }, { body: 'one two' }, 0, true);
    const again = new UndoHistory(steps.toKeep(10_000, {}));
    expect(again.back({ body: 'one two' })).toEqual({ body: 'one' });
    const other = new UndoHistory(steps.toKeep(10_000, {}));
    expect(other.back({ body: 'something else' })).toBeNull();
    expect(other.canUndo).toBe(false);
  });

  it('takes back whatever was done, however it came', () => {
    let seed = 7;
    const random = (below: number) => (seed = (seed * 1103515245 + 12345) % 2147483648) % below;
    const steps = new UndoHistory();
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
    const steps = new UndoHistory();
    for (let i = 0; i < 100; i++)
      steps.add({ body: 'a'.repeat(i) }, { body: 'a'.repeat(i + 1) }, i * 1000, true);
    expect(steps.toKeep(2000, {}).length).toBeLessThanOrEqual(2000);
    expect(new UndoHistory(steps.toKeep(2000, {})).back({ body: 'a'.repeat(100) })).toEqual({
      body: 'a'.repeat(99),
    });
  });

  it('goes on after a reload on which a colleague’s change came in', () => {
    const steps = new UndoHistory();
    steps.add({ body: 'one two' }, { body: 'one and a half two' }, 0, true);
    const again = new UndoHistory(steps.toKeep(10_000, { body: 'one and a half two' }));
    again.goOn({ body: 'zero one and a half two three' });
    expect(again.back({ body: 'zero one and a half two three' })).toEqual({ body: 'zero one two three' });
  });
});

describe('steps and what a colleague changes', () => {
  it('take back what was done elsewhere, and do it again', () => {
    const steps = new UndoHistory();
    steps.add({ body: 'Dear all. Bees fly.' }, { body: 'Dear all. Bees fly in May.' }, 0, true);
    steps.add({ body: 'Dear all. Bees fly in May.' }, { body: 'Dear all. Our bees fly in May.' }, 1, true);
    steps.moveOver({ body: 'Dear all. Our bees fly in May.' }, { body: 'Dear Inés. Our bees fly in May.' });
    expect(steps.back({ body: 'Dear Inés. Our bees fly in May.' })).toEqual({
      body: 'Dear Inés. Bees fly in May.',
    });
    steps.moveOver({ body: 'Dear Inés. Bees fly in May.' }, { body: 'Hello Inés. Bees fly in May.' });
    expect(steps.back({ body: 'Hello Inés. Bees fly in May.' })).toEqual({ body: 'Hello Inés. Bees fly.' });
    expect(steps.forth({ body: 'Hello Inés. Bees fly.' })).toEqual({ body: 'Hello Inés. Bees fly in May.' });
    expect(steps.forth({ body: 'Hello Inés. Bees fly in May.' })).toEqual({
      body: 'Hello Inés. Our bees fly in May.',
    });
  });

  it('lose only what was done in the same place', () => {
    const steps = new UndoHistory();
    steps.add({ body: 'one two three' }, { body: 'one! two three' }, 0, true);
    steps.add({ body: 'one! two three' }, { body: 'one! two thirty' }, 1, true);
    steps.moveOver({ body: 'one! two thirty' }, { body: 'one! two forty' });
    expect(steps.back({ body: 'one! two forty' })).toEqual({ body: 'one two forty' });
    expect(steps.canUndo).toBe(false);
  });

  it('fit whatever was changed', () => {
    let seed = 11;
    const random = (below: number) => (seed = (seed * 1103515245 + 12345) % 2147483648) % below;
    const edited = (text: string) => {
      const words = text.split(' ');
      words.splice(random(words.length + 1), random(3), ...['x', 'yy', 'zzz'].slice(random(4)));
      return words.join(' ');
    };
    let kept = 0;
    for (let run = 0; run < 200; run++) {
      const steps = new UndoHistory();
      let text = Array.from({ length: 30 }, (_, i) => `word${i}`).join(' ');
      for (let i = 0; i < 8; i++) {
        const next = edited(text);
        steps.add({ body: text }, { body: next }, i * 5000, true);
        text = next;
      }
      const merged = edited(text);
      steps.moveOver({ body: text }, { body: merged });
      text = merged;
      while (steps.canUndo) {
        const back = steps.back({ body: text });
        expect(back).not.toBeNull();
        text = String(back!.body);
        kept++;
      }
      while (steps.canRedo) text = String(steps.forth({ body: text })!.body);
      expect(text).toBe(merged);
    }
    expect(kept).toBeGreaterThan(800);
  });

  it('are not taken back where no draft would come of it', () => {
    const steps = new UndoHistory(null, ({ body }) => body !== 'broken');
    steps.add({ body: 'broken' }, { body: 'whole' }, 0, true);
    expect(steps.back({ body: 'whole' })).toBeNull();
    expect(steps.canUndo || steps.canRedo).toBe(false);
  });
});
