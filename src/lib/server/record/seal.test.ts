import { describe, expect, it } from 'vitest';
import type { JointRecord } from '../../../core/signing/record';
import { brokenParts, digestOf, sealOf } from './seal';

describe('a seal', () => {
  it('is of the canonical form: what another program makes of it is the same', () => {
    // sha256 of {"a":1,"b":[true,null,"é"],"c":1e+21,"d":0.1}, made apart
    expect(digestOf({ d: 0.1, c: 1e21, b: [true, null, 'é'], a: 1 })).toBe(
      '955cad94944ce1018e5583c8e29e939d675601e539bb76f2a2921a8630a4114d'
    );
  });

  const record = {
    joint: { title: 'Float lap' },
    heads: [{ move: { hole: 1 } }, { move: { hole: 2 } }],
    signature: null
  } as unknown as JointRecord;
  const seal = sealOf(record);
  const copy = () => JSON.parse(JSON.stringify(record)) as Record<string, unknown>;

  it('holds what is as it was, in whatever order its members stand', () => {
    expect(brokenParts(copy(), seal)).toEqual([]);
    const { joint, ...rest } = copy();
    expect(brokenParts({ ...rest, joint }, seal)).toEqual([]);
  });

  it('says where something was changed, taken out or put in', () => {
    const changed = copy();
    (changed['heads'] as { move: { hole: number } }[])[1] = { move: { hole: 3 } };
    expect(brokenParts(changed, seal)).toEqual(['heads.1']);
    expect(brokenParts({ ...copy(), heads: [{ move: { hole: 1 } }] }, seal)).toEqual(['heads.1']);
    expect(brokenParts({ ...copy(), more: 1 }, seal)).toEqual(['more']);
    expect(brokenParts(copy(), { ...seal, digest: '0'.repeat(64) })).toEqual(['digest']);
  });

  it('notices a list that was emptied of its last entry', () => {
    const without = { ...copy(), heads: [] };
    expect(brokenParts(without, seal)).toEqual(['heads.0', 'heads.1']);
  });
});
