/**
 * Does one piece of work after another, in the order they come: whoever is quick keeps a second value before the first one's
 * answer is there, and it has to go out with what that answer says.
 */
export class Turns {
  private last: Promise<unknown> = Promise.resolve();

  /** Begins a piece of work as soon as those before it have ended, well or not; comes to what it comes to. */
  take<T>(work: () => Promise<T>): Promise<T> {
    const mine = this.last.then(work);
    this.last = mine.catch(() => undefined);
    return mine;
  }
}
