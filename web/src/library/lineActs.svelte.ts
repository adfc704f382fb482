import { tick } from 'svelte';
import { ask, fieldsOf, sentence } from '../api/client';
import { go } from '../app/router';
import { notify } from '../ui/notices.svelte';
import { draftsBegun, type DraftsBegun } from './draftsBegun';
import { archive, type Sorted } from './sorting';

/** What the list does after something was done. */
interface After {
  /** Reads it anew. */
  read: () => Promise<void>;
  /** The same, with nothing chosen any more. */
  changed: () => Promise<void>;
  /** Goes back to a line. */
  focus: (id: string) => void;
}

/** What is done with templates from the list; where it fails, that is said and nothing has changed. */
export class LineActs {
  /** The template whose name is being changed; empty for none. */
  renaming = $state('');

  constructor(private readonly after: After) {}

  async duplicate(line: Sorted): Promise<void> {
    await attempt(async () => {
      const made = await ask('post', '/api/templates/{id}/duplicate', { params: { id: line.id } });
      go(`/templates/${made.template.id}`);
    });
  }

  /** Brings a template back from the bin. */
  async bringBack(line: Sorted): Promise<void> {
    await attempt(async () => {
      await this.restore(line);
      notify(`“${line.name}” is back.`);
    });
  }

  /** A template that is to be deleted, and that drafts were begun from. */
  deleting = $state.raw<{ template: Sorted; begun: DraftsBegun; anchor: HTMLElement } | null>(null);

  /** Puts a template into the bin; one step takes it back. Where drafts were begun from it, that is said first. */
  async remove(line: Sorted, anchor: HTMLElement): Promise<void> {
    await attempt(async () => {
      const begun = await draftsBegun(line.id);
      if (begun) {
        this.deleting = { template: line, begun, anchor };
        return;
      }
      await ask('delete', '/api/templates/{id}', { params: { id: line.id } });
      await this.removed(line);
    });
  }

  /**
   * A template is deleted.
   *
   * @param besides what else has changed with it
   * @param undo puts that back
   */
  async removed(line: Sorted, besides = '', undo = async () => {}): Promise<void> {
    this.deleting = null;
    await this.after.read();
    notify(`“${line.name}” is deleted.${besides}`, {
      undo: async () => {
        await this.restore(line);
        await undo();
      },
    });
  }

  private async restore(line: Sorted): Promise<void> {
    await ask('post', '/api/templates/{id}/restore', { params: { id: line.id } });
    await this.after.read();
  }

  async archive(templates: readonly Sorted[], archived: boolean): Promise<void> {
    await attempt(() => archive(templates, archived, this.after.changed));
  }

  /**
   * Gives the template that is being renamed its name.
   *
   * @param name null where it keeps the one it has
   */
  async rename(line: Sorted, name: string | null): Promise<void> {
    // Leaving the field after Enter says it again.
    if (this.renaming !== line.id) return;
    this.renaming = '';
    if (name?.trim() && name.trim() !== line.name) {
      await attempt(async () => {
        await ask('put', '/api/templates/{id}/name', { params: { id: line.id }, body: { name } });
        await this.after.read();
      });
    }
    await tick();
    this.after.focus(line.id);
  }
}

async function attempt(work: () => Promise<void>): Promise<void> {
  try {
    await work();
  } catch (failure) {
    notify(Object.values(fieldsOf(failure))[0] ?? sentence(failure), { stop: true });
  }
}
