import {
  DRIVING_FIGURES,
  HAND_SQUEEZER_MOST_DASH,
  squeezeForce
} from '../catalog/driving-figures.ts';
import { atLeast } from '../units/tolerance.ts';
import type { ReleasedHole } from '../release/release.ts';
import type { DrivingAccess, Side } from './access.ts';
import type { DrivingTools, Yoke } from '../drive/driving-tools.ts';
import { touches, yokeReach, type Outline } from './reach.ts';
import type { RivetRun } from './rivet-runs.ts';
import type { Alloy } from '../schema/fields.ts';

/** In the order of preference, where they can be had. */
export const DRIVING_WAYS = [
  'remote-bar',
  'punch-dimpling',
  'squeeze',
  'back-rivet',
  'buck',
  'two-people'
] as const;
export type DrivingWay = (typeof DRIVING_WAYS)[number];

/** Why a way is open or not, as a code with its quantities; lengths in inches. */
export type WayReason =
  | { code: 'closed-member' | 'no-closed-member' | 'no-wedge-bar' }
  | { code: 'punches'; gripIn: number }
  | { code: 'does-not-punch' | 'punch-first' }
  | { code: 'yoke-reaches'; yoke: string; holes: number }
  | { code: 'yoke-reaches-some'; yoke: string; holes: number; of: number }
  | { code: 'no-yoke-reaches' }
  | { code: 'squeezer-too-weak'; needLb: number; estimated: boolean }
  | { code: 'no-squeeze-figure'; alloy: Alloy }
  | { code: 'lies-face-down' | 'not-flush' | 'cannot-lie' | 'no-plate' }
  | { code: 'arms-reach' | 'arms-do-not-reach' }
  | { code: 'no-set' | 'no-gun' | 'no-bar' }
  | { code: 'no-room'; side: 'head' | 'shop'; roomIn: number; needIn: number }
  | { code: 'touches'; tool: 'set' | 'bar'; holes: number };

export interface WayFound {
  way: DrivingWay;
  fits: boolean;
  why: WayReason[];
}

/** How one hole is reached by the yoke that reaches most. */
export interface RunReach {
  yoke: Yoke;
  from: ReadonlyMap<number, Side>;
}

export interface RunDriving {
  run: RivetRun;
  /** null: none of them fits */
  chosen: DrivingWay | null;
  ways: WayFound[];
  reach: RunReach | null;
}

const noRoom = (side: 'head' | 'shop', roomIn: number | null, needIn: number): WayReason[] =>
  roomIn === null || atLeast(roomIn, needIn) ? [] : [{ code: 'no-room', side, roomIn, needIn }];

/** The yoke that reaches most holes of a run; of equal ones the one with the shorter throat. */
export function bestYoke(
  run: RivetRun,
  outline: Outline,
  access: DrivingAccess,
  yokes: readonly Yoke[]
): RunReach | null {
  const tried = yokes.map((yoke): RunReach => {
    const from = new Map<number, Side>();
    for (const hole of run.holes) {
      const found = yokeReach(hole, outline, access, yoke, hole.gripIn ?? run.gripMostIn);
      if (found.ok && found.result.from !== null) from.set(hole.number, found.result.from);
    }
    return { yoke, from };
  });
  return (
    tried.sort((a, b) => b.from.size - a.from.size || a.yoke.throatIn - b.yoke.throatIn)[0] ?? null
  );
}

/** The sets that suit a run: a cup of its size wider than the head, flush faces the widest first. */
export const setsFor = (run: Pick<RivetRun, 'head' | 'dash'>, tools: DrivingTools) =>
  tools.sets
    .filter(({ kind, dash }) =>
      run.head === 'universal' ? kind === 'cup' && dash === run.dash : kind === 'flush'
    )
    .sort((a, b) => (run.head === 'universal' ? a.acrossIn - b.acrossIn : b.acrossIn - a.acrossIn));

export const barsFor = ({ dash }: Pick<RivetRun, 'dash'>, tools: DrivingTools) =>
  tools.bars.filter(
    ({ weightLb }) =>
      weightLb >= DRIVING_FIGURES[dash].barLb.least && weightLb <= DRIVING_FIGURES[dash].barLb.most
  );
export const gunsFor = ({ dash }: Pick<RivetRun, 'dash'>, tools: DrivingTools) =>
  tools.guns.filter(({ size }) => DRIVING_FIGURES[dash].guns.includes(size));
/** By hand where that is easy; where it is hard work the powered ones first. None where nobody gives a figure for the alloy. */
export const squeezersFor = (
  { dash, alloy }: Pick<RivetRun, 'dash' | 'alloy'>,
  tools: DrivingTools
) =>
  tools.squeezers
    .filter(
      ({ powered, forceLb }) =>
        forceLb >= (squeezeForce(dash, alloy)?.lb ?? Infinity) &&
        (powered || dash <= HAND_SQUEEZER_MOST_DASH)
    )
    .sort(
      (a, b) => (dash < HAND_SQUEEZER_MOST_DASH ? 1 : -1) * (Number(a.powered) - Number(b.powered))
    );

/**
 * Holes where even the set, or the bar, that stands clear of most touches what stands up.
 *
 * @returns hole numbers; empty where some tool of the shop stands clear at every hole
 */
export function touchedHoles(
  run: RivetRun,
  outline: Outline,
  access: DrivingAccess,
  tools: DrivingTools
): Record<'set' | 'bar', number[]> {
  const fewest = (tool: 'set' | 'bar', radii: readonly number[]): number[] =>
    radii
      .map((radiusIn) =>
        run.holes
          .filter(
            (hole) =>
              touches(hole, [], outline, access.upstands, {
                head: run.head,
                setRadiusIn: tool === 'set' ? radiusIn : null,
                barRadiusIn: tool === 'bar' ? radiusIn : null
              }).length > 0
          )
          .map(({ number }) => number)
      )
      .sort((a, b) => a.length - b.length)[0] ?? [];
  return {
    set: fewest(
      'set',
      setsFor(run, tools).map(({ radiusIn }) => radiusIn)
    ),
    bar: fewest(
      'bar',
      barsFor(run, tools).map(({ radiusIn }) => radiusIn)
    )
  };
}

/** The wall of a cup round its rim; further up a set may be wider, but the next head does not reach there. */
const LIP_IN = 1 / 32;

/**
 * Holes where the rim of the smallest cup that suits would lie on a neighboring manufactured head: a tilted set is sure there.
 *
 * @param holes every hole of the release
 * @returns hole numbers; empty for flush heads, and where the shop has no set
 */
export function headsTouched(
  run: RivetRun,
  holes: readonly ReleasedHole[],
  tools: DrivingTools
): number[] {
  if (run.head !== 'universal') return [];
  const radii = setsFor(run, tools).map(({ acrossIn }) => acrossIn / 2 + LIP_IN);
  if (radii.length === 0) return [];
  const outline = { widthIn: 0, heightIn: 0 };
  return run.holes
    .filter(
      (hole) =>
        touches(hole, holes, outline, [], {
          head: run.head,
          setRadiusIn: Math.min(...radii),
          barRadiusIn: null
        }).length > 0
    )
    .map(({ number }) => number);
}

/**
 * How one run of equal rivets can be driven, every way with its reasons, the first that fits chosen.
 *
 * @param access how one gets at the rivets, as it was told
 * @returns ways in the order of preference: inside a closed member only the remote bar; sheets that the rivet itself
 *   dimples with it as punch; squeezed where one yoke reaches every hole; back-riveted face down; bucked by one; by two
 * @throws never
 * @source drive; forces, bars and guns driving-tools
 */
export function drivingWays(
  run: RivetRun,
  outline: Outline,
  access: DrivingAccess,
  tools: DrivingTools
): RunDriving {
  const force = squeezeForce(run.dash, run.alloy);
  const reach = bestYoke(run, outline, access, tools.yokes);
  const reached = reach?.from.size ?? 0;
  const guns = gunsFor(run, tools);
  const bars = barsFor(run, tools);
  const gunIn = Math.min(...guns.map(({ lengthIn }) => lengthIn));
  const barIn = Math.min(...bars.map(({ heightIn }) => heightIn)) + run.lengthIn - run.gripLeastIn;
  const touched = touchedHoles(run, outline, access, tools);
  const missing: WayReason[] = [
    ...(guns.length === 0 ? [{ code: 'no-gun' as const }] : []),
    ...(bars.length === 0 ? [{ code: 'no-bar' as const }] : []),
    ...(setsFor(run, tools).length === 0 ? [{ code: 'no-set' as const }] : [])
  ];
  const inTheWay =
    missing.length > 0
      ? missing
      : [
          ...noRoom('head', access.headRoomIn, gunIn),
          ...noRoom('shop', access.shopRoomIn, barIn),
          ...(['set', 'bar'] as const).flatMap((tool): WayReason[] =>
            touched[tool].length > 0 ? [{ code: 'touches', tool, holes: touched[tool].length }] : []
          )
        ];
  const closed: WayReason[] = access.closedMember ? [{ code: 'closed-member' }] : [];
  const punch: WayReason[] = run.punches ? [{ code: 'punch-first' }] : [];
  const way = (name: DrivingWay, against: WayReason[], by: WayReason[]): WayFound => ({
    way: name,
    fits: against.length === 0,
    why: against.length === 0 ? by : against
  });
  const weak = squeezersFor(run, tools).length === 0;
  const ways: WayFound[] = [
    way(
      'remote-bar',
      access.closedMember
        ? tools.wedgeBars.length === 0
          ? [{ code: 'no-wedge-bar' }]
          : []
        : [{ code: 'no-closed-member' }],
      closed
    ),
    way(
      'punch-dimpling',
      [...closed, ...(run.punches ? inTheWay : [{ code: 'does-not-punch' as const }])],
      [{ code: 'punches', gripIn: run.gripMostIn }]
    ),
    way(
      'squeeze',
      [
        ...closed,
        ...punch,
        ...(force === null
          ? [{ code: 'no-squeeze-figure' as const, alloy: run.alloy }]
          : weak
            ? [
                {
                  code: 'squeezer-too-weak' as const,
                  needLb: force.lb,
                  estimated: force.estimated
                }
              ]
            : []),
        ...(reached === run.holes.length
          ? []
          : reach && reached > 0
            ? [
                {
                  code: 'yoke-reaches-some' as const,
                  yoke: reach.yoke.name,
                  holes: reached,
                  of: run.holes.length
                }
              ]
            : [{ code: 'no-yoke-reaches' as const }])
      ],
      reach ? [{ code: 'yoke-reaches', yoke: reach.yoke.name, holes: reached }] : []
    ),
    way(
      'back-rivet',
      [
        ...closed,
        ...punch,
        ...(run.head === 'countersunk' ? [] : [{ code: 'not-flush' as const }]),
        ...(access.faceDown ? [] : [{ code: 'cannot-lie' as const }]),
        ...(tools.plate ? [] : [{ code: 'no-plate' as const }]),
        ...(tools.sets.some(({ kind }) => kind === 'back') ? [] : [{ code: 'no-set' as const }]),
        ...(guns.length === 0
          ? [{ code: 'no-gun' as const }]
          : noRoom('shop', access.shopRoomIn, gunIn))
      ],
      [{ code: 'lies-face-down' }]
    ),
    way(
      'buck',
      [
        ...closed,
        ...punch,
        ...(access.armsReach ? [] : [{ code: 'arms-do-not-reach' as const }]),
        ...inTheWay
      ],
      [{ code: 'arms-reach' }]
    ),
    way(
      'two-people',
      [...closed, ...punch, ...inTheWay],
      [{ code: access.armsReach ? 'arms-reach' : 'arms-do-not-reach' }]
    )
  ];
  return { run, chosen: ways.find(({ fits }) => fits)?.way ?? null, ways, reach };
}

/** Holes where no set or no bar of the shop stands clear, of the runs that are driven with them. */
export const touchedOfRuns = (
  runs: readonly RivetRun[],
  outline: Outline,
  access: DrivingAccess,
  tools: DrivingTools
): Set<number> =>
  new Set(
    runs.flatMap((run) => {
      const { chosen } = drivingWays(run, outline, access, tools);
      if (chosen !== null && chosen !== 'buck' && chosen !== 'two-people') return [];
      const { set, bar } = touchedHoles(run, outline, access, tools);
      return [...set, ...bar];
    })
  );
