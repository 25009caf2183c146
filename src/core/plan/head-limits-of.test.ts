import { describe, expect, it } from 'vitest';
import { drivenHead } from '../inspect/driven-head';
import { judgeLook } from '../inspect/hole-look';
import { headLimits } from '../catalog/head-limits';
import { ReleasedFacts } from '../release/release';
import { newJoint } from '../kinds/new-joint';
import { readEntered } from '../kinds/read-entered';
import { newSheet } from '../joint/sheets';
import { DEFAULT_PROFILE } from '../rules/profile';
import { HeadLimitsName } from '../schema/fields';
import { plan } from './plan';
import { headLimitsOf } from './head-limits-of';
import { whyNot } from '../../../tests/support/why-not.ts';

const OWN = {
  ownHeads: true,
  headWideLowD: '1,36',
  headWideHighD: '1.62',
  headHighLowD: '0.42',
  headHighHighD: '0.6',
  headsReason: 'sheet 12'
};
const planned = (changes: object) => {
  const read = readEntered({
    ...newJoint('lap'),
    widthIn: '6',
    dash: 5,
    sheets: [newSheet('a', '0.063'), newSheet('b', '0.071')],
    ...changes
  });
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  return { joint: read.definition, made: plan(read.definition, DEFAULT_PROFILE) };
};
const codes = (changes: object) =>
  planned(changes).made.warnings.map(({ level, said }) => `${level} ${said.code}`);

describe('head limits of a joint’s own data', () => {
  it('are the shop’s where none are given', () => {
    const { joint, made } = planned({});
    expect(headLimitsOf(joint, DEFAULT_PROFILE)).toEqual({ limits: 'standard', missing: null });
    expect(made.headLimits).toBe('standard');
  });

  it('hold in the plan as typed, with their reference', () => {
    const { made } = planned(OWN);
    expect(headLimits(made.headLimits)).toEqual({
      diameterD: { low: 1.36, high: 1.62 },
      heightD: { low: 0.42, high: 0.6 }
    });
    const band = made.stacks[0]?.head.ok ? made.stacks[0].head.result.heightBandD : null;
    expect(band?.low).toBeGreaterThanOrEqual(0.42);
    expect(band?.high).toBeLessThanOrEqual(0.6);
    expect(codes(OWN)).toContain('note own-heads');
    expect(codes({ ...OWN, headWideHighD: '1.9' })).toContain('attention own-heads');
  });

  it.each([
    [{ headHighLowD: '' }],
    [{ headWideLowD: '1.62' }],
    [{ headHighHighD: '0.3' }],
    [{ headsReason: '  ' }]
  ])('that are not whole (%o) stop the joint and judge nothing', (changes) => {
    expect(codes({ ...OWN, ...changes })).toContain('stop own-heads-unfinished');
    expect(planned({ ...OWN, ...changes }).made.headLimits).toBe('standard');
  });

  it('judge a head, ends included, and let no long one pass', () => {
    const limits = HeadLimitsName.parse('own:1.36:1.62:0.42:0.6');
    const D = 5 / 32;
    const verdict = (wideD: number, highD: number) => {
      const judged = drivenHead({
        dash: 5,
        limits,
        diameterIn: wideD * D,
        heightIn: highD * D,
        flags: []
      });
      return judged.ok ? judged.result : null;
    };
    expect(verdict(1.36, 0.42)?.verdict).toBe('accept');
    expect(verdict(1.62, 0.6)?.verdict).toBe('accept');
    expect(verdict(1.63, 0.5)).toMatchObject({ verdict: 'replace', findings: ['too-long'] });
    expect(verdict(1.5, 0.61)?.verdict).toBe('drive-more');
    expect(verdict(1.5, 0.41)?.verdict).toBe('replace');
  });

  it('judge a look at a release that froze them', () => {
    const facts = ReleasedFacts.parse({
      dash: 5,
      head: 'universal',
      partNumber: 'MS20470AD5-6',
      gripIn: 0.134,
      lengthIn: 0.375,
      holeIn: 0.159,
      widthIn: 6,
      overlapIn: 1,
      limits: 'own:1.36:1.62:0.42:0.6',
      limitsReference: 'sheet 12',
      predictedIn3: 0.0046
    });
    const look = (diameterIn: number) =>
      judgeLook(
        {
          id: '00000000-0000-4000-8000-000000000001',
          at: '2031-01-01T08:00:00Z',
          kind: 'checked',
          hole: 1,
          diameterIn,
          heightIn: 0.078,
          flags: []
        },
        facts,
        { dash: 5, room: null, number: 1 }
      );
    // 1.34 D: good by the shop's limits, not by these
    expect(look(1.34 * (5 / 32))).toMatchObject({ result: { verdict: 'replace' } });
    expect(look(1.37 * (5 / 32))).toMatchObject({ result: { verdict: 'accept' } });
  });

  it.each(['own:1:2', 'own:a:b:c:d', 'own', 'standard '])('are no %s', (text) => {
    expect(whyNot(HeadLimitsName.safeParse(text))).toBe('field ');
  });
});
