import type { Chip } from './draftText';

/** A field or a mark of a choice whose slip is open: in which text, where in it, and what it is drawn as. */
export interface OpenChip {
  chip: Chip;
  key: string;
  at: number;
  anchor: HTMLElement;
}

/** Whether chips are the same ones, one by one. */
export function sameChips(some: Chip[], others: Chip[]): boolean {
  return some.length === others.length && some.every((one, at) => sameChip(one, others[at]));
}

function sameChip(one: Chip, other: Chip): boolean {
  return (Object.keys(one) as (keyof Chip)[]).every(
    (name) => one[name] === other[name] || JSON.stringify(one[name]) === JSON.stringify(other[name]),
  );
}
