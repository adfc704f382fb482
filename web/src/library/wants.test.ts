import { describe, expect, it } from 'vitest';
import { everything, inAddress, narrowed, queryOf, wantsOf } from './wants';

const of = (address: string) => wantsOf((name) => new URLSearchParams(address).get(name) ?? '');

describe('what is shown of the library', () => {
  it('is everything without a word in the address', () => {
    expect(of('')).toEqual(everything);
    expect(narrowed(of('find=gate&folder=x&by=USED'))).toBe(false);
  });

  it('is read from the address, and what is not known there passed over', () => {
    expect(of('find=gate&which=mine&for=DEAL&written=paper&by=constructor')).toEqual({
      ...everything,
      search: 'gate',
      which: 'mine',
      about: 'DEAL',
    });
  });

  it('stands in the address, but for everything', () => {
    expect(inAddress('which', 'favourite')).toEqual(['which', 'favourite']);
    expect(inAddress('which', 'all')).toEqual(['which', '']);
  });

  it('asks for must-fix notes in place of ready or not', () => {
    expect(queryOf(of('ready=stopped'))).toMatchObject({ ready: undefined, mustFix: true });
    expect(queryOf(of('ready=false'))).toMatchObject({ ready: false, mustFix: false });
  });

  it('is asked of the server', () => {
    expect(queryOf({ ...everything, which: 'unused', ready: 'false' }, 'x')).toMatchObject({
      unused: true,
      mine: false,
      ready: false,
      about: undefined,
      after: 'x',
    });
  });
});
