import { ask } from '../api/client';
import { notify } from '../ui/notices.svelte';

/** A template that is put in order. */
export interface Sorted {
  id: string;
  name: string;
}

/** “Winter hello” is, or 3 templates are. */
export const are = (templates: readonly Sorted[]): string =>
  templates.length === 1 ? `“${templates[0].name}” is` : `${templates.length} templates are`;

const ids = (templates: readonly Sorted[]) => templates.map((one) => one.id);

/** Archives templates or brings them back; one step takes it back. */
export async function archive(
  templates: readonly Sorted[],
  archived: boolean,
  onchanged: () => Promise<void>,
): Promise<void> {
  const set = async (to: boolean) => {
    await ask('post', '/api/templates/archive', { body: { templates: ids(templates), archived: to } });
    await onchanged();
  };
  await set(archived);
  notify(`${are(templates)} ${archived ? 'archived' : 'back'}.`, { undo: () => set(!archived) });
}

/** Adds tags to templates and removes others; one step takes it back. */
export async function tag(
  templates: readonly Sorted[],
  add: string[],
  remove: string[],
  onchanged: () => Promise<void>,
): Promise<void> {
  const before = await ask('post', '/api/templates/tags', {
    body: { templates: ids(templates), add, remove },
  });
  await onchanged();
  const said = [...add.map((one) => `tagged “${one}”`), ...remove.map((one) => `no longer tagged “${one}”`)];
  notify(`${are(templates)} ${said.join(' and ')}.`, {
    undo: async () => {
      for (const { template, had } of before) {
        await ask('post', '/api/templates/tags', {
          body: { templates: [template], add: had, remove: add.filter((one) => !had.includes(one)) },
        });
      }
      await onchanged();
    },
  });
}

/** Makes templates somebody else’s; one step takes it back. */
export async function handOver(
  templates: readonly Sorted[],
  to: { id: string; firstName: string },
  onchanged: () => Promise<void>,
): Promise<void> {
  const before = await ask('post', '/api/templates/owner', {
    body: { templates: ids(templates), owner: to.id },
  });
  await onchanged();
  notify(`${are(templates)} ${to.firstName}’s now.`, {
    undo: async () => {
      for (const { template, from } of before) {
        await ask('post', '/api/templates/owner', { body: { templates: [template], owner: from } });
      }
      await onchanged();
    },
  });
}
