import { ask, type Schemas } from '../api/client';
import { me } from '../app/session.svelte';
import { notify } from '../ui/notices.svelte';

export type Folder = Schemas['ShownFolder'];

/** The folders one may put something into. */
export const open = (folders: Folder[]): Folder[] => folders.filter((one) => one.may !== 'USE');

/** A folder in a list of choices, indented by how deep it lies. */
export const indented = (folder: Folder): string => '  '.repeat(folder.deep) + folder.name;

/** Folders as places for what is no template: one's own goes by no name of templates. */
export const places = (folders: Folder[]): (readonly [code: string, name: string])[] =>
  folders.map((one) => [one.id, one.personal && one.mine ? called(one) : indented(one)] as const);

/** The folder that everybody may use from the first day on. */
export const everyone = '00000000-0000-0000-0000-000000000001';

/** The folders one may put a picture, file or style into: the one of everybody too. */
export const addable = (folders: Folder[]): Folder[] =>
  folders.filter((one) => one.may !== 'USE' || one.id === everyone);

/** A folder in the line of something that is no template. */
export const called = (folder: Folder | undefined): string =>
  !folder ? 'a folder you can’t see' : folder.personal && folder.mine ? 'mine alone' : folder.name;

/** Whether one may change something that lies in a folder, or is one's own. */
export const mayChangeIn = (folders: Folder[], thing: { folder?: string | null; owner?: string }): boolean =>
  thing.owner === me().id || folders.some((one) => one.id === thing.folder && one.may !== 'USE');

/** Moves templates into a folder; one step takes it back. */
export async function move(
  templates: readonly { id: string; name: string }[],
  folder: Folder,
  onmoved: () => Promise<void>,
): Promise<void> {
  const before = await ask('post', '/api/templates/move', {
    body: { templates: templates.map((one) => one.id), folder: folder.id },
  });
  await onmoved();
  const what = templates.length === 1 ? `“${templates[0].name}” is` : `${templates.length} templates are`;
  notify(`${what} in “${folder.name}” now.`, {
    undo: async () => {
      const from = [...new Set(before.map((one) => one.from))];
      for (const place of from) {
        if (!place) continue;
        await ask('post', '/api/templates/move', {
          body: {
            templates: before.filter((one) => one.from === place).map((one) => one.template),
            folder: place,
          },
        });
      }
      await onmoved();
    },
  });
}
