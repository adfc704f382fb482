import type { Schemas } from '../api/client';
import { serverNow } from '../ui/when';

/** Tomorrow at eight by this clock, which a mailing begins with that is to leave later. */
export function tomorrow(): Schemas['Hour'] {
  const at = new Date(serverNow().getTime() + 86_400_000);
  const two = (number: number) => String(number).padStart(2, '0');
  return {
    date: `${at.getFullYear()}-${two(at.getMonth() + 1)}-${two(at.getDate())}`,
    time: '08:00',
    zone: Intl.DateTimeFormat().resolvedOptions().timeZone,
  };
}
