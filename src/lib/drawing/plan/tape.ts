import { CM_PER_IN, MM_PER_IN } from '../../../core/units/factors.ts';
import { above, atMost } from '../../../core/units/tolerance.ts';
import { divisionsPerIn, type RulerScale } from '../../../core/units/ruler.ts';

/** One line of a drawn ruler. */
export interface Tick {
  atIn: number;
  /** 0 the longest (carries a number) … 3 the shortest */
  rank: 0 | 1 | 2 | 3;
  text: string | null;
}

interface Ladder {
  /** divisions an inch of each rank, coarsest first */
  perIn: [number, number, number, number];
  /** the numbers' unit */
  unit: 'in' | 'cm';
}

const LADDERS: Record<'fraction' | 'tenth' | 'metric', Ladder> = {
  fraction: { perIn: [1, 4, 16, 64], unit: 'in' },
  tenth: { perIn: [1, 2, 10, 100], unit: 'in' },
  metric: { perIn: [CM_PER_IN, 2 * CM_PER_IN, MM_PER_IN, 2 * MM_PER_IN], unit: 'cm' }
};

const ladderOf = (scale: RulerScale): Ladder =>
  scale.endsWith('mm') ? LADDERS.metric : scale.startsWith('0.') ? LADDERS.tenth : LADDERS.fraction;

const CLOSEST_TICKS_PX = 2.6;
/** a number and its unit need so much */
const CLOSEST_NUMBERS_PX = 40;
const COUNTED_BY = [1, 2, 5, 10, 20, 50, 100, 200, 500, 1000];

/**
 * The divisions of a ruler along a width, no finer than the chosen scale and no closer than can be
 * told apart; numbered as often as numbers have room.
 *
 * @param widthIn length of the ruler
 * @param scale whose divisions
 * @param pxPerIn drawing scale
 * @param seen the stretch that is in sight, in; a long ruler has more divisions than can be drawn
 */
export function rulerTicks(
  widthIn: number,
  scale: RulerScale,
  pxPerIn: number,
  seen: { fromIn: number; toIn: number } = { fromIn: 0, toIn: widthIn }
): Tick[] {
  const lastIn = Math.min(widthIn, seen.toIn);
  const { perIn, unit } = ladderOf(scale);
  const finest = divisionsPerIn(scale) ?? 64;
  const numberPx = pxPerIn / perIn[0];
  const by =
    COUNTED_BY.find((each) => each * numberPx >= CLOSEST_NUMBERS_PX) ?? COUNTED_BY.at(-1) ?? 1;
  const ticks = new Map<string, Tick>();
  ([0, 1, 2, 3] as const).forEach((rank) => {
    const divisions = perIn[rank] === 64 && finest === 32 ? 32 : perIn[rank];
    if (rank > 0 && (above(divisions, finest) || pxPerIn / divisions < CLOSEST_TICKS_PX)) return;
    const firstDivision = Math.max(0, Math.floor(seen.fromIn * divisions));
    for (let division = firstDivision; atMost(division / divisions, lastIn); division++) {
      const atIn = division / divisions;
      const key = atIn.toFixed(6);
      if (!ticks.has(key))
        ticks.set(key, {
          atIn,
          rank,
          text: rank === 0 && division % by === 0 ? `${division}` : null
        });
    }
  });
  const sorted = [...ticks.values()].sort((a, b) => a.atIn - b.atIn);
  const first = sorted[0];
  if (first?.atIn === 0) first.text = `0 ${unit}`;
  return sorted;
}
