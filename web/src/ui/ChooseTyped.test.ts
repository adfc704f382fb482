import { cleanup, fireEvent, render, screen } from '@testing-library/svelte';
import { afterEach, expect, it } from 'vitest';
import ChooseTyped from './ChooseTyped.svelte';

afterEach(cleanup);

const options = [
  { code: 'FR', name: 'France' },
  { code: 'GF', name: 'French Guiana' },
  { code: 'PT', name: 'Portugal' },
];

async function type(words: string): Promise<HTMLInputElement> {
  render(ChooseTyped, { label: 'Country', value: 'PT', options });
  const input = screen.getByLabelText('Country') as HTMLInputElement;
  await fireEvent.input(input, { target: { value: words } });
  await fireEvent.change(input);
  return input;
}

it.each([
  ['france', 'France'],
  ['fr', 'France'],
  ['french', 'French Guiana'],
  [' PORTU', 'Portugal'],
])('takes “%s” for %s', async (words, name) => {
  expect((await type(words)).value).toBe(name);
  expect(screen.queryByText(/Nothing here/)).toBeNull();
});

it('keeps what it does not know, and says so', async () => {
  expect((await type('Fran Atlantis')).value).toBe('Fran Atlantis');
  expect(screen.getByText('Nothing here is called “Fran Atlantis”.')).toBeTruthy();
});
