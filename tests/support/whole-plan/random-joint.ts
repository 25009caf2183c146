import fc from 'fast-check';
import type { EnteredJoint, JointKind } from '../../../src/core/kinds/joint.ts';
import type { Dash } from '../../../src/core/schema/fields.ts';
import { entered } from '../joints.ts';

/** Writes a length given in ten-thousandths of an inch: exactly, in inches or in mm. */
export type Write = (tenThou: number) => string;
export const inInches: Write = (tenThou) => String(tenThou / 10_000);
/** 0.0001 in is 0.00254 mm: no rounding in either. */
export const inMm: Write = (tenThou) => `${Number(((tenThou * 254) / 100_000).toFixed(5))}mm`;

/** A joint before it is known in which unit it is typed. */
export type Drafted = (write: Write) => EnteredJoint;

/** In sixteenths of an inch. */
const sixteenths = (least: number, most: number) =>
  fc.integer({ min: Math.ceil(least * 16), max: Math.floor(most * 16) }).map((n) => n * 625);
const gauge = fc.constantFrom(250, 320, 400, 500, 630, 800, 1000);

const picked = fc.record({
  dash: fc.constantFrom<('rule' | Dash)[]>('rule', 3, 4, 5, 6),
  head: fc.constantFrom('universal', 'universal', 'countersunk'),
  alloy: fc.constantFrom('AD', 'AD', 'DD'),
  family: fc.constantFrom('clad-2024', 'high-strength'),
  location: fc.constantFrom('general', 'single-lap', 'intermediate-frame'),
  prefer: fc.constantFrom('profile', 'fewest'),
  scale: fc.constantFrom('1/32', '1/64', '0.1', '1mm', '0.5mm', 'exact'),
  datum: fc.constantFrom('start', 'start', 'end')
});
const rows = fc.record({
  rows: fc.constantFrom('auto', 'auto', 1, 2, 3),
  pattern: fc.constantFrom('in-line', 'staggered')
});
const plain = fc.constant({});
const lengths = <K extends string>(own: Record<K, fc.Arbitrary<number>>) => fc.record(own);

/** What a kind takes beside its sheets: what is picked, and its lengths. */
const OWN: Record<
  JointKind,
  [sheets: number, picked: fc.Arbitrary<object>, lengths: fc.Arbitrary<object>]
> = {
  lap: [2, rows, lengths({ widthIn: sixteenths(2, 24) })],
  splice: [
    2,
    rows,
    lengths({ widthIn: sixteenths(2, 20), gapIn: fc.constantFrom(0, 625), farSheetIn: gauge })
  ],
  'double-strap': [
    3,
    fc.record({
      rows: fc.constantFrom('auto', 1, 2),
      run: fc.constantFrom('fits', 'across', 'along')
    }),
    lengths({ widthIn: sixteenths(1, 10) })
  ],
  line: [
    2,
    fc.record({ carries: fc.constantFrom('guidance', 'attach') }),
    lengths({
      lengthIn: sixteenths(3, 30),
      flangeIn: sixteenths(0.75, 2),
      bendRadiusIn: fc.constant(1250)
    })
  ],
  tapered: [
    2,
    fc.record({ carries: fc.constantFrom('guidance', 'attach'), lines: fc.constantFrom(1, 2) }),
    lengths({
      lengthIn: sixteenths(8, 40),
      flangeIn: sixteenths(1.5, 4),
      flangeEndIn: sixteenths(1.25, 4)
    })
  ],
  patch: [
    2,
    fc.record({
      style: fc.constantFrom('flush', 'plate-over', 'plate-under'),
      carries: fc.constantFrom('guidance', 'attach'),
      rows: fc.constantFrom(1, 2)
    }),
    lengths({
      cutoutWIn: sixteenths(2, 8),
      cutoutHIn: sixteenths(2, 6),
      cornerRadiusIn: fc.constantFrom(3125, 5000)
    })
  ],
  round: [
    2,
    fc.record({
      insert: fc.boolean(),
      carries: fc.constantFrom('guidance', 'attach'),
      rings: fc.constantFrom(1, 2)
    }),
    lengths({ cutoutIn: sixteenths(2, 6) })
  ],
  panel: [
    3,
    plain,
    lengths({
      widthIn: sixteenths(8, 20),
      heightIn: sixteenths(6, 16),
      frameIn: sixteenths(0.75, 1.25)
    })
  ]
};

/** A joint of a kind, nothing changed by hand. */
export const jointOf = (kind: JointKind): fc.Arbitrary<Drafted> => {
  const [sheets, own, measured] = OWN[kind];
  return fc
    .record({
      common: picked,
      own,
      measured,
      sheets: fc.array(gauge, { minLength: sheets, maxLength: sheets })
    })
    .map((joint): Drafted =>
      Object.assign(
        (write: Write) =>
          entered(kind, joint.sheets.map(write), {
            ...joint.common,
            ...joint.own,
            ...Object.fromEntries(
              Object.entries(joint.measured).map(([key, value]) => [key, write(value as number)])
            )
          }) as EnteredJoint,
        // what a counterexample is read by
        { [fc.toStringMethod]: () => JSON.stringify({ kind, ...joint }) }
      )
    );
};

/** A change by hand: which hole of which line, and what becomes of it. */
export interface ByHand {
  line: number;
  hole: number;
  state: 'as-laid' | 'held-open' | 'removed';
  /** ten-thousandths of an inch */
  nudge: number;
}
export const byHand: fc.Arbitrary<ByHand> = fc.record({
  line: fc.nat(5),
  hole: fc.nat(30),
  state: fc.constantFrom<ByHand['state'][]>('as-laid', 'held-open', 'removed'),
  nudge: fc.constantFrom(0, 625, -625, 1250, -1250, 2500, -2500, 7000, -7000, 12_000, -12_000)
});

/** What lies in the way of a plan: a hole that is there already, or an obstacle; by a share of the joint’s length and height. */
export interface Given {
  what: 'existing' | 'keep-out';
  line: number;
  along: number;
  /** ten-thousandths of an inch: off the line, or how wide */
  off: number;
}
export const given: fc.Arbitrary<Given> = fc.record({
  what: fc.constantFrom<Given['what'][]>('existing', 'keep-out'),
  line: fc.nat(5),
  along: fc.integer({ min: 0, max: 100 }),
  off: fc.constantFrom(0, 0, 625, 1250, -1250, 4000)
});

/** Where a long member changes its size. */
export const zonesOf = (joint: EnteredJoint, sizes: readonly (3 | 4 | 5)[]): EnteredJoint => {
  if (joint.kind !== 'tapered' || sizes.length < 2) return joint;
  const { lengthIn } = joint;
  const mm = lengthIn.endsWith('mm');
  const length = Number.parseFloat(lengthIn);
  return {
    ...joint,
    zones: sizes.map((dash, at) => ({
      id: `zone-${at + 1}`,
      dash,
      toIn: `${Number(((length * (at + 1)) / sizes.length).toFixed(4))}${mm ? 'mm' : ''}`
    }))
  };
};
