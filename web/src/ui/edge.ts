/** How far an arrow key moves an edge: on with → and ↑, back with ← and ↓; nothing for another key. */
export function arrowStep(event: KeyboardEvent, step: number): number | undefined {
  return { ArrowLeft: -step, ArrowDown: -step, ArrowRight: step, ArrowUp: step }[event.key];
}

/** What is done while an edge is dragged. */
export interface Dragging {
  /** It is taken. */
  taken?: (event: PointerEvent) => void;
  moved: (event: PointerEvent) => void;
  /** It is let go, or Escape says that nothing is to come of it. */
  letGo: (keep: boolean) => void;
}

/**
 * Makes an element an edge that can be dragged: it has the pointer until it is let go, wherever that goes, and the focus, so
 * that keys go on from there.
 */
export function edge({ taken, moved, letGo }: Dragging): (element: HTMLElement) => () => void {
  return (element) => {
    let pointer: number | null = null;
    const end = (keep: boolean) => {
      if (pointer === null) return;
      pointer = null;
      letGo(keep);
    };
    const listeners = new AbortController();
    const on = <K extends keyof HTMLElementEventMap>(
      name: K,
      hear: (event: HTMLElementEventMap[K]) => void,
    ) => element.addEventListener(name, hear, { signal: listeners.signal });
    on('pointerdown', (event) => {
      event.preventDefault();
      pointer = event.pointerId;
      element.setPointerCapture(pointer);
      element.focus();
      taken?.(event);
    });
    on('pointermove', (event) => {
      if (event.pointerId === pointer) moved(event);
    });
    on('pointerup', () => end(true));
    on('pointercancel', () => end(false));
    on('keydown', (event) => {
      if (event.key !== 'Escape' || pointer === null) return;
      // The slip it stands on stays open.
      event.stopPropagation();
      element.releasePointerCapture(pointer);
      end(false);
    });
    return () => listeners.abort();
  };
}
