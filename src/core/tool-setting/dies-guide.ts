import type { DiesSetup } from './tool-setup.ts';

/** One trial dimple, and what was seen of it. */
export interface DimpleTrial {
  id: string;
  /** closed from where the dies just touch */
  divisions: number;
  cracks: boolean;
  /** a ring pressed into the sheet round the dimple */
  ring: boolean;
  /** a rivet head, or the next dimple, lies flush in it */
  nests: boolean;
}

/** What to do next with dimple dies. */
export type DiesSaid =
  | { state: 'first'; divisions: number }
  | { state: 'cracked' }
  | { state: 'opener' | 'closer'; divisions: number; change: number }
  /** it rings and does not nest, or nests at a setting that another said is too far: the dies do not belong together */
  | { state: 'contradiction' }
  | { state: 'done'; divisions: number };

export interface DiesGuide {
  said: DiesSaid;
  nextDivisions: number | null;
}

/** Touching, then half a turn more. */
export const halfTurn = ({ divisionsPerTurn }: Pick<DiesSetup, 'divisionsPerTurn'>): number =>
  Math.max(1, Math.round(divisionsPerTurn / 2));
/** Then by an eighth. */
const eighth = ({ divisionsPerTurn }: DiesSetup): number =>
  Math.max(1, Math.round(divisionsPerTurn / 8));

/**
 * The next step of setting dimple dies by trial dimples in scrap.
 *
 * @param trials in order, struck ones left out
 * @throws never
 * @source stack-up and drive: dies touching, then half a turn more; no cracks, no ring, nests flush
 */
export function diesGuide(setup: DiesSetup, trials: readonly DimpleTrial[]): DiesGuide {
  const last = trials.at(-1);
  if (!last) {
    const divisions = halfTurn(setup);
    return { said: { state: 'first', divisions }, nextDivisions: divisions };
  }
  const said = tell(last, trials, eighth(setup));
  return { said, nextDivisions: 'divisions' in said ? said.divisions : null };
}

function tell(last: DimpleTrial, trials: readonly DimpleTrial[], step: number): DiesSaid {
  const { divisions, cracks, ring, nests } = last;
  if (cracks) return { state: 'cracked' };
  if (!ring && nests) return { state: 'done', divisions };
  if (ring && !nests) return { state: 'contradiction' };
  const to = divisions + (ring ? -step : step);
  // between two settings a step apart there is no third
  const triedBefore = trials.some((one) => one.divisions === to && (ring ? !one.nests : one.ring));
  if (triedBefore) return { state: 'contradiction' };
  return { state: ring ? 'opener' : 'closer', divisions: to, change: Math.abs(to - divisions) };
}
