/** Widths that a message is looked at in, in pixels of its own; an edge that is dragged stops at them. */
export const STOPS = { phone: 390, tablet: 600, wide: 680 } as const;

export type Stop = keyof typeof STOPS;

export const NARROWEST = STOPS.phone;
export const WIDEST = STOPS.wide;
/** So near a stop, in pixels, an edge rests on it. */
const NEAR = 14;

const stops = Object.entries(STOPS) as [Stop, number][];

/** The stop at just this width, if there is one. */
export function stopAt(width: number): Stop | null {
  return stops.find(([, at]) => at === width)?.[0] ?? null;
}

/** A width within bounds, on a stop when it is near one. */
export function rested(width: number): number {
  const within = Math.round(Math.min(WIDEST, Math.max(NARROWEST, width)));
  return stops.find(([, at]) => Math.abs(at - within) <= NEAR)?.[1] ?? within;
}

/** A width that is so much wider or narrower, within bounds; steps of keys do not rest. */
export function stepped(width: number, by: number): number {
  return Math.min(WIDEST, Math.max(NARROWEST, width + by));
}
