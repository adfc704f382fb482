import { ask, bring, type Schemas } from '../api/client';
import { bare, none } from './emptyDesigns';

/** What is brought in, as it came; pictures that came with it are kept aside until a template shows them. */
export interface BroughtText {
  text: string;
  written: Schemas['FileRead']['written'];
  /** What it calls itself where that does not stand in it. */
  title: string;
  /** What a template that is made of it is called. */
  name: string;
  about: NonNullable<Schemas['Draft']['about']>;
  pictures: number;
}

/** The same, cleaned, and with fields in the places of codes. */
export interface Brought extends BroughtText {
  clean: Schemas['Brought'];
}

/** Cleans a text, with fields by the code whose place they take. */
export async function cleaned(from: BroughtText, codes: Record<string, string> = {}): Promise<Brought> {
  const { text, written, title, about } = from;
  const clean = await ask('post', '/api/templates/bring-in', {
    body: { html: text, written, title, about, codes },
  });
  return { ...from, clean, pictures: from.pictures || clean.pictures };
}

/** Reads a file; of a zip a page of it. */
export const readFile = (file: File, page = ''): Promise<Schemas['FileRead']> =>
  bring(`/api/templates/bring-in/file?${new URLSearchParams({ name: file.name, page })}`, file);

/** What a file is called without its end, and of a page in a zip without its folders. */
export const bareName = (file: string): string =>
  (file.split('/').pop() ?? '').replace(/\.\w+$/, '').slice(0, 100);

/** The design that a template begins with. */
export function starterOf({ clean, name, about, pictures }: Brought): Schemas['Starter'] {
  const came = pictures ? `, with ${pictures === 1 ? 'a picture' : `${pictures} pictures`}` : '';
  return {
    name: 'brought-in',
    description: clean.removed.length
      ? `Imported${came}; what is listed beside it was left out.`
      : `Imported${came}, all of it.`,
    draft: {
      ...none,
      ...bare,
      ...(clean.mode === 'SOURCE' ? { header: 'none', footer: 'none' } : {}),
      about,
      name: name || 'Imported',
      subject: clean.title.replace(/[\r\n]+/g, ' ').slice(0, 200),
      mode: clean.mode,
      design: clean.design,
    },
  };
}

/** The page as it came, for a frame in which nothing runs; its pictures where they are kept. */
export const asItCame = (html: string): string =>
  html.replace(/(["'])picture:([0-9a-f-]{36})\1/g, '"/api/materials/pictures/$2"');
