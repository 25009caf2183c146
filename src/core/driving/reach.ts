import { answer, num, workLine, type Answer, type WorkLine } from '../answer.ts';
import { rivetSize } from '../catalog/rivets.ts';
import type { Head } from '../schema/fields.ts';
import type { ReleasedHole } from '../release/release.ts';
import { atLeast, atMost } from '../units/tolerance.ts';
import { SIDES, type DrivingAccess, type Side, type Upstand } from './access.ts';
import type { Yoke } from '../drive/driving-tools.ts';

/** The joint's outline, as its plan view shows it; inches. */
export interface Outline {
  widthIn: number;
  heightIn: number;
}

type Place = Pick<ReleasedHole, 'number' | 'xIn' | 'yIn' | 'dash'>;

/** From a hole straight to the outline's edge on one side, in. */
export const toSideIn = (
  { xIn, yIn }: Place,
  { widthIn, heightIn }: Outline,
  side: Side
): number =>
  side === 'left' ? xIn : side === 'right' ? widthIn - xIn : side === 'top' ? yIn : heightIn - yIn;

/** From a hole to the face of what stands up, in; nothing where that is behind the hole, away from its side. */
export const toUpstandIn = (hole: Place, outline: Outline, { side, insetIn }: Upstand): number =>
  Math.abs(toSideIn(hole, outline, side) - insetIn);

/** Whether an upstand stands between a hole and the edge that a yoke comes over. */
const isBetween = (hole: Place, outline: Outline, side: Side, upstand: Upstand): boolean =>
  upstand.side === side && upstand.insetIn < toSideIn(hole, outline, side);

export interface HoleReach {
  /** the nearest edge that the yoke reaches it from; null: it does not */
  from: Side | null;
  /** to that edge, or to the nearest that is free; null where none is */
  awayIn: number | null;
}

/**
 * From which edge a yoke reaches a hole: its throat is as deep as the hole is from the part's free edge, and what stands
 * up in between goes into the gap beside the metal.
 *
 * @param gripIn what the yoke straddles there
 * @returns the way and, as arithmetic, throat and gap
 * @throws never
 * @source drive: squeeze where a yoke reaches
 */
export function yokeReach(
  hole: Place,
  outline: Outline,
  access: Pick<DrivingAccess, 'edges' | 'upstands'>,
  yoke: Pick<Yoke, 'throatIn' | 'gapIn'>,
  gripIn: number
): Answer<HoleReach> {
  const work: WorkLine[] = [];
  const ways = SIDES.flatMap((side) => {
    const beyondIn = access.edges[side];
    return beyondIn === null
      ? []
      : [{ side, awayIn: toSideIn(hole, outline, side) + beyondIn, beyondIn }];
  }).sort((a, b) => a.awayIn - b.awayIn);
  const besideIn = (yoke.gapIn - gripIn) / 2;
  const from = ways.find(({ side, awayIn, beyondIn }) => {
    const tallest = Math.max(
      0,
      ...access.upstands
        .filter((upstand) => isBetween(hole, outline, side, upstand))
        .map(({ heightIn }) => heightIn)
    );
    work.push(
      workLine(
        `from the ${side}`,
        `${num(awayIn - beyondIn)} in the joint + ${num(beyondIn)} beyond it; throat ${num(yoke.throatIn)}`,
        awayIn,
        'in'
      )
    );
    if (tallest > 0)
      work.push(
        workLine(
          `over what stands up ${num(tallest)}`,
          `(gap ${num(yoke.gapIn)} − grip ${num(gripIn)}) / 2`,
          besideIn,
          'in'
        )
      );
    return atMost(awayIn, yoke.throatIn) && atLeast(besideIn, tallest);
  });
  return answer({ from: from?.side ?? null, awayIn: (from ?? ways[0])?.awayIn ?? null }, work);
}

/** What a tool would touch beside a hole. */
export type Touch =
  | { what: 'upstand'; id: string; awayIn: number; tool: 'set' | 'bar' }
  | { what: 'head'; hole: number; awayIn: number };

/**
 * What a set and a bar of given radii would touch at a hole: what stands up on their side, and neighboring manufactured
 * heads that stand proud.
 *
 * @param neighbors the other rivets
 * @returns distances from the middle of the rivet, in; empty where both stand clear
 */
export function touches(
  hole: Place,
  neighbors: readonly Place[],
  outline: Outline,
  upstands: readonly Upstand[],
  tools: { head: Head; setRadiusIn: number | null; barRadiusIn: number | null }
): Touch[] {
  const { head, setRadiusIn, barRadiusIn } = tools;
  const beside = upstands.flatMap((upstand): Touch[] => {
    const tool = upstand.on === 'head' ? ('set' as const) : ('bar' as const);
    const radiusIn = tool === 'set' ? setRadiusIn : barRadiusIn;
    const awayIn = toUpstandIn(hole, outline, upstand);
    return radiusIn === null || atLeast(awayIn, radiusIn)
      ? []
      : [{ what: 'upstand', id: upstand.id, awayIn, tool }];
  });
  if (head !== 'universal' || setRadiusIn === null) return beside;
  const heads = neighbors.flatMap((other): Touch[] => {
    const awayIn = Math.hypot(other.xIn - hole.xIn, other.yIn - hole.yIn);
    const clearIn = setRadiusIn + rivetSize(other.dash).head.universal.diameterIn / 2;
    return other.number === hole.number || atLeast(awayIn, clearIn)
      ? []
      : [{ what: 'head', hole: other.number, awayIn }];
  });
  return [...beside, ...heads];
}
