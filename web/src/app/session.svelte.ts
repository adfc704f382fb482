import { ask, type Schemas } from '../api/client';
import { setServerTime } from '../ui/when';

/** Who is signed in, and where. */
export const session = $state<{ known: boolean; now: Schemas['Session'] | null; failed: string }>({
  known: false,
  now: null,
  failed: '',
});

export async function readSession(): Promise<void> {
  try {
    session.now = await ask('get', '/api/session');
    setServerTime(session.now.at);
    session.failed = '';
  } catch (failure) {
    session.failed = failure instanceof Error ? failure.message : '';
  }
  session.known = true;
}

/** Whoever is signed in; only asked for behind the sign-in page. */
export function me(): Schemas['Colleague'] {
  return session.now!.who!;
}

/** Whether a colleague looks after what everybody shares; the server asks again. */
export function isEditor({ role }: Schemas['Colleague'] = me()): boolean {
  return role === 'KEEPER' || role === 'ADMINISTRATOR';
}

export async function signOut(): Promise<void> {
  await ask('delete', '/api/session');
  await readSession();
}
