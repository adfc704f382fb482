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

/** Calls `listener` for each change until the returned function is called. Fits `$effect(() => onChange(…))`. */
export function onChange(listener: Listener): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}
