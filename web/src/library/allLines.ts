import { ask, type Schemas } from '../api/client';

/** More texts of one kind than this are not chosen from a list. */
const most = 1000;

/** All passages or signatures, page by page. */
export async function allLines(kind: 'PASSAGE' | 'SIGNATURE'): Promise<Schemas['TemplateLine'][]> {
  const lines: Schemas['TemplateLine'][] = [];
  for (;;) {
    const page = await ask('get', '/api/templates', { query: { kind, after: lines.at(-1)?.id } });
    lines.push(...page.lines);
    if (!page.more || lines.length >= most) return lines;
  }
}
