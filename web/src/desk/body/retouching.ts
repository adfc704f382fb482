/** How a picture is shown otherwise than it was brought in; docs/body.schema.json says what each may be. */
export interface Retouching {
  left?: number;
  top?: number;
  right?: number;
  bottom?: number;
  brightness?: number;
  tint?: string;
  strength?: number;
}

export type Side = 'left' | 'top' | 'right' | 'bottom';
export const SIDES: Side[] = ['left', 'top', 'right', 'bottom'];

const OPPOSITE: Record<Side, Side> = { left: 'right', right: 'left', top: 'bottom', bottom: 'top' };
const MOST_CUT = 90;

/** A retouching with more or less cut off one side; a tenth is always left. */
export function cutTo(retouching: Retouching, side: Side, share: number): Retouching {
  const most = MOST_CUT - (retouching[OPPOSITE[side]] ?? 0);
  return without({ ...retouching, [side]: Math.min(Math.max(Math.round(share) || 0, 0), most) });
}

/** Leaves out what is as it was brought in; a tint without strength, and strength without a tint, change nothing. */
export function without(retouching: Retouching): Retouching {
  const kept = Object.fromEntries(Object.entries(retouching).filter(([, value]) => value)) as Retouching;
  if (!kept.tint || !kept.strength) {
    delete kept.tint;
    delete kept.strength;
  }
  return kept;
}

/** Where the copy of a picture is read; the draft shows it at most so wide. */
export function copyAddress(picture: string, retouching: Retouching = {}, most = 1200, play = false): string {
  const { left = 0, top = 0, right = 0, bottom = 0, brightness = 0, tint = '', strength = 0 } = retouching;
  const cut = left + top + right + bottom ? `~cut.${left}.${top}.${right}.${bottom}` : '';
  const light = brightness ? `~light.${brightness}` : '';
  const tinted = tint && strength ? `~tint.${tint.slice(1).toLowerCase()}.${strength}` : '';
  return `/api/materials/pictures/${encodeURIComponent(picture)}${cut}${light}${tinted}${play ? '~play' : ''}~wide.${most}`;
}
