import { describe, expect, it } from 'vitest';
import type { Schemas } from '../api/client';
import { asItCame, bareName, starterOf, type Brought } from './brought';

const clean: Schemas['Brought'] = {
  source: '<p>A',
  design: '{}',
  title: 'Spring\nnews',
  removed: [],
  mode: 'SOURCE',
  codes: [],
  fields: [],
  pictures: 0,
};
const brought: Brought = {
  text: '<p>A',
  written: 'HTML',
  title: '',
  name: 'spring',
  about: 'LEAD',
  pictures: 2,
  clean,
};

describe('what is brought in', () => {
  it('is called by its file', () => {
    expect(bareName('mail/pages/spring.offer.html')).toBe('spring.offer');
    expect(bareName('')).toBe('');
  });

  it('is a design to begin with', () => {
    const { draft, description } = starterOf(brought);
    expect(draft).toMatchObject({ name: 'spring', subject: 'Spring news', about: 'LEAD', header: 'none' });
    expect(description).toBe('Imported, with 2 pictures, all of it.');
    const letter = {
      ...brought,
      name: '',
      pictures: 0,
      clean: { ...clean, mode: 'LETTER' as const, removed: ['a'] },
    };
    expect(starterOf(letter)).toMatchObject({
      description: 'Imported; what is listed beside it was left out.',
      draft: { name: 'Imported', header: '' },
    });
  });

  it('shows its pictures as it came', () => {
    const id = '0b9f2f2e-7c1e-4d0a-9b43-9a8b61d8a001';
    expect(asItCame(`<img src="picture:${id}">`)).toBe(`<img src="/api/materials/pictures/${id}">`);
  });
});
