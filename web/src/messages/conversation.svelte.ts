import { ask } from '../api/client';
import type { MessageState } from './messageState.svelte';

/** A message that was sent, as far as a later one must know it. */
export interface Followed {
  id: string;
  subject: string;
}

/** The conversation that a message goes on with, if it does. */
export class Conversation {
  /** The message it follows; null for none. */
  follows = $state<Followed | null>(null);

  constructor(
    private readonly message: MessageState,
    after: Followed | null,
  ) {
    this.follows = after;
  }

  /** A conversation keeps its subject; null for a message that begins one. */
  subject(): string | null {
    return this.follows ? subjectAfter(this.follows) : null;
  }

  /** Finds the message that is followed, which a draft names by its identifier. */
  async find(): Promise<void> {
    const id = this.message.envelope.after;
    if (!id || this.follows?.id === id) return;
    const { read } = await ask('get', '/api/messages/{id}', { params: { id } });
    this.follows = { id, subject: read.subject };
  }

  /** Leaves the conversation; the subject is the template's again, unless it was changed. */
  async leave(): Promise<void> {
    const unchanged = this.message.draft?.subject === this.subject();
    this.follows = null;
    this.message.envelope.after = null;
    this.message.moved();
    if (unchanged) await this.message.asTheTemplateSays('subject');
  }
}

/** The subject of what follows a message. */
export function subjectAfter({ subject }: Followed): string {
  const answer = `Re: ${subject.replace(/^\s*(re|aw)\s*:\s*/i, '')}`;
  // A brace of a subject is one, not a field.
  return answer.replaceAll('{', '\\{');
}
