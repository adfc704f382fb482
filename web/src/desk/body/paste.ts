import type { Paragraph, ParagraphKind, Run } from './body';

/** Formatted text made of what was pasted, and what of that could not be kept, in words. */
export interface Pasted {
  paragraphs: Paragraph[];
  dropped: string[];
}

type Look = Omit<Run, 'text'>;
/** What a paragraph is, and how far in an item stands. */
type Form = Required<Pick<Paragraph, 'kind' | 'level'>>;

const PLAIN: Form = { kind: 'paragraph', level: 0 };
const DEEPEST = 3;

const HEADINGS: Record<string, ParagraphKind> = {
  H1: 'heading-1',
  H2: 'heading-2',
  H3: 'heading-3',
  H4: 'heading-3',
  H5: 'heading-3',
  H6: 'heading-3',
};
const BLOCKS = new Set(
  'P DIV H1 H2 H3 H4 H5 H6 LI UL OL BLOCKQUOTE TABLE TR SECTION ARTICLE HEADER FOOTER MAIN PRE DL DT DD HR'.split(
    ' ',
  ),
);
const SILENT = new Set('SCRIPT STYLE HEAD TITLE META LINK TEMPLATE NOSCRIPT'.split(' '));
const EMBEDDED = new Set('IFRAME OBJECT EMBED VIDEO AUDIO CANVAS SVG'.split(' '));
const CONTROLS = new Set('INPUT SELECT TEXTAREA BUTTON FORM'.split(' '));

/**
 * Reads what a word processor, spreadsheet, web page or mail program puts on the clipboard. Meaning is kept: headings,
 * lists, quotations, bold, italic, underlined and struck words, links. Private markup, colours and sizes are not.
 */
export function readPasted(html: string): Pasted {
  const page = new DOMParser().parseFromString(html, 'text/html');
  const reader = new Reader();
  reader.children(page.body, PLAIN, {});
  return { paragraphs: reader.finished(), dropped: reader.dropped() };
}

class Reader {
  private readonly paragraphs: Paragraph[] = [];
  private runs: Run[] = [];
  private form = PLAIN;
  private pictures = 0;
  private tables = 0;
  private embedded = 0;
  private controls = 0;

  finished(): Paragraph[] {
    this.close();
    return this.paragraphs;
  }

  dropped(): string[] {
    const counted = (count: number, one: string, many: string) =>
      count ? [count === 1 ? one : `${count} ${many}`] : [];
    return [
      ...counted(this.pictures, 'a picture', 'pictures'),
      ...counted(this.tables, 'the frame of a table', 'frames of tables'),
      ...counted(this.embedded, 'something embedded', 'embedded things'),
      ...counted(this.controls, 'a form control', 'form controls'),
    ];
  }

  children(parent: Node, form: Form, look: Look): void {
    for (const node of parent.childNodes) this.node(node, form, look);
  }

  private node(node: Node, form: Form, look: Look): void {
    if (node.nodeType === Node.TEXT_NODE) this.text(node.nodeValue ?? '', form, look);
    else if (node.nodeType === Node.ELEMENT_NODE) this.element(node as HTMLElement, form, look);
  }

  private element(element: HTMLElement, form: Form, look: Look): void {
    const tag = element.tagName.toUpperCase();
    if (SILENT.has(tag) || /mso-list:\s*ignore/i.test(element.getAttribute('style') ?? '')) return;
    if (tag === 'IMG') this.pictures++;
    else if (EMBEDDED.has(tag)) this.embedded++;
    else if (CONTROLS.has(tag) && tag !== 'FORM' && tag !== 'BUTTON') this.controls++;
    else if (tag === 'BR') this.runs.push({ text: '\n', ...look });
    else if (element.dataset.written) this.runs.push({ text: element.dataset.written, ...look });
    else if (BLOCKS.has(tag)) this.block(element, tag, form, look);
    else if ((tag === 'TD' || tag === 'TH') && element.previousElementSibling) {
      this.runs.push({ text: ' · ' });
      this.children(element, form, lookOf(element, tag, look));
    } else this.children(element, form, lookOf(element, tag, look));
  }

  private block(element: HTMLElement, tag: string, form: Form, look: Look): void {
    const inCell = element.closest('td, th') !== null;
    if (tag === 'TABLE') this.tables++;
    const inner = formOf(element, tag, form);
    if (!inCell || tag === 'TR') this.close();
    this.form = inner;
    this.children(element, inner, lookOf(element, tag, look));
    if (!inCell || tag === 'TR') this.close();
  }

  private text(value: string, form: Form, look: Look): void {
    const text = value.replace(/[ \t\r\n\f]+/g, ' ').replace(/[\p{Cc}\u200b\ufeff]/gu, '');
    if (!text || (text === ' ' && !this.runs.length)) return;
    if (!this.runs.length) this.form = form;
    this.runs.push({ text, ...look });
  }

  private close(): void {
    const runs = trimmed(this.runs);
    this.runs = [];
    const { kind, level } = this.form;
    if (runs.length)
      this.paragraphs.push({
        ...(kind === 'paragraph' ? {} : { kind }),
        ...(level ? { level } : {}),
        runs,
      });
  }
}

function formOf(element: HTMLElement, tag: string, outer: Form): Form {
  const given = element.dataset.kind;
  if (given) return { kind: given as ParagraphKind, level: Number(element.dataset.level ?? 0) };
  if (HEADINGS[tag]) return { kind: HEADINGS[tag], level: 0 };
  if (tag === 'LI') {
    const kind = element.parentElement?.tagName.toUpperCase() === 'OL' ? 'numbered' : 'bullet';
    return { kind, level: atMost(listsAround(element) - 1) };
  }
  if (tag === 'BLOCKQUOTE') return { kind: 'quote', level: 0 };
  // A word processor writes a list as paragraphs; their marks stand in a part that says it is to be ignored.
  const list = /mso-list:\s*l\d+(?:\s+level(\d))?/i.exec(element.getAttribute('style') ?? '');
  if (list) {
    const mark = element.querySelector('[style*="mso-list" i]')?.textContent?.trim() ?? '';
    const kind = /^[\dA-Za-z]{1,3}[.)]/.test(mark) ? 'numbered' : 'bullet';
    return { kind, level: atMost(Number(list[1] ?? 1) - 1) };
  }
  return outer;
}

function atMost(level: number): number {
  return Math.max(0, Math.min(level, DEEPEST));
}

function listsAround(element: HTMLElement): number {
  const list = element.parentElement?.closest<HTMLElement>('ul, ol');
  return list ? 1 + listsAround(list) : 0;
}

function lookOf(element: HTMLElement, tag: string, outer: Look): Look {
  const look = { ...outer };
  const { fontWeight, fontStyle, textDecoration, textDecorationLine } = element.style;
  const line = `${textDecoration} ${textDecorationLine}`;
  if (tag === 'B' || tag === 'STRONG' || tag === 'TH') look.bold = true;
  if (tag === 'I' || tag === 'EM') look.italic = true;
  if (tag === 'U') look.underline = true;
  if (tag === 'S' || tag === 'STRIKE' || tag === 'DEL') look.strike = true;
  if (/^(bold|[6-9]00)/.test(fontWeight)) look.bold = true;
  else if (/^(normal|[1-5]00)/.test(fontWeight)) delete look.bold;
  if (fontStyle === 'italic') look.italic = true;
  if (line.includes('underline') && tag !== 'A') look.underline = true;
  if (line.includes('line-through')) look.strike = true;
  const address = tag === 'A' ? (element.getAttribute('href') ?? '') : '';
  if (/^(https?:\/\/|mailto:|tel:)/i.test(address)) look.link = address;
  return look;
}

/** Without the space and breaks at its ends. */
function trimmed(runs: Run[]): Run[] {
  const left = runs.map((run) => ({ ...run }));
  while (left.length && !left[0].text.trimStart()) left.shift();
  while (left.length && !left.at(-1)!.text.trimEnd()) left.pop();
  if (left.length) {
    left[0].text = left[0].text.trimStart();
    left.at(-1)!.text = left.at(-1)!.text.trimEnd();
  }
  return left;
}
