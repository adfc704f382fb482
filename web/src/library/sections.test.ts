import { describe, expect, it } from 'vitest';
import type { Schemas } from '../api/client';
import type { Folder } from './folders';
import { sections } from './sections';

const folder = (id: string, parent: string | null = null) => ({ id, parent, name: id }) as Folder;
const line = (id: string, where: string | null) => ({ id, folder: where }) as Schemas['TemplateLine'];
const all = { goesOn: false, found: false, within: '' };
const names = (found: ReturnType<typeof sections>) =>
  found.map((one) => `${one.folder?.id ?? 'elsewhere'}: ${one.lines.map((each) => each.id).join(' ')}`);

const folders = [folder('mine'), folder('all'), folder('quotes', 'all'), folder('visits', 'all')];

describe('the list by folders', () => {
  it('shows folders in their order, empty ones too', () => {
    expect(names(sections(folders, [line('a', 'all'), line('b', 'quotes')], all))).toEqual([
      'mine: ',
      'all: a',
      'quotes: b',
      'visits: ',
    ]);
  });

  it('does not call a folder empty whose lines have not been read yet', () => {
    expect(names(sections(folders, [line('a', 'all')], { ...all, goesOn: true }))).toEqual([
      'mine: ',
      'all: a',
    ]);
  });

  it('shows only folders in which something was found', () => {
    expect(names(sections(folders, [line('b', 'quotes')], { ...all, found: true }))).toEqual(['quotes: b']);
  });

  it('shows a folder with those in it', () => {
    expect(names(sections(folders, [line('b', 'quotes')], { ...all, within: 'all' }))).toEqual([
      'all: ',
      'quotes: b',
      'visits: ',
    ]);
  });

  it('shows what is one’s own and lies elsewhere', () => {
    expect(names(sections(folders.slice(0, 1), [line('x', null)], all))).toEqual(['elsewhere: x', 'mine: ']);
  });
});
