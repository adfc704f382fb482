import { ask, type Schemas } from '../api/client';

type Thumbnail = Schemas['Thumbnail'];

/** So many are asked for at a time: what else one does goes before them. */
const AT_ONCE = 2;
/** So many are remembered, the last ones. */
const MOST = 300;

const kept = new Map<string, Thumbnail>();
const waiting: (() => void)[] = [];
let asked = 0;

/**
 * How a template looks; remembered until it is changed.
 *
 * @param wanted asked again when it is its turn: what has left the screen by then is not asked for
 * @returns null for one that is no longer wanted
 */
export async function thumbnail(
  id: string,
  changedAt: string,
  wanted: () => boolean,
): Promise<Thumbnail | null> {
  const key = `${id} ${changedAt}`;
  const known = kept.get(key);
  if (known) return known;
  if (asked >= AT_ONCE) await new Promise<void>((go) => waiting.push(go));
  if (!wanted()) {
    waiting.shift()?.();
    return null;
  }
  asked++;
  try {
    const read = await ask('get', '/api/desk/templates/{id}/thumbnail', { params: { id } });
    kept.set(key, read);
    if (kept.size > MOST) kept.delete(kept.keys().next().value!);
    return read;
  } finally {
    asked--;
    waiting.shift()?.();
  }
}
