/** The words of a design, by the keys that the server gives its strings. Nothing else of it is looked into here. */

interface Run {
  text?: string;
  link?: string;
}
interface Block {
  id: string;
  kind: string;
  text?: { runs: Run[] }[];
  picture?: Record<string, string>;
  facts?: string[];
  links?: { label: string; address: string }[];
  [name: string]: unknown;
}
interface Body {
  bands: { columns: { blocks: Block[] }[] }[];
}
/** An object and the name of the property that holds a string. */
type Place = [holder: Record<string, unknown> | unknown[], name: string | number];

const named: Record<string, Record<string, string>> = {
  label: { button: 'label', event: 'title', 'record card': 'title', 'item table': 'empty' },
  link: { button: 'link', picture: 'link', 'video still': 'address' },
  description: { picture: 'description', 'video still': 'description' },
  day: { event: 'day' },
  place: { event: 'place' },
};

function place(body: Body, key: string): Place | undefined {
  const [id, part, more] = key.split('/');
  const block = body.bands
    .flatMap((band) => band.columns.flatMap((column) => column.blocks ?? []))
    .find((one) => one.id === id);
  if (!block) return undefined;
  const run = /^(\d+)\.(\d+)$/.exec(part);
  if (run) {
    const held = block.text?.[Number(run[1])]?.runs[Number(run[2])];
    return held && [held as Record<string, unknown>, more === 'link' ? 'link' : 'text'];
  }
  const fact = /^fact(\d+)$/.exec(part);
  if (fact) {
    const at = Number(fact[1]);
    if (block.kind === 'record card') return block.facts && [block.facts, at];
    const link = block.links?.[at];
    return link && [link, more === 'link' ? 'address' : 'label'];
  }
  if (block.kind === 'pairing') return block.picture && [block.picture, part];
  const name = named[part]?.[block.kind];
  return name ? [block, name] : undefined;
}

/** The string of a key; nothing when it is not there. */
export function wordsAt(design: string, key: string): string {
  const found = place(JSON.parse(design) as Body, key);
  const value = found && (found[0] as Record<string | number, unknown>)[found[1]];
  return typeof value === 'string' ? value : '';
}

/** The design with another string at a key; as it was when the key leads nowhere. */
export function withWords(design: string, key: string, words: string): string {
  const body = JSON.parse(design) as Body;
  const found = place(body, key);
  if (!found) return design;
  (found[0] as Record<string | number, unknown>)[found[1]] = words;
  return JSON.stringify(body);
}

/** What a string of a block is, for those who can't see where it stands. */
export function slotLabel(key: string, kind: string): string {
  const [, part, more] = key.split('/');
  if (part === 'link' || more === 'link') return `${kind}: address`;
  if (part === 'description') return `${kind}: description`;
  if (part === 'day') return `${kind}: day`;
  if (part === 'place') return `${kind}: place`;
  return kind;
}

/** What kind of paragraph a run stands in, such as heading-1; empty for an ordinary one. */
export function paragraphKind(design: string, key: string): string {
  const [id, part, more] = key.split('/');
  const run = /^(\d+)\.\d+$/.exec(part);
  if (!run || more) return '';
  const body = JSON.parse(design) as Body;
  const block = body.bands
    .flatMap((band) => band.columns.flatMap((column) => column.blocks ?? []))
    .find((one) => one.id === id);
  return ((block?.text?.[Number(run[1])] as { kind?: string } | undefined)?.kind ?? '') as string;
}
