import { ask, lines, Problem, sentence, type Schemas } from '../api/client';

type Choices = Schemas['ImportChoices'];
type Result = Schemas['ImportResult'];

/** A check or an import that goes on, with how far it is. */
export class ImportWork {
  doing = $state<'check' | 'run' | null>(null);
  read = $state(0);
  /** Why the last one did not come to its end. */
  failed = $state('');
  stopped = $state(false);
  /** Whether the server is being asked how it ended. */
  settling = $state(false);
  /** Whether the answer broke off, so that nobody here knows how it ended. */
  unsure = $state(false);
  private stopping: AbortController | null = null;

  /**
   * Does it to its end; null when it failed, was stopped or broke off. Of an import that did not come to its end here the
   * server has to be asked how it ended: see {@link settle}.
   */
  async do(id: string, what: 'check' | 'run', choices: Choices): Promise<Result | null> {
    const stopping = new AbortController();
    this.stopping = stopping;
    this.doing = what;
    this.read = 0;
    this.failed = '';
    this.stopped = false;
    this.unsure = false;
    try {
      const path = what === 'check' ? '/api/imports/{id}/check' : '/api/imports/{id}/run';
      for await (const line of lines(path, choices, stopping.signal, { id })) {
        const { read, result, failed } = line as Schemas['ImportLine'];
        if (result) return result;
        if (failed) {
          this.failed = failed;
          return null;
        }
        this.read = read;
      }
      throw new Problem('broken', 'The connection to the server broke.');
    } catch (failure) {
      if (stopping.signal.aborted && what === 'check') this.stopped = true;
      else if (failure instanceof Problem && failure.status) this.failed = sentence(failure);
      else if (what === 'run') this.unsure = true;
      else this.failed = sentence(failure);
      return null;
    } finally {
      this.doing = null;
      this.stopping = null;
    }
  }

  /** Asks how an import ended; what it came to is in the answer, and nothing is when that has not been done. */
  async settle(id: string): Promise<Schemas['ImportShown'] | null> {
    this.settling = true;
    try {
      const shown = await ask('get', '/api/imports/{id}/ended', { params: { id } });
      this.unsure = false;
      this.stopped = !shown.done;
      return shown;
    } catch {
      this.unsure = true;
      return null;
    } finally {
      this.settling = false;
    }
  }

  /** Stops it: the server ends with the answer, and takes back what it has begun. */
  stop(): void {
    this.stopping?.abort();
  }
}
