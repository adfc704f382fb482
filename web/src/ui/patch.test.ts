import { describe, expect, it } from 'vitest';
import { patch } from './patch';

function page(html: string): Document {
  return new DOMParser().parseFromString(`<!DOCTYPE html><html><body>${html}</body></html>`, 'text/html');
}

describe('patching a page', () => {
  it.each([
    ['<p>One</p>', '<p>Two</p>'],
    ['<p class="a" style="color:red">One <b>two</b></p><hr>', '<p style="color:blue">One</p>'],
    ['', '<table><tbody><tr><td>1</td><td>2</td></tr></tbody></table>'],
    ['<p>One</p><p>Two</p>', '<h1>One</h1>text<p>Two</p><!--[if mso]>x<![endif]-->'],
  ])('makes %s like %s', (before, after) => {
    const from = page(before);
    patch(from.documentElement, page(after).documentElement);
    expect(from.documentElement.outerHTML).toBe(page(after).documentElement.outerHTML);
  });

  it('keeps the elements that stay', () => {
    const from = page('<p>One</p><img alt="x">');
    const picture = from.querySelector('img');
    patch(from.documentElement, page('<p>Other</p><img alt="x">').documentElement);
    expect(from.querySelector('img')).toBe(picture);
  });
});
