/** The formats that templates are taken out in, and what each can say of them. */
export const formats = {
  famulus: {
    name: 'a file for Famulus',
    says: 'All there is: folders, tags, passages, styles, pictures and files. Import it here or in another company.',
  },
  HTML: {
    name: 'HTML pages',
    says: 'How they look, with their fields as they are written, and their pictures beside them. What a page can’t say is listed in the file.',
  },
  EMAIL: {
    name: 'e-mails (.eml)',
    says: 'As HTML, with pictures and attached files within. What an e-mail can’t say is listed in the file.',
  },
  MARKDOWN: {
    name: 'Markdown',
    says: 'Words, headings, lists, links and pictures. How it looks, tables of deals and signatures are left out, and listed in the file.',
  },
  WORDS: {
    name: 'plain words',
    says: 'Words alone, with their fields as they are written. What they leave out is listed in the file.',
  },
} as const;

export type Format = keyof typeof formats;

/** Where a file of templates is. */
export function exported(which: string[][], as: Format): string {
  return `/api/library/export?${new URLSearchParams(as === 'famulus' ? which : [...which, ['as', as]])}`;
}
