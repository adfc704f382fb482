import { cleanup, fireEvent, render, screen } from '@testing-library/svelte';
import { afterEach, expect, it, vi } from 'vitest';
import { ask } from '../api/client';
import DemoInboxes from './DemoInboxes.svelte';

vi.mock('../app/router', () => ({ route: { params: {} } }));
vi.mock('../app/changes', () => ({ onChange: () => () => undefined }));
vi.mock('../api/client', async (original) => ({
  ...(await original<typeof import('../api/client')>()),
  ask: vi.fn(),
}));

afterEach(cleanup);

const line = (id: number) => ({
  id,
  from: 'Signe',
  subject: `Message ${id}`,
  firstWords: '',
  arrivedAt: '2026-05-05T09:00:00Z',
});
const letter = (id: number) => ({
  read: {
    from: 'Signe',
    to: 'Ines',
    subject: `Read ${id}`,
    html: '',
    text: `Words ${id}`,
    headers: [],
    files: [],
  },
});

it('shows the message that was chosen, also where one asked for before comes later', async () => {
  const answers: Record<number, (answer: unknown) => void> = {};
  vi.mocked(
    ask as (method: string, path: string, rest?: { params: { id: number } }) => Promise<unknown>,
  ).mockImplementation((_, path, rest) => {
    if (path === '/api/demo-inboxes')
      return Promise.resolve({ open: true, inboxes: [{ address: 'ines@larkfield.example', name: 'Ines' }] });
    if (path === '/api/demo-inboxes/letters') return Promise.resolve([line(1), line(2)]);
    return new Promise((answer) => (answers[rest!.params.id] = answer));
  });
  render(DemoInboxes);
  await fireEvent.click(await screen.findByText('Message 2'));
  answers[2](letter(2));
  expect(await screen.findByText('Words 2')).toBeTruthy();
  answers[1](letter(1));
  await new Promise((done) => setTimeout(done));
  expect(screen.queryByText('Words 1')).toBeNull();
  expect(screen.getByText('Words 2')).toBeTruthy();
});
