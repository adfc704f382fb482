import type { Schemas } from '../api/client';

/** Whether a picture has all of the words, in its name, in what is read out in its place, or as its category. */
export function says(picture: Schemas['Picture'], words: string): boolean {
  const said = `${picture.name} ${picture.description} ${picture.category}`.toLowerCase();
  return words
    .toLowerCase()
    .split(/\s+/)
    .every((word) => said.includes(word));
}
