/** What a style looks like, as its JSON says (docs/house-style.schema.json). */
export interface Look {
  name: string;
  space: number;
  page: { width: number; background: string; sheet: string; fixed?: boolean };
  type: Record<'text' | 'headings' | 'colour' | 'headingColour' | 'linkColour', string> & { size: number };
  button: { background: string; colour: string; corner: number };
  smallPrint: { runs: { text: string }[] }[];
}
