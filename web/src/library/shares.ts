import { ask, type Schemas } from '../api/client';

/** Whom a folder can be shared with. */
export type Share = Schemas['FolderShare'];

/** Somebody or a group it can be shared with, under a code of its own. */
export type Sharer = readonly [code: string, name: string];

export const rights: Record<Share['may'], string> = {
  USE: 'may use',
  CHANGE: 'may change',
  MANAGE: 'may manage',
};

const roles = { AGENT: 'reps', ASSISTANT: 'assistants', KEEPER: 'editors', ADMINISTRATOR: 'administrators' };

/** The code of whom a share is for. */
export const codeOf = (share: Share): string =>
  [share.with, share.role ?? share.id].filter(Boolean).join(' ');

/** The share of somebody by their code. */
export function shareOf(code: string, may: Share['may']): Share {
  const [kind, which] = code.split(' ');
  return {
    with: kind as Share['with'],
    role: kind === 'ROLE' ? (which as Share['role']) : null,
    id: kind === 'TEAM' || kind === 'COLLEAGUE' ? which : null,
    may,
  };
}

/** Everybody a folder can be shared with; who has left only where it is shared with them already. */
export async function sharers(already: readonly Share[]): Promise<Sharer[]> {
  const [colleagues, teams] = await Promise.all([ask('get', '/api/team'), ask('get', '/api/teams')]);
  return [
    ['EVERYBODY', 'everybody'],
    ...teams.map((one) => [`TEAM ${one.id}`, `the ${one.name} team`] as const),
    ...Object.entries(roles).map(([role, name]) => [`ROLE ${role}`, name] as const),
    ...colleagues
      .filter((one) => one.active || already.some((share) => share.id === one.id))
      .map((one) => [`COLLEAGUE ${one.id}`, `${one.firstName} ${one.lastName}`] as const),
  ];
}
