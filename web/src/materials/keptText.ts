import { ask, type Schemas } from '../api/client';

/** Begins a text of its own kind with one empty block, to be written on the desk; gives its identifier. */
export async function beginText(
  kind: NonNullable<Schemas['Draft']['kind']>,
  name: string,
  about: Schemas['Draft']['about'],
  houseStyle: string | null = null,
): Promise<string> {
  const bands = [{ id: 'band1', columns: [{ blocks: [{ id: 'b1', kind: 'text', text: [{ runs: [] }] }] }] }];
  const made = await ask('post', '/api/templates', {
    body: {
      kind,
      name,
      purpose: '',
      about,
      subject: '',
      previewText: '',
      body: '',
      mode: 'DESIGNED',
      design: JSON.stringify({ version: 1, bands }),
      houseStyle,
      header: 'none',
      footer: 'none',
      files: [],
      wishes: null,
      plainText: null,
    },
  });
  return made.template.id;
}
