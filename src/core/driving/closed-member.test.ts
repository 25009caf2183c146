import { describe, expect, it } from 'vitest';
import { ReleasedFacts, type ReleasedHole } from '../release/release.ts';
import { closedMemberPlan, insideAtIn, shimHeights } from './closed-member.ts';

const COUNT = 376;
const facts = ReleasedFacts.parse({
  dash: 5,
  head: 'universal',
  partNumber: 'MS20470AD5-6',
  gripIn: 0.14,
  lengthIn: 0.375,
  holeIn: 0.159,
  widthIn: 188,
  overlapIn: 1.2,
  limits: 'standard',
  predictedIn3: null
});
const holes: ReleasedHole[] = Array.from({ length: COUNT }, (_, at) => ({
  number: at + 1,
  row: 1,
  xIn: 0.25 + at * 0.5,
  yIn: 0.6,
  markIn: 0,
  stack: 0,
  dash: 5,
  gripIn: 0.14,
  room: null
}));
const order = holes.map(({ number }) => number);
const member = {
  nearIn: 1.95,
  farIn: 1.3,
  wallsIn: 0.19,
  wallsFarIn: null,
  from: 'left' as const,
  offsetIn: 3
};
const bar = { barIn: 0.72, risePerIn: 0.09, travelIn: 5, shimsIn: [0.28, 0.55] };
const planned = (change: Partial<typeof bar> = {}) =>
  closedMemberPlan(facts, holes, order, member, { ...bar, ...change });

describe('a closed member whose walls taper', () => {
  const tube = { ...member, nearIn: 2.75, farIn: 2.75, wallsIn: 1, wallsFarIn: 0.25 };

  it('is as wide inside at each rivet as its walls leave it', () => {
    // walls of 1/2 to 1/8 on both sides: from 1.75 to 2.5 clear inside
    expect(insideAtIn(tube, 0)).toBeCloseTo(1.75, 12);
    expect(insideAtIn(tube, 1)).toBeCloseTo(2.5, 12);
    expect(insideAtIn(tube, 0.5)).toBeCloseTo(2.125, 12);
    expect(insideAtIn({ ...tube, wallsFarIn: null }, 1)).toBeCloseTo(1.75, 12);
    const found = closedMemberPlan(facts, holes, order, tube, {
      ...bar,
      shimsIn: [0.28, 0.55, 0.6, 0.3]
    });
    if (!found.ok) throw new Error('refused');
    expect(found.result.rivets.get(1)?.insideIn).toBeCloseTo(1.75 + (0.75 * 0.25) / 188, 12);
    expect(found.result.runs.length).toBeGreaterThan(1);
  });

  it('is refused where its walls cannot hold the sheets under the rivets', () => {
    const refused = (walls: object, at: readonly ReleasedHole[] = holes) => {
      const found = closedMemberPlan(facts, at, order, { ...tube, ...walls }, bar);
      return found.ok ? null : found.error.said;
    };
    // both walls 0.13 thick in all, and the sheets under the rivet 0.14
    expect(refused({ wallsIn: 1, wallsFarIn: 0.13 })).toMatchObject({
      code: 'walls-under-grip',
      gripIn: 0.14
    });
    const tapering = holes.map((hole, at) => ({ ...hole, gripIn: 0.5 - (0.36 * at) / COUNT }));
    expect(refused({ wallsIn: 1, wallsFarIn: 1 }, tapering)).toMatchObject({
      code: 'walls-do-not-taper',
      mostIn: 0.5
    });
    expect(refused({ wallsIn: 1, wallsFarIn: null }, tapering)).toMatchObject({
      code: 'walls-do-not-taper'
    });
    expect(refused({ wallsIn: 1, wallsFarIn: 0.3 }, tapering)).not.toMatchObject({
      code: 'walls-do-not-taper'
    });
  });
});

describe('a closed member that tapers', () => {
  it('376 rivets with two changes of shims, each pulled to its own head', () => {
    const found = planned();
    if (!found.ok) throw new Error('refused');
    const { runs, rivets } = found.result;
    expect(runs.map(({ shimIn }) => shimIn)).toEqual([0.55, 0.28, 0]);
    expect(runs.flatMap((run) => run.holes)).toEqual(order);
    // rivet 1 at 0.25: 1.95 − 0.65 × 0.25/188 − 0.19 inside, the shank stands 0.235 out
    const inside = 1.95 - (0.65 * 0.25) / 188 - 0.19;
    const first = rivets.get(1);
    expect(first?.insideIn).toBeCloseTo(inside, 12);
    expect(first?.touchPullIn).toBeCloseTo((inside - 0.72 - 0.55 - 0.235) / 0.09, 9);
    // the finished head is half of 5/32 high
    expect(first?.finalPullIn).toBeCloseTo((inside - 0.72 - 0.55 - 0.078125) / 0.09, 9);
    expect(first?.indexIn).toBeCloseTo(3.25, 12);
    for (const one of rivets.values()) {
      expect(one.touchPullIn).toBeGreaterThanOrEqual(-1e-9);
      expect(one.finalPullIn).toBeLessThanOrEqual(bar.travelIn + 1e-9);
    }
    expect(rivets.size).toBe(COUNT);
  });

  it('changes shims no more often than any choice must', () => {
    const found = planned({ shimsIn: [0.1, 0.2, 0.4] });
    if (!found.ok) throw new Error('refused');
    // each rivet takes a range of heights; fewest runs by trying every place to change, working backwards
    const heights = shimHeights([0.1, 0.2, 0.4]);
    const serves = (hole: ReleasedHole, shim: number) => {
      const inside = 1.95 - (0.65 * hole.xIn) / 188 - 0.19;
      const free = inside - bar.barIn - shim - 0.235;
      return free >= -1e-9 && (inside - bar.barIn - shim - 0.078125) / 0.09 <= 5 + 1e-9;
    };
    const fewest: number[] = Array.from({ length: COUNT + 1 }, () => Infinity);
    fewest[COUNT] = 0;
    for (let at = COUNT - 1; at >= 0; at--)
      for (const shim of heights) {
        let end = at;
        for (let next = holes[end]; next && serves(next, shim); next = holes[end]) {
          end += 1;
          fewest[at] = Math.min(fewest[at] ?? Infinity, 1 + (fewest[end] ?? Infinity));
        }
      }
    expect(found.result.runs).toHaveLength(fewest[0] ?? NaN);
  });

  it('stops the pull one head height earlier where the shop head stands on a dimple', () => {
    const of = (dimpledThrough: boolean) => {
      const stack = {
        name: 's',
        dash: 5,
        partNumber: 'MS20426AD5-6',
        lengthIn: 0.375,
        holeIn: 0.159
      };
      const dimpled = ReleasedFacts.parse({ ...facts, stacks: [{ ...stack, dimpledThrough }] });
      const thin = holes.slice(0, 1).map((hole) => ({ ...hole, gripIn: 0.08 }));
      const found = closedMemberPlan(dimpled, thin, [1], member, bar);
      return found.ok ? found.result.rivets.get(1) : undefined;
    };
    const [flat, raised] = [of(false), of(true)];
    // the shank ends at the same place; 0.055 over a rise of 0.09
    expect(raised?.touchPullIn).toBeCloseTo(flat?.touchPullIn ?? NaN, 9);
    expect((flat?.finalPullIn ?? NaN) - (raised?.finalPullIn ?? NaN)).toBeCloseTo(0.055 / 0.09, 9);
  });

  it('says which rivet no shims serve', () => {
    // without shims the bar does not come up to the first rivet
    const found = planned({ shimsIn: [], travelIn: 1 });
    expect(found).toMatchObject({
      ok: false,
      error: { said: { code: 'no-shims-serve', hole: 1 } }
    });
  });

  it('counts the rod from the end that it goes in by', () => {
    const found = closedMemberPlan(facts, holes, order, { ...member, from: 'right' }, bar);
    if (!found.ok) throw new Error('refused');
    expect(found.result.rivets.get(1)?.indexIn).toBeCloseTo(188 - 0.25 + 3, 9);
  });
});

describe('heights of shims', () => {
  it('are every sum of them, each once', () => {
    expect(shimHeights([0.1, 0.1, 0.25])).toEqual([0, 0.1, 0.2, 0.25, 0.35, 0.45]);
  });
});
