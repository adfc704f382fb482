/** Told by the server that something changed; whoever shows it asks for it again. */
export interface Change {
  what: string;
  id: string;
}

type Listener = (change: Change) => void;

const listeners = new Set<Listener>();
let stream: EventSource | null = null;

/** Opens the stream; the browser keeps it open and reconnects by itself. */
export function followChanges(): () => void {
  stream = new EventSource('/api/events');
  stream.addEventListener('change', (event) => {
    const change = JSON.parse(event.data) as Change;
    listeners.forEach((listener) => listener(change));
  });
  return () => {
    stream?.close();
    stream = null;
  };
}

/** Between two readings of what changes often. */
const pause = 400;

/**
 * Gathers changes that come one after another: runs at once, then after a pause once for all that came meanwhile, and never
 * while it is running still.
 */
export function gathered(run: () => Promise<unknown>): () => void {
  let busy = false;
  let again = false;
  async function go() {
    busy = true;
    again = false;
    await run();
    setTimeout(() => {
      busy = false;
      if (again) void go();
    }, pause);
  }
  return () => {
    if (busy) again = true;
    else void go();
  };
}

/** Calls `listener` for each change until the returned function is called. Fits `$effect(() => onChange(…))`. */
export function onChange(listener: Listener): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}
