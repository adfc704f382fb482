/** How far the server's clock is from this machine's, in milliseconds. */
let ahead = 0;

/** Takes the server's time as the one that counts. */
export function setServerTime(instant: string): void {
  ahead = new Date(instant).getTime() - Date.now();
}

/** The server's time now. */
export function serverNow(): Date {
  return new Date(Date.now() + ahead);
}

const sameYear = (a: Date, b: Date) => a.getFullYear() === b.getFullYear();

/** A day as a ledger shows it: "30 Apr", with the year when it is another one. */
export function day(instant: string, now = serverNow()): string {
  const at = new Date(instant);
  return at.toLocaleDateString('en-GB', {
    day: 'numeric',
    month: 'short',
    ...(sameYear(at, now) ? {} : { year: 'numeric' }),
  });
}

/** The clock's time: "14:02". */
export function time(instant: string | Date): string {
  return new Date(instant).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });
}

/** The time if it is today's, else the day. */
export function timeOrDay(at: Date): string {
  return at.toDateString() === serverNow().toDateString() ? time(at) : day(at.toISOString());
}

/** Day and time: "30 Apr, 14:02". */
export function dayAndTime(instant: string): string {
  return `${day(instant)}, ${time(instant)}`;
}
