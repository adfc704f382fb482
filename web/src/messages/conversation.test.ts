import { describe, expect, it } from 'vitest';
import { subjectAfter } from './conversation.svelte';

describe('the subject of what follows a message', () => {
  const after = (subject: string) => subjectAfter({ id: '', subject });

  it('is that of the message, answered once', () => {
    expect(after('Plan for May')).toBe('Re: Plan for May');
    expect(after('Re: Plan for May')).toBe('Re: Plan for May');
    expect(after(' AW : Plan for May')).toBe('Re: Plan for May');
  });

  it('has no field in it', () => {
    expect(after('What {name} said')).toBe('Re: What \\{name} said');
  });
});
