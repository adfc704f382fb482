import { describe, expect, it } from 'vitest';
import { darkened } from './darkened';

function page(body: string): Document {
  const made = new DOMParser().parseFromString(
    `<!DOCTYPE html><html><head></head><body style="color:#1d2530">${body}</body></html>`,
    'text/html',
  );
  darkened(made);
  return made;
}

function colour(made: Document, what: string): string {
  return made.querySelector<HTMLElement>(what)!.style.color;
}

describe('a message on a dark screen', () => {
  it('has words that can be read, in their own hue', () => {
    const made = page('<h1 style="color:#3a2412">Spring</h1><p style="color:#f0f0f0">light</p>');
    const [red, green, blue] = colour(made, 'h1').match(/\d+/g)!.map(Number);
    expect(red).toBeGreaterThan(green);
    expect(green).toBeGreaterThan(blue);
    expect(red).toBeGreaterThan(120);
    expect(colour(made, 'p')).toBe('rgb(240, 240, 240)');
    expect(made.body.style.color).not.toBe('rgb(29, 37, 48)');
  });

  it('keeps coloured grounds and what stands on them', () => {
    const made = page('<a style="background:#f2c14e;color:#1d2530">Book</a>');
    expect(made.querySelector('a')!.style.backgroundColor).toBe('rgb(242, 193, 78)');
    expect(colour(made, 'a')).toBe('rgb(29, 37, 48)');
  });

  it('turns light grounds dark', () => {
    const made = page('<table bgcolor="#ffffff"><tr><td style="color:#000000">words</td></tr></table>');
    expect(made.querySelector('table')!.style.background).toContain('rgb(22, 25, 29)');
    expect(colour(made, 'td')).not.toBe('rgb(0, 0, 0)');
  });
});
