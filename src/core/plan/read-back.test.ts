import { describe, expect, it } from 'vitest';
import type { EnteredJoint } from '../kinds/joint.ts';
import { readEntered } from '../kinds/read-entered.ts';
import { takeUp } from '../edit/take-up.ts';
import { DEFAULT_PROFILE } from '../rules/profile.ts';
import * as demo from '../../../scripts/demo-data.ts';
import { stopsOf } from './stops.ts';
import { plan } from './plan.ts';
import { markRows } from '../exchange/mark-rows.ts';

const JOINTS = Object.entries(demo).flatMap(([name, value]): [string, EnteredJoint][] =>
  typeof value === 'object' && 'kind' in value ? [[name, value as EnteredJoint]] : []
);

/** As a table of ours writes a place: six decimals. */
const laidOut = (entered: EnteredJoint) => {
  const read = readEntered(entered);
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  const planned = plan(read.definition, DEFAULT_PROFILE);
  if (!planned.layout.ok) throw new Error(JSON.stringify(planned.layout.error));
  return { planned, layout: planned.layout.result };
};

describe('positions read back from our own files', () => {
  it.each(JOINTS)('%s lays out as it was', (_, entered) => {
    const { planned, layout } = laidOut(entered);
    const found = markRows({
      layout,
      stacks: planned.stacks,
      profile: DEFAULT_PROFILE,
      unit: 'in',
      fixed: [],
      warningOf: () => ''
    }).flatMap(({ hole, x_in, y_in }) =>
      typeof hole === 'number' ? [{ xIn: Number(x_in), yIn: Number(y_in), diameterIn: null }] : []
    );
    const { fixed, left } = takeUp(found, [], layout.lines, 'own');
    expect(left).toEqual([]);
    const again = laidOut({ ...entered, fixed, keepOuts: [] } as EnteredJoint);
    expect(again.layout.holes).toHaveLength(layout.holes.length);
    again.layout.holes.forEach((hole, index) => {
      expect(hole.xIn).toBeCloseTo(layout.holes[index]?.xIn ?? NaN, 5);
      expect(hole.yIn).toBeCloseTo(layout.holes[index]?.yIn ?? NaN, 5);
    });
    expect(stopsOf(again.planned).map(({ said }) => said)).toEqual(
      stopsOf(planned).map(({ said }) => said)
    );
  });

  it.each(JOINTS)('%s: holes found a few thousandths off are taken and judged', (_, entered) => {
    const { planned, layout } = laidOut(entered);
    const found = layout.holes.map(({ xIn, yIn }, index) => ({
      xIn: xIn + 0.004 * Math.sin(7 * index),
      yIn: yIn + 0.004 * Math.cos(5 * index),
      diameterIn: null
    }));
    const { fixed, left } = takeUp(found, [], layout.lines, 'real');
    expect(left).toEqual([]);
    const again = laidOut({ ...entered, fixed, keepOuts: [] } as EnteredJoint).layout;
    // no hole is laid beside one that is there, and none is lost
    expect(again.holes).toHaveLength(planned.holes.length);
    for (const { xIn, yIn } of again.holes)
      expect(found.some((one) => Math.hypot(one.xIn - xIn, one.yIn - yIn) < 1e-5)).toBe(true);
  });
});
