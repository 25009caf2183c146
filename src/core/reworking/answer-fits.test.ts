import { describe, expect, it } from 'vitest';
import { whyNot } from '../../../tests/support/why-not.ts';
import { smallRelease } from '../../../tests/support/small-release.ts';
import { blindFits, rivetFits } from './answer-fits.ts';

const RELEASE = smallRelease('MS20470AD5-6');
const blind = (change: object, widestIn: number | null = 0.16, hole = 3) =>
  blindFits(RELEASE, hole, { fastener: 'b', drillIn: 0.164, gripIn: 0.125, ...change }, widestIn);
const RIVET = { dash: 5 as const, partNumber: 'MS20470DD5-6.5', lengthIn: 0.40625, holeIn: 0.161 };
const rivet = (change: object = {}, widestIn: number | null = 0.16, dash: 5 | 6 = 5) =>
  rivetFits(RELEASE, 3, { dash, rivet: { ...RIVET, ...change } }, widestIn);

describe('a blind fastener that an answer names', () => {
  it('reaches through the sheets there, and is not narrower than the hole', () => {
    expect(whyNot(blind({}))).toBeNull();
    // 0.113 of sheet
    expect(whyNot(blind({ gripIn: 0.113 }))).toBeNull();
    expect(blind({ gripIn: 0.112 })).toMatchObject({
      error: { path: 'grip', said: { code: 'blind-too-short', gripIn: 0.112, sheetsIn: 0.113 } }
    });
    expect(whyNot(blind({}, 0.164))).toBeNull();
    expect(blind({}, 0.165)).toMatchObject({
      error: { said: { code: 'hole-is-wider', holeIn: 0.164, widestIn: 0.165 } }
    });
    expect(whyNot(blind({}, null))).toBeNull();
  });

  it('goes by the joint’s grip where the hole has none of its own', () => {
    const old = { ...RELEASE, holes: [], facts: { ...RELEASE.facts, gripIn: 0.2 } };
    const asked = { fastener: 'b', drillIn: 0.164, gripIn: 0.15 };
    expect(whyNot(blindFits(old, 3, asked, null))).toBe('blind-too-short');
  });
});

describe('a rivet that an answer names', () => {
  it('is what its part number says: size, head and length', () => {
    expect(whyNot(rivet())).toBeNull();
    expect(whyNot(rivet({ partNumber: 'no rivet' }))).toBe(whyNot(rivet({ partNumber: 'x' })));
    expect(rivet({ partNumber: 'no rivet' })).toMatchObject({ error: { code: 'invalid-input' } });
    expect(whyNot(rivet({ partNumber: 'MS20470DD6-6.5' }))).toBe('rivet-mismatch');
    expect(whyNot(rivet({ partNumber: 'MS20426DD5-6.5' }))).toBe('rivet-mismatch');
    expect(whyNot(rivet({ lengthIn: 0.375 }))).toBe('rivet-mismatch');
    expect(whyNot(rivet({ dash: 6 }))).toBe('rivet-mismatch');
    expect(whyNot(rivet({}, 0.16, 6))).toBe('rivet-mismatch');
  });

  it('has a hole as wide as was measured, as its shank, and metal for a head', () => {
    expect(whyNot(rivet({ holeIn: 0.16 }))).toBeNull();
    expect(whyNot(rivet({ holeIn: 0.159 }))).toBe('hole-is-wider');
    expect(whyNot(rivet({ holeIn: 0.15625 }, null))).toBeNull();
    expect(whyNot(rivet({ holeIn: 0.156 }, null))).toBe('no-metal-for-head');
    const short = { partNumber: 'MS20470DD5-2', lengthIn: 0.125 };
    expect(whyNot(rivet(short))).toBeNull();
    const thick = { ...RELEASE, holes: [], facts: { ...RELEASE.facts, gripIn: 0.125 } };
    expect(whyNot(rivetFits(thick, 3, { dash: 5, rivet: { ...RIVET, ...short } }, 0.16))).toBe(
      'no-metal-for-head'
    );
  });
});
