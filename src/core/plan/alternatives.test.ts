import { describe, expect, it } from 'vitest';
import { entered } from '../../../tests/support/joints';
import type { EnteredJoint } from '../kinds/joint';
import { readEntered } from '../kinds/read-entered';
import { plan } from './plan';
import { DEFAULT_PROFILE } from '../rules/profile';
import { alternatives } from './alternatives';

const compare = (joint: EnteredJoint) => {
  const read = readEntered(joint);
  if (!read.ok) throw new Error('cannot be read');
  return alternatives(
    joint,
    read.definition,
    DEFAULT_PROFILE,
    plan(read.definition, DEFAULT_PROFILE)
  );
};

const KINDS: EnteredJoint[] = [
  entered('lap', ['0.040', '0.040'], { widthIn: '10 3/4', location: 'single-lap', dash: 4 }),
  entered('splice', ['0.040', '0.050'], {
    widthIn: '8 3/8',
    location: 'intermediate-frame',
    dash: 5
  }),
  entered('patch', ['0.025', '0.032'], {
    cutoutWIn: '4',
    cutoutHIn: '3',
    dash: 4,
    cornerRadiusIn: '1/4',
    carries: 'attach'
  }),
  entered('round', ['0.032', '0.040'], {
    cutoutIn: '2 3/8',
    dash: 4,
    insert: false,
    carries: 'attach'
  }),
  entered('line', ['0.032', '0.040'], {
    lengthIn: '18',
    flangeIn: '1',
    bendRadiusIn: '1/8',
    carries: 'attach',
    dash: 4
  }),
  entered('panel', ['0.040', '0.125', '0.050'], {
    widthIn: '20',
    heightIn: '12',
    frameIn: '1',
    dash: 4
  }),
  entered('double-strap', ['0.032', '0.040', '0.032'], {
    widthIn: '3 3/8',
    location: 'intermediate-frame',
    dash: 4
  })
];

describe('other ways to lay a joint out', () => {
  it.each(KINDS.map((joint) => [joint.kind, joint] as const))(
    'offers at least three for a %s',
    (_, joint) => {
      const found = compare(joint);
      expect(found.length).toBeGreaterThanOrEqual(3);
      expect(found.filter(({ current }) => current)).toHaveLength(1);
    }
  );

  it('gives figures that laying it out so gives again', () => {
    for (const joint of KINDS)
      for (const other of compare(joint)) {
        const chosen = readEntered({ ...joint, ...other.change } as EnteredJoint);
        if (!chosen.ok) throw new Error('cannot be read');
        const planned = plan(chosen.definition, DEFAULT_PROFILE);
        expect(planned.layout.ok && planned.layout.result.rivets, other.name).toBe(other.rivets);
        expect(planned.dash).toBe(other.dash);
      }
  });

  it('names the school that the joint follows already', () => {
    // 50 needed in 10¾: one row of dash 4 would stand 0.208 apart, so two rows of 25
    const [now, ...others] = compare(KINDS[0] as EnteredJoint);
    expect(now).toMatchObject({ name: 'Fewest rivets', current: true, rivets: 50, lines: 2 });
    expect(others.map(({ name }) => name)).toContain('Two rows staggered');
    expect(others.find(({ name }) => name === 'Two rows staggered')?.rivets).toBe(51);
  });

  it('counts only holes that could take a larger size', () => {
    // 9/32 from the edge: not enough for dash 5, so no hole has room
    const [now] = compare(
      entered('lap', ['0.063', '0.063'], {
        widthIn: '8',
        dash: 4,
        rows: 1,
        perInch: '1',
        perInchReason: 'own sheet'
      })
    );
    expect(now).toMatchObject({ current: true, withRoom: 0 });
    // 3/8 takes dash 6 at every hole
    const [wide] = compare(
      entered('lap', ['0.063', '0.063'], {
        widthIn: '8',
        dash: 4,
        rows: 1,
        perInch: '1',
        perInchReason: 'own sheet',
        edgeIn: '3/8'
      })
    );
    expect(wide?.withRoom).toBe(wide?.rivets);
  });
});
