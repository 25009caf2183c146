import { describe, expect, it } from 'vitest';
import { entered } from '../../../tests/support/joints';
import type { EnteredJoint } from '../kinds/joint';
import { readEntered } from '../kinds/read-entered';
import { plan } from './plan';
import { DEFAULT_PROFILE } from '../rules/profile';
import { waysOut } from './ways-out';
import { inInches, wayInWords } from '../../../tests/support/words';

function planOf(joint: EnteredJoint) {
  const read = readEntered(joint);
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  return { definition: read.definition, plan: plan(read.definition, DEFAULT_PROFILE) };
}

const own = (perInch: string) => ({ perInch, perInchReason: 'made up for the test' });

/** Joints that cannot be made as they stand, and the way out that a person would look for first. */
const IMPOSSIBLE: [string, EnteredJoint, string][] = [
  [
    'a patch side with too many rivets for one line',
    entered('patch', ['0.032', '0.040'], {
      cutoutWIn: '4',
      cutoutHIn: '4',
      dash: 4,
      style: 'plate-over',
      ...own('3.6')
    }),
    'use two rows around the cutout'
  ],
  [
    'a patch whose insert has no room for its corner rivets',
    entered('patch', ['0.032', '0.040'], {
      cutoutWIn: '4',
      cutoutHIn: '3',
      dash: 4,
      cornerRadiusIn: '1 1/4',
      carries: 'attach'
    }),
    'round the corners to 0.375 in'
  ],
  [
    'a ring with too many rivets',
    entered('round', ['0.032', '0.040'], { cutoutIn: '2', dash: 4, insert: false, ...own('9') }),
    'set 2 rings'
  ],
  [
    'an insert too small for a rivet line',
    entered('round', ['0.032', '0.040'], { cutoutIn: '5/8', dash: 4, carries: 'attach' }),
    'remove the insert'
  ],
  [
    'a member with more rivets than one line holds',
    entered('tapered', ['0.040', '0.040'], { lengthIn: '30', flangeIn: '2', dash: 4, ...own('4') }),
    'set two lines'
  ],
  [
    'rows of a splice that do not fit',
    entered('splice', ['0.040', '0.040'], { widthIn: '6', dash: 4, rows: 1, ...own('4') }),
    'use automatic rows'
  ]
];

describe('ways out for every kind', () => {
  it.each(IMPOSSIBLE)('%s', (_, joint, expected) => {
    const { definition, plan: failed } = planOf(joint);
    const ways = waysOut(definition, DEFAULT_PROFILE, failed);
    expect(ways.map(({ said }) => wayInWords(said, inInches))).toContain(expected);
    for (const way of ways) {
      const mended = planOf({ ...joint, ...way.change } as EnteredJoint);
      expect(mended.plan.layout.ok, way.said.code).toBe(true);
    }
  });
});
