import { describe, expect, it } from 'vitest';
import written from '../../../../docs/body.schema.json?raw';
import { ofKind, type KnownKind } from './body';
import { blockGroups, isKnown, kindLabel, newBlock } from './kinds';

interface Schema {
  $defs: Record<string, { oneOf?: { $ref: string }[]; properties?: Record<string, { const?: string }> }>;
}

/** The kinds that the published schema describes. */
function published(): string[] {
  const { $defs } = JSON.parse(written) as Schema;
  return $defs.knownBlock.oneOf!.map(
    ({ $ref }) => $defs[$ref.replace('#/$defs/', '')].properties!.kind.const!,
  );
}

const offered = () => blockGroups.flatMap(([, kinds]) => kinds.map((one) => one.kind));

describe('kinds of blocks', () => {
  it('offers each kind of the schema once', () => {
    expect(offered().toSorted()).toEqual(published().toSorted());
  });

  it.each(published())('begins a %s with what its kind holds', (kind) => {
    const block = newBlock(kind as KnownKind);
    expect(isKnown(block)).toBe(true);
    expect(kindLabel(kind)).not.toBe('');
    expect(ofKind(block, kind as KnownKind)).toBe(block);
    expect(newBlock(kind as KnownKind).id).not.toBe(block.id);
  });

  it('leaves alone what it does not know', () => {
    const block = { id: 'a', kind: 'map', zoom: 3 };
    expect(isKnown(block)).toBe(false);
    expect(kindLabel('map')).toBe('map');
    expect(isKnown({ id: 'b', kind: 'constructor' })).toBe(false);
    expect(ofKind(block, 'text')).toBeNull();
  });
});
