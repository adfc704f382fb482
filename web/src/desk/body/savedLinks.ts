import { ask } from '../../api/client';

/** An address that is kept once: templates name it, and follow when it changes. */
export interface SavedLink {
  path: string;
  label: string;
  /** How a template names it. */
  written: string;
  address: string;
}

/** The saved links by name; none while they can't be read. */
export async function savedLinks(): Promise<SavedLink[]> {
  const facts = await ask('get', '/api/company/facts').catch(() => []);
  return facts
    .filter((fact) => fact.type === 'LINK')
    .map(({ path, label, value }) => ({ path, label, written: `{${path}}`, address: value }));
}
