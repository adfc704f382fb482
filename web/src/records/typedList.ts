import type { Schemas } from '../api/client';

type TypedList = Schemas['TypedList'];

/** A list as it is typed: what is not given is left as it is, or is none for a new one. */
export const typedList = (name: string, given: Partial<TypedList> = {}): TypedList => ({
  name,
  condition: null,
  sort: null,
  descending: null,
  folder: null,
  base: null,
  minus: null,
  deals: null,
  role: null,
  ...given,
});
