import { cleanup, fireEvent, render, screen } from '@testing-library/svelte';
import { afterEach, expect, it, vi } from 'vitest';
import MailReading from './MailReading.svelte';

afterEach(cleanup);

/** A frame measures its room, and there is none here. */
class NoSize {
  observe = vi.fn();
  unobserve = vi.fn();
  disconnect = vi.fn();
}
vi.stubGlobal('ResizeObserver', NoSize);

const letter = (html: string) => ({
  from: 'Signe',
  to: 'Ines',
  subject: 'Blossom',
  html,
  text: 'Dear Ines',
  headers: [{ name: 'Date', value: 'Tuesday' }],
  files: [],
  source: '',
});

it('shows each message as it is best read, whatever the one before it was', async () => {
  const shown = render(MailReading, { read: letter('') });
  expect(screen.getByText('Dear Ines')).toBeTruthy();
  await shown.rerender({ read: letter('<p>Dear Ines</p>') });
  expect(screen.getByTitle('The message')).toBeTruthy();
  await shown.rerender({ read: letter('') });
  expect(screen.getByText('Dear Ines')).toBeTruthy();
});

it('stays with how somebody wants to read', async () => {
  const shown = render(MailReading, { read: letter('') });
  await fireEvent.click(screen.getByText('headers'));
  await shown.rerender({ read: letter('<p>Dear Ines</p>') });
  expect(screen.getByText('Tuesday')).toBeTruthy();
});
