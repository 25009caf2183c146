import { describe, expect, it } from 'vitest';
import { definition, layoutOf, planned } from '../../../tests/support/joints.ts';
import { stops } from '../../../tests/support/words.ts';
import { DEFAULT_PROFILE } from '../rules/profile';

/** A member 40 in long with two lines that carries two rivets an inch by its own data. */
const member = (ends: readonly string[], dashes: readonly (4 | 5)[] = [], lines: 1 | 2 = 2) =>
  definition('tapered', ['0.040', '0.050'], {
    carries: 'guidance',
    perInch: '2',
    perInchReason: 'sheet QR-12',
    lengthIn: '40',
    flangeIn: '2',
    flangeEndIn: '2',
    lines,
    dash: 4,
    scale: 'exact',
    zones: ends.map((toIn, at) => ({ id: `zone-${at}`, dash: dashes[at] ?? 4, toIn }))
  });
const NINE = ['4', '8', '12', '16', '20', '24', '28', '32', '36'];
const rivets = (joint: ReturnType<typeof member>, profile = DEFAULT_PROFILE) =>
  layoutOf(joint, profile).holes.filter(({ state }) => state === 'rivet').length;

describe('the rivet on the border of two zones', () => {
  it('counts once: nine zone ends hold no fewer than none', () => {
    expect(rivets(member([]))).toBe(80);
    expect(rivets(member(NINE))).toBeGreaterThanOrEqual(80);
    expect(stops(planned(member(NINE)))).toEqual([]);
  });

  it('counts once where the sizes differ: each zone has what it needs of its own', () => {
    const layout = layoutOf(member(['20'], [5]));
    const { lines } = layout;
    const border = lines[0]?.holes.at(-1);
    expect(lines[1]?.holes[0]).not.toBe(border);
    const of = (zone: number) =>
      new Set(
        layout.lines.filter(({ key }) => key.endsWith(`zone-${zone}`)).flatMap(({ holes }) => holes)
      );
    const [first, second] = [of(1), of(2)];
    const own = [...second].filter((hole) => !first.has(hole)).length;
    expect(second.size - own).toBe(2);
    // 20 in at 2 an inch
    expect([first.size >= 40, own >= 40]).toEqual([true, true]);
  });

  it('dividing a member never lowers the count, whichever way pitches are chosen', () => {
    for (const pitch of ['fewest', 'near'] as const)
      for (const ends of [['7'], ['11 3/8', '23'], ['3', '5', '30'], NINE])
        for (const lines of [1, 2] as const) {
          const profile = { ...DEFAULT_PROFILE, pitch };
          expect(
            rivets(member(ends, [], lines), profile),
            `${pitch} ${ends.join()} ${lines}`
          ).toBeGreaterThanOrEqual(rivets(member([], [], lines), profile));
        }
  });
});

/** With a hole of a line taken out by hand. */
const without = <J extends { edits: readonly unknown[] }>(
  joint: J,
  taken: readonly { line: string; index: number; of: number }[]
): J => ({
  ...joint,
  edits: taken.map((one, at) => ({
    id: `edit-${at}`,
    state: 'removed',
    nudgeIn: 0,
    reason: '',
    drill: '',
    asRivets: false,
    ...one
  }))
});
const failing = (joint: Parameters<typeof layoutOf>[0]) =>
  layoutOf(joint)
    .checks.filter(({ ok }) => !ok)
    .map(({ rule }) => rule);

describe('limits run across lines', () => {
  const attached = definition('tapered', ['0.040', '0.050'], {
    carries: 'attach',
    lengthIn: '24',
    flangeIn: '1 1/2',
    flangeEndIn: '1 1/2',
    dash: 4,
    scale: 'exact',
    zones: [{ id: 'z', dash: 4, toIn: '12' }]
  });

  it('from zone to zone, where the rivet on their border is gone', () => {
    expect(failing(attached)).toEqual([]);
    const [first] = layoutOf(attached).lines;
    const of = first?.laidCount ?? 0;
    const gone = without(attached, [{ line: first?.key ?? '', index: of - 1, of }]);
    expect(failing(gone)).toContain('pitch-max');
    expect(stops(planned(gone)).length).toBeGreaterThan(0);
  });

  it('to the end of the metal, where a member has zones', () => {
    const [first, second] = layoutOf(attached).lines;
    const at = (line: typeof first, index: number) => ({
      line: line?.key ?? '',
      index,
      of: line?.laidCount ?? 0
    });
    expect(failing(without(attached, [at(first, 0)]))).toContain('edge-max');
    expect(failing(without(attached, [at(second, (second?.laidCount ?? 0) - 1)]))).toContain(
      'edge-max'
    );
  });

  it('round the corner of a patch and of a frame, that must not be bare', () => {
    const patch = definition('patch', ['0.032', '0.040'], {
      carries: 'attach',
      cutoutWIn: '6',
      cutoutHIn: '5',
      cornerRadiusIn: '1/4',
      dash: 4,
      scale: 'exact'
    });
    const frame = definition('panel', ['0.125', '0.040'], {
      widthIn: '14',
      heightIn: '10',
      frameIn: '1',
      dash: 4,
      scale: 'exact'
    });
    for (const joint of [patch, frame]) {
      expect(failing(joint)).toEqual([]);
      const layout = layoutOf(joint);
      const top = layout.lines.find(({ key }) => key.endsWith('top'));
      const of = top?.laidCount ?? 0;
      for (const index of [0, of - 1]) {
        const bare = without(joint, [{ line: top?.key ?? '', index, of }]);
        expect(failing(bare), joint.kind).toContain('edge-max');
      }
    }
  });

  it('round a ring, where a hole was moved past its neighbors', () => {
    const ring = definition('round', ['0.080', '0.025'], {
      ...{ carries: 'attach' as const, dash: 5 as const, scale: 'exact' as const },
      ...{ insert: false, rings: 1, cutoutIn: '2' }
    });
    const layout = layoutOf(ring);
    const [line] = layout.lines;
    const of = line?.laidCount ?? 0;
    const [a, b, c] = (line?.holes ?? []).map((number) =>
      layout.holes.find((hole) => hole.number === number)
    );
    expect(failing(ring)).toEqual([]);
    // from its own place past the next one, to half way before the one after
    const spaceIn = (b?.alongIn ?? 0) - (a?.alongIn ?? 0);
    const moved = {
      ...without(ring, [{ line: line?.key ?? '', index: 0, of }]),
      edits: without(ring, [{ line: line?.key ?? '', index: 0, of }]).edits.map((edit) => ({
        ...edit,
        state: 'as-laid' as const,
        nudgeIn: 1.9 * spaceIn
      }))
    };
    expect(layoutOf(moved).lines[0]?.holes.slice(0, 3)).toEqual([b?.number, a?.number, c?.number]);
    expect(failing(moved)).toEqual(expect.arrayContaining(['pitch-min']));
  });
});
