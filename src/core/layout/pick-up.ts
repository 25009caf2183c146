import { z } from 'zod';
import { answer, invalidInput, notPossible, workLine, type Answer } from '../answer.ts';
import { by, len, unitLen } from '../notation.ts';
import { lengthIn } from '../schema/fields.ts';
import { same, TOLERANCE_SHARE } from '../units/tolerance.ts';

const place = (what: string) => lengthIn(what, { least: -100_000, most: 100_000 });
const Point = z.strictObject({ xIn: place('a datum point'), yIn: place('a datum point') });

export const PickUpInput = z.strictObject({
  datumA: Point,
  datumB: Point,
  fromAIn: lengthIn('the distance from A', { above: 0, most: 100_000 }),
  fromBIn: lengthIn('the distance from B', { above: 0, most: 100_000 }),
  /** seen walking from A to B */
  side: z.enum(['left', 'right'])
});
export type PickUpInput = z.output<typeof PickUpInput>;

export interface PickedUp {
  /** the solution on the side chosen */
  at: { xIn: number; yIn: number };
  other: { xIn: number; yIn: number };
  /** how far off the hole may be when each tape is read to ± 1/64 in; null where the tapes run so nearly along one line that the error has no bound */
  errorIn: number | null;
}

/** A tape is read to this. */
export const TAPE_ERROR_IN = 1 / 64;

/** Both points at the given distances, first the one left of A → B; null when the circles do not meet. */
function meet(input: PickUpInput, fromAIn: number, fromBIn: number) {
  const { datumA: a, datumB: b } = input;
  const baseIn = Math.hypot(b.xIn - a.xIn, b.yIn - a.yIn);
  const along = (fromAIn ** 2 - fromBIn ** 2 + baseIn ** 2) / (2 * baseIn);
  const heightSquared = fromAIn ** 2 - along ** 2;
  // A hole on the line of the two datum points: rounding may make a true zero slightly negative.
  if (heightSquared < -TOLERANCE_SHARE * fromAIn ** 2) return null;
  const height = Math.sqrt(Math.max(0, heightSquared));
  const ux = (b.xIn - a.xIn) / baseIn;
  const uy = (b.yIn - a.yIn) / baseIn;
  const at = (h: number) => ({
    xIn: a.xIn + along * ux - h * uy,
    yIn: a.yIn + along * uy + h * ux
  });
  return [at(height), at(-height)] as const;
}

/**
 * The position of an existing hole from two tape distances to two datum points.
 *
 * @param input inches; y up, so that left of A → B is the usual left
 * @returns both solutions, the chosen one first, and how far off it may be with ± 1/64 on each tape
 * @throws never; `not-possible` when the two distances cannot meet, with by how much
 * @source layout: existing holes are picked up as fixed
 */
export function pickUp(input: PickUpInput): Answer<PickedUp> {
  const { datumA, datumB, fromAIn, fromBIn, side } = input;
  const baseIn = Math.hypot(datumB.xIn - datumA.xIn, datumB.yIn - datumA.yIn);
  if (same(baseIn, 0)) return invalidInput('datumB', { code: 'one-datum-point' });
  const points = meet(input, fromAIn, fromBIn);
  if (!points) {
    const short = baseIn - fromAIn - fromBIn;
    return short > 0
      ? notPossible('fromBIn', { code: 'tapes-short', fromAIn, fromBIn, shortIn: short, baseIn })
      : notPossible('fromBIn', {
          code: 'tapes-apart',
          differIn: Math.abs(fromAIn - fromBIn),
          baseIn
        });
  }
  const [left, right] = points;
  const [at, other] = side === 'left' ? [left, right] : [right, left];
  const pick = side === 'left' ? 0 : 1;
  let errorIn: number | null = 0;
  for (const a of [-TAPE_ERROR_IN, TAPE_ERROR_IN])
    for (const b of [-TAPE_ERROR_IN, TAPE_ERROR_IN]) {
      const moved = meet(input, fromAIn + a, fromBIn + b)?.[pick];
      errorIn =
        moved === undefined || errorIn === null
          ? null
          : Math.max(errorIn, Math.hypot(moved.xIn - at.xIn, moved.yIn - at.yIn));
    }
  return answer({ at, other, errorIn }, [
    workLine('between the datum points', 'from A to B', baseIn, 'in'),
    workLine(
      'along A to B',
      by`(a² − b² + c²) / 2c = (${len(fromAIn)}² − ${len(fromBIn)}² + ${len(baseIn)}²) / (2 × ${len(baseIn)})`,
      (fromAIn ** 2 - fromBIn ** 2 + baseIn ** 2) / (2 * baseIn),
      'in'
    ),
    workLine(
      'may be off by',
      by`± ${unitLen(TAPE_ERROR_IN)} on each tape, the worst of the four`,
      errorIn ?? 'no bound: the tapes run along one line',
      errorIn === null ? '' : 'in'
    )
  ]);
}
