/** What was typed before there was a place for it. */
export interface Typed {
  text: string;
  /** Whether Enter was pressed behind it. */
  entered: boolean;
}

/**
 * Keeps what is typed for a place that is about to come: from a key that opens it until it is there, however long its code or
 * its data take. No shortcut hears it meanwhile.
 */
export class TypedAhead {
  private typed: Typed = { text: '', entered: false };
  private listening = false;

  private readonly hear = (event: KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.altKey || event.isComposing) return;
    if (event.key === 'Escape') this.stop();
    else if (event.key === 'Enter') this.typed.entered = true;
    else if (event.key === 'Backspace') this.typed.text = this.typed.text.slice(0, -1);
    else if (event.key.length === 1 && !event.repeat) this.typed.text += event.key;
    else return;
    event.preventDefault();
    event.stopPropagation();
  };

  /** Listens from the next key on. */
  start(): void {
    if (this.listening) return;
    this.listening = true;
    this.typed = { text: '', entered: false };
    window.addEventListener('keydown', this.hear, { capture: true });
  }

  /** Ends listening, and gives what was typed; nothing where it did not listen. */
  take(): Typed {
    const typed = this.listening ? this.typed : { text: '', entered: false };
    this.stop();
    return typed;
  }

  /** Ends listening; what was typed is for nobody. */
  stop(): void {
    this.listening = false;
    window.removeEventListener('keydown', this.hear, { capture: true });
  }
}
