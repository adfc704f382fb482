/** What mail programs do on dark screens to a message that has no rules of its own for them. */

type Colour = [number, number, number];

/** The ground that they lay under it. */
const GROUND: Colour = [22, 25, 29];
const WORDS = 'rgb(233, 230, 223)';
const LINKS = 'rgb(169, 205, 245)';
/** What small text must have against its ground (WCAG 2.2, 1.4.3). */
const READABLE = 4.5;
/** Grounds lighter than this, and nearly grey, are turned dark. */
const LIGHT = 0.6;
const GREY = 40;

/**
 * Turns a page's colours as they do: light grounds become dark, and words that can't be read on a dark ground become lighter
 * in their own hue. Coloured grounds, such as those of buttons, stay, and so do the words on them.
 */
export function darkened(page: Document): void {
  const style = page.createElement('style');
  style.textContent =
    `html, body { background: rgb(${GROUND.join(' ')}) }` + ` body { color: ${WORDS} } a { color: ${LINKS} }`;
  page.head.append(style);
  turn(page.body, GROUND);
}

function turn(element: HTMLElement, under: Colour): void {
  if (!element.style) return;
  let ground = under;
  const own = read(element.style.backgroundColor || element.getAttribute('bgcolor') || '');
  if (own && luminance(own) > LIGHT && Math.max(...own) - Math.min(...own) < GREY) {
    element.style.setProperty('background', `rgb(${GROUND.join(', ')})`);
  } else if (own) {
    ground = own;
  }
  const words = read(element.style.color);
  if (words && ground === GROUND && contrast(words, GROUND) < READABLE) {
    element.style.setProperty('color', `rgb(${lighter(words).join(', ')})`);
  }
  for (const child of element.children) turn(child as HTMLElement, ground);
}

/** A colour as the browser writes it, or as attributes do; null for none, and for one with nothing in it. */
function read(written: string): Colour | null {
  const hex = /^#([0-9a-f]{2})([0-9a-f]{2})([0-9a-f]{2})$/i.exec(written);
  if (hex) return hex.slice(1).map((part) => parseInt(part, 16)) as Colour;
  const rgb = /^rgb\((\d+), (\d+), (\d+)\)$/.exec(written);
  return rgb ? (rgb.slice(1).map(Number) as Colour) : null;
}

/** The first step towards white that can be read on the dark ground. */
function lighter(colour: Colour): Colour {
  for (let part = 0.1; part < 1; part += 0.1) {
    const mixed = colour.map((one) => Math.round(one + (255 - one) * part)) as Colour;
    if (contrast(mixed, GROUND) >= READABLE) return mixed;
  }
  return [255, 255, 255];
}

/** Relative luminance and contrast as WCAG 2.2 defines them. */
function luminance(colour: Colour): number {
  const [red, green, blue] = colour.map((one) => {
    const part = one / 255;
    return part <= 0.04045 ? part / 12.92 : ((part + 0.055) / 1.055) ** 2.4;
  });
  return 0.2126 * red + 0.7152 * green + 0.0722 * blue;
}

function contrast(one: Colour, other: Colour): number {
  const [darker, light] = [luminance(one), luminance(other)].sort((a, b) => a - b);
  return (light + 0.05) / (darker + 0.05);
}
