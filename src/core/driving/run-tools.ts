import { workLine, type WorkLine } from '../answer.ts';
import { by, len } from '../notation.ts';
import {
  DRIVING_FIGURES,
  squeezeForce,
  type GunSize,
  type SqueezeForce
} from '../catalog/driving-figures.ts';
import { rivetSize } from '../catalog/rivets.ts';
import { above } from '../units/tolerance.ts';
import type { DrivingAccess } from './access.ts';
import type { DrivingTools, RivetSet } from '../drive/driving-tools.ts';
import {
  barsFor,
  gunsFor,
  setsFor,
  squeezersFor,
  type DrivingWay,
  type RunReach
} from './driving-ways.ts';
import { touches, type Outline } from './reach.ts';
import type { RivetRun } from './rivet-runs.ts';
import { squeezerGap } from '../drive/squeezer-gap.ts';

/** One thing to lay ready for a run; `have` null: the shop has none that suits. Lengths in inches. */
export type ToolNeed =
  | { tool: 'gun'; have: string | null; sizes: readonly GunSize[] }
  | { tool: 'air'; leastPsi: number; mostPsi: number }
  | {
      tool: 'set';
      kind: RivetSet['kind'];
      have: { name: string; acrossIn: number; rim: RivetSet['rim'] } | null;
      headIn: number;
    }
  | {
      tool: 'bar';
      have: { name: string; weightLb: number } | null;
      leastLb: number;
      mostLb: number;
    }
  | { tool: 'burst'; leastS: number; mostS: number }
  | { tool: 'squeezer'; have: string | null; force: SqueezeForce | null }
  | { tool: 'gap'; leastIn: number; mostIn: number; work: WorkLine[] }
  | { tool: 'yoke'; have: string | null; throatIn: number | null }
  | { tool: 'dimple-set' | 'tape' | 'plate' }
  | { tool: 'wedge-bar'; have: string | null };

/** The first that stands clear of what stands up at every hole, else none. */
const clear = <T extends { radiusIn: number }>(
  run: RivetRun,
  outline: Outline,
  access: DrivingAccess,
  tool: 'set' | 'bar',
  of: readonly T[]
): T | undefined =>
  of.find(({ radiusIn }) =>
    run.holes.every(
      (hole) =>
        touches(hole, [], outline, access.upstands, {
          head: run.head,
          setRadiusIn: tool === 'set' ? radiusIn : null,
          barRadiusIn: tool === 'bar' ? radiusIn : null
        }).length === 0
    )
  );

/**
 * What a run is driven with, of what the shop has.
 *
 * A cup is slightly wider than the head (narrower it cuts a smile, much wider it marks the sheet); a flush face is the widest
 * that fits.
 *
 * @throws never
 * @source driving-tools and drive
 */
export function runTools(
  run: RivetRun,
  way: DrivingWay,
  reach: RunReach | null,
  outline: Outline,
  access: DrivingAccess,
  tools: DrivingTools
): ToolNeed[] {
  const figures = DRIVING_FIGURES[run.dash];
  const headIn = rivetSize(run.dash).head[run.head].diameterIn;
  const wide = setsFor(run, tools).filter(
    ({ kind, acrossIn }) => kind !== 'cup' || above(acrossIn, headIn)
  );
  const setOf = (kind: RivetSet['kind'], have: RivetSet | undefined): ToolNeed => ({
    tool: 'set',
    kind,
    have: have ? { name: have.name, acrossIn: have.acrossIn, rim: have.rim } : null,
    headIn
  });
  const bar = clear(run, outline, access, 'bar', barsFor(run, tools));
  const gun: ToolNeed[] = [
    { tool: 'gun', have: gunsFor(run, tools)[0]?.name ?? null, sizes: figures.guns },
    { tool: 'air', leastPsi: figures.airPsi.least, mostPsi: figures.airPsi.most }
  ];
  const burst: ToolNeed = {
    tool: 'burst',
    leastS: figures.burstS.least,
    mostS: figures.burstS.most
  };
  const bucked: ToolNeed[] = [
    ...gun,
    setOf(run.head === 'universal' ? 'cup' : 'flush', clear(run, outline, access, 'set', wide)),
    {
      tool: 'bar',
      have: bar ? { name: bar.name, weightLb: bar.weightLb } : null,
      leastLb: figures.barLb.least,
      mostLb: figures.barLb.most
    },
    burst
  ];
  switch (way) {
    case 'squeeze': {
      // the shop head of a dimpled stack stands on its dimple, one head height further out
      const dimpleIn = run.dimpledThrough ? rivetSize(run.dash).head.countersunk.heightIn : 0;
      const gaps = [run.gripLeastIn, run.gripMostIn].map((gripIn) =>
        squeezerGap({ dash: run.dash, head: run.head, gripIn, shopHeightD: 0.5 })
      );
      const [least, most] = gaps;
      return [
        {
          tool: 'squeezer',
          have: squeezersFor(run, tools)[0]?.name ?? null,
          force: squeezeForce(run.dash, run.alloy)
        },
        { tool: 'yoke', have: reach?.yoke.name ?? null, throatIn: reach?.yoke.throatIn ?? null },
        ...(least?.ok && most?.ok
          ? [
              {
                tool: 'gap' as const,
                leastIn: least.result.gapIn + dimpleIn,
                mostIn: most.result.gapIn + dimpleIn,
                work: [
                  ...least.work,
                  ...(run.gripMostIn > run.gripLeastIn ? most.work : []),
                  ...(dimpleIn > 0
                    ? [
                        workLine(
                          'closed gap, dimpled',
                          by`${len(most.result.gapIn)} + dimple ${len(dimpleIn)}`,
                          most.result.gapIn + dimpleIn,
                          'in'
                        )
                      ]
                    : [])
                ]
              }
            ]
          : [])
      ];
    }
    case 'back-rivet':
      return [
        ...gun,
        setOf(
          'back',
          tools.sets.find(({ kind }) => kind === 'back')
        ),
        { tool: 'tape' },
        { tool: 'plate' },
        burst
      ];
    case 'punch-dimpling':
      return [{ tool: 'dimple-set' }, ...bucked];
    case 'remote-bar':
      return [
        { tool: 'wedge-bar', have: tools.wedgeBars[0]?.name ?? null },
        ...bucked.filter(({ tool }) => tool !== 'bar')
      ];
    default:
      return bucked;
  }
}
