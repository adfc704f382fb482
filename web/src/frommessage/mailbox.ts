import type { Schemas } from '../api/client';

/** Whether a file is a mailbox with many messages, rather than one message: it says so in its first line. */
export async function isMailbox(file: Blob): Promise<boolean> {
  return (await file.slice(0, 5).text()) === 'From ';
}

/** The messages whose subject or readers have all that was typed. */
export function fitting(messages: Schemas['MailboxMessage'][], typed: string): Schemas['MailboxMessage'][] {
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
  return messages.filter((one) => {
    const said = `${one.subject} ${one.to}`.toLowerCase();
    return words.every((word) => said.includes(word));
  });
}
