import { describe, expect, it } from 'vitest';
import { hasColumns, offerRows, takesRows } from './pastedRows';

const table = (row: string) => `<table><tr>${row}</tr></table>`;

describe('rows that are pasted', () => {
  it('are tables with several cells that say something', () => {
    expect(hasColumns(table('<td>A</td><td>B</td>'))).toBe(true);
    expect(hasColumns(table('<td>A</td><td> </td>'))).toBe(false);
    expect(hasColumns(table('<td>A</td><td><img src="x"></td>'))).toBe(true);
    expect(hasColumns('<p>A</p>')).toBe(false);
  });

  it('are taken by whatever rows can stand in', () => {
    const outer = document.createElement('div');
    const inner = outer.appendChild(document.createElement('p'));
    const html = table('<td>A</td><td>B</td>');
    expect(offerRows(inner, html)).toBe(false);
    let met = '';
    const leave = takesRows((one) => !!(met = one))(outer);
    expect(offerRows(inner, html)).toBe(true);
    expect(met).toBe(html);
    expect(offerRows(inner, '<p>A</p>')).toBe(false);
    leave();
    expect(offerRows(inner, html)).toBe(false);
  });
});
