import { ask, Problem, type Schemas } from '../api/client';
import { allLines } from './allLines';

type Material = NonNullable<Schemas['OtherMaterial']['what']>;

/** Something that is used, and how another one takes its place. */
export interface Exchange {
  id: string;
  /** What it is called, such as a passage. */
  word: string;
  /** Whether another one has to be ready. */
  ready: boolean;
  uses: () => Promise<Schemas['Used']>;
  others: () => Promise<{ id: string; name: string }[]>;
  put: (other: string) => Promise<Schemas['Exchanged']>;
}

/** Whether something could not be deleted because it is used, so that another one can take its place. */
export const isUsed = (failure: unknown): boolean => failure instanceof Problem && failure.code === 'in-use';

/** Of a passage or signature. */
export const ofText = (id: string, kind: 'PASSAGE' | 'SIGNATURE'): Exchange => ({
  id,
  word: kind === 'PASSAGE' ? 'passage' : 'signature',
  ready: true,
  uses: () => ask('get', '/api/templates/{id}/using', { params: { id } }),
  others: async () => (await allLines(kind)).filter((one) => one.stage !== 'DRAFT'),
  put: (other) =>
    ask('post', '/api/templates/{id}/in-its-place', { params: { id }, body: { other: other || null } }),
});

/** Of what lies in Materials. */
export const ofMaterial = (
  id: string,
  what: Material,
  others: readonly { id: string; name: string }[],
): Exchange => ({
  id,
  word: what.toLowerCase(),
  ready: false,
  uses: () => ask('get', '/api/materials/uses/{id}', { params: { id }, query: { what } }),
  others: () => Promise.resolve([...others]),
  put: (other) =>
    ask('post', '/api/materials/uses/{id}/in-its-place', {
      params: { id },
      body: { what, other: other || null },
    }),
});
