import { rivetSize } from '../catalog/rivets.ts';
import type { Release } from '../release/release.ts';

/** One hole of a close-up; inches from the corner of the window. */
export interface HoleAround {
  number: number;
  xIn: number;
  yIn: number;
  diameterIn: number;
  /** it gets no rivet */
  open: boolean;
}
/** What lies around one hole, to scale. */
export interface Surroundings {
  widthIn: number;
  heightIn: number;
  hole: HoleAround;
  others: HoleAround[];
  /** edges of the joint that lie in sight, as lines from the window's corner */
  edges: { left: number | null; right: number | null; top: number | null; bottom: number | null };
}

/** So many diameters are seen to every side. */
const SEEN_D = 9;

/**
 * The window around a hole that a question is put about: its neighbors and the joint's edges, as far as nine diameters.
 *
 * @returns null where there is no such hole
 */
export function surroundings(
  { facts, holes, heldOpen }: Pick<Release, 'facts' | 'holes' | 'heldOpen'>,
  number: number
): Surroundings | null {
  const all = [
    ...holes.map((hole) => ({ hole, open: false })),
    ...heldOpen.map((hole) => ({ hole, open: true }))
  ];
  const here = all.find(({ hole }) => hole.number === number);
  if (!here) return null;
  const sightIn = SEEN_D * rivetSize(here.hole.dash).diameterIn;
  const [left, top] = [here.hole.xIn - sightIn, here.hole.yIn - sightIn];
  const around = ({ hole, open }: (typeof all)[number]): HoleAround => ({
    number: hole.number,
    xIn: hole.xIn - left,
    yIn: hole.yIn - top,
    diameterIn: (facts.stacks[hole.stack] ?? facts).holeIn,
    open
  });
  const wide = 2 * sightIn;
  const seen = (atIn: number) => (atIn > 0 && atIn < wide ? atIn : null);
  return {
    widthIn: wide,
    heightIn: wide,
    hole: around(here),
    others: all
      .filter((one) => one !== here)
      .map(around)
      .filter(({ xIn, yIn }) => xIn > 0 && xIn < wide && yIn > 0 && yIn < wide),
    edges: {
      left: seen(-left),
      right: seen(facts.widthIn - left),
      top: seen(-top),
      bottom: seen(facts.overlapIn - top)
    }
  };
}
