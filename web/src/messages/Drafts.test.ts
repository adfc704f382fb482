import { cleanup, fireEvent, render, screen } from '@testing-library/svelte';
import { afterEach, expect, it, vi } from 'vitest';
import { ask } from '../api/client';
import Drafts from './Drafts.svelte';

vi.mock('../app/router', () => ({ recordAddress: (kind: string, id: string) => `/${kind}/${id}` }));
vi.mock('../api/client', async (original) => ({
  ...(await original<typeof import('../api/client')>()),
  ask: vi.fn(),
}));

const asked = vi.mocked(ask as (method: string, path: string, rest: never) => Promise<unknown>);
afterEach(cleanup);

function shown(count: number): Promise<HTMLElement[]> {
  asked.mockResolvedValue(
    Array.from({ length: count }, (_, i) => ({
      id: String(i),
      person: 'ines',
      personKind: 'CONTACT',
      personName: 'Ines',
      subject: `Draft ${i}`,
      firstWords: '',
      changedAt: '2026-05-04T09:00:00Z',
    })),
  );
  render(Drafts, {});
  return screen.findAllByRole('link');
}

it('shows the newest few, and the others when they are asked for', async () => {
  expect(await shown(7)).toHaveLength(5);
  await fireEvent.click(screen.getByRole('button', { name: 'Show 2 more' }));
  expect(screen.getAllByRole('link')).toHaveLength(7);
  expect(screen.queryByRole('button')).toBeNull();
});

it('shows a few at once', async () => {
  expect(await shown(5)).toHaveLength(5);
  expect(screen.queryByRole('button')).toBeNull();
});
