import type { Align } from './body';

/** How wide a picture can be, in pixels; as in docs/body.schema.json. */
export const NARROWEST = 8;
export const WIDEST = 900;

/**
 * How wide a picture is once its free edge was moved.
 *
 * @param by to the right, in pixels of the message; of one in the middle both edges move
 */
export function atWidth(width: number, by: number, align: Align): number {
  const grown = align === 'end' ? -by : align === 'centre' ? 2 * by : by;
  return Math.round(Math.max(NARROWEST, Math.min(width + grown, WIDEST)));
}
