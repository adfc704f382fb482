import type { Schemas } from '../api/client';

type Role = Schemas['Colleague']['role'];

/** What each role is called. */
export const roleWords: Record<Role, string> = {
  AGENT: 'rep',
  ASSISTANT: 'assistant',
  KEEPER: 'editor',
  ADMINISTRATOR: 'administrator',
};
