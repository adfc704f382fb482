import { describe, expect, it } from 'vitest';
import { fitting, isMailbox } from './mailbox';

const message = (subject: string, to: string) => ({
  start: subject.length,
  end: 99,
  subject,
  to,
  sent: null,
});

describe('a mailbox file', () => {
  it('is told by its first line', async () => {
    expect(await isMailbox(new Blob(['From signe@brindlewing.example\nSubject: x\n\n']))).toBe(true);
    expect(await isMailbox(new Blob(['From: signe@brindlewing.example\nSubject: x\n\n']))).toBe(false);
    expect(await isMailbox(new Blob([]))).toBe(false);
  });

  it('has messages that are found by subject and reader, in any order of words', () => {
    const all = [message('The stall', 'Tobias Larkin'), message('Spring plan', 'Ines Okafor')];
    expect(fitting(all, 'ines PLAN').map((one) => one.subject)).toEqual(['Spring plan']);
    expect(fitting(all, '  ')).toHaveLength(2);
    expect(fitting(all, 'nobody')).toEqual([]);
  });
});
