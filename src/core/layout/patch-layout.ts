import { z } from 'zod';
import { answer, notPossible, workLine, type Answer } from '../answer.ts';
import { by, len } from '../notation.ts';
import { rivetSize } from '../catalog/rivets.ts';
import { DEFAULT_MULTIPLIERS, type Multipliers } from '../rules/multipliers.ts';
import { Dash, Head, lengthIn, MOST_HOLES, WIDEST_IN } from '../schema/fields.ts';
import { above, atMost, below } from '../units/tolerance.ts';
import { fewestSpaces } from './spaces.ts';

const side = (what: string) => lengthIn(what, { above: 0, most: WIDEST_IN });
const leastRivets = z
  .int('a whole number of rivets is expected')
  .min(2, 'a side has at least its two corner rivets')
  .max(MOST_HOLES)
  .default(2);

export const PatchLayoutInput = z.strictObject({
  cutoutIn: z.strictObject({ w: side("the cutout's width"), h: side("the cutout's height") }),
  cornerRadiusIn: lengthIn('the corner radius', { above: 0, most: WIDEST_IN }).default(0.5),
  dash: Dash,
  head: Head,
  edgeIn: lengthIn('the edge distance', { above: 0, most: WIDEST_IN }),
  clearanceIn: lengthIn('the clearance round the insert', { least: 0, most: WIDEST_IN }).default(
    1 / 32
  ),
  insert: z.boolean().default(true),
  prefer: z.literal('fewest').default('fewest'),
  leastW: leastRivets,
  leastH: leastRivets
});
export type PatchLayoutInput = z.output<typeof PatchLayoutInput>;

const Size = z.strictObject({ w: z.number(), h: z.number() });

export const PatchRing = z.strictObject({
  name: z.enum(['skin', 'insert']),
  w: z.number(),
  h: z.number(),
  nW: z.number().int(),
  nH: z.number().int(),
  pitchWIn: z.number(),
  pitchHIn: z.number(),
  count: z.number().int()
});
/** One rectangular rivet line; `nW`, `nH` are spaces along a side. */
export type PatchRing = z.infer<typeof PatchRing>;

export const PatchLayoutResult = z.strictObject({
  doublerIn: Size,
  insertIn: Size.nullable(),
  insertCornerEdgeIn: z.number().nullable(),
  rings: z.array(PatchRing),
  total: z.number().int()
});
export type PatchLayoutResult = z.infer<typeof PatchLayoutResult>;

const LEAST_CORNER_RADIUS_IN = 0.25;

/**
 * How far a corner rivet of the insert is from the insert's rounded corner.
 *
 * @param radiusIn the insert's own corner radius
 * @param edgeIn edge distance of its rivet line
 */
const cornerEdgeIn = (radiusIn: number, edgeIn: number): number =>
  radiusIn > edgeIn ? radiusIn - Math.SQRT2 * (radiusIn - edgeIn) : edgeIn;

type Refused = ReturnType<typeof notPossible>;

function limitsBroken(input: PatchLayoutInput, limits: Multipliers): Refused | null {
  const { cutoutIn, cornerRadiusIn, dash, head, edgeIn } = input;
  const D = rivetSize(dash).diameterIn;
  const edgeMinIn = limits.edgeMinD[head] * D;
  const halfSideIn = Math.min(cutoutIn.w, cutoutIn.h) / 2;
  if (below(edgeIn, edgeMinIn) || above(edgeIn, limits.edgeMaxD * D))
    return notPossible('edgeIn', {
      code: 'edge-outside',
      edgeIn,
      edgeMinD: limits.edgeMinD[head],
      edgeMaxD: limits.edgeMaxD,
      edgeMinIn,
      edgeMaxIn: limits.edgeMaxD * D
    });
  if (below(cornerRadiusIn, LEAST_CORNER_RADIUS_IN) || above(cornerRadiusIn, halfSideIn))
    return notPossible('cornerRadiusIn', {
      code: 'corner-radius-outside',
      radiusIn: cornerRadiusIn,
      leastIn: LEAST_CORNER_RADIUS_IN,
      halfSideIn
    });
  return null;
}

function layRing(
  name: PatchRing['name'],
  w: number,
  h: number,
  { dash, leastW, leastH }: PatchLayoutInput,
  limits: Multipliers
): PatchRing | Refused {
  const D = rivetSize(dash).diameterIn;
  if (atMost(Math.min(w, h), 0))
    return notPossible('cutoutIn', { code: 'cutout-too-small', line: name, wIn: w, hIn: h });
  const nW = fewestSpaces(w, limits.pitchMaxD * D, leastW - 1);
  const nH = fewestSpaces(h, limits.pitchMaxD * D, leastH - 1);
  const pitchWIn = w / nW;
  const pitchHIn = h / nH;
  const tightest = Math.min(pitchWIn, pitchHIn);
  if (below(tightest, limits.pitchMinD * D))
    return notPossible('cutoutIn', {
      code: 'pitch-under-least',
      line: name,
      pitchIn: tightest,
      pitchMinD: limits.pitchMinD,
      pitchMinIn: limits.pitchMinD * D
    });
  return { name, w, h, nW, nH, pitchWIn, pitchHIn, count: 2 * (nW + nH) };
}

/**
 * A rectangular repair patch: the doubler, the insert that fills the cut-out, and their rivet lines, a
 * rivet at every corner. Geometry only; how many rivets the load asks for comes in as `leastW`, `leastH`.
 *
 * @param input inches; least rivets along a side, corners counted
 * @param limits the rule profile's multiples of D
 * @param insertEdgeIn of the insert's own line, in, where it is not the skin's
 * @returns sizes and lines in inches; `insertCornerEdgeIn` may be under the edge minimum, never under D
 * @throws never; `not-possible` names the limit that stops it
 * @source layout; calculation `patch-layout`
 * @example patch-layout {"cutoutIn":{"w":4,"h":3},"cornerRadiusIn":0.25,"dash":3,"head":"universal","edgeIn":"7/32"} -> {"total":30,"insertCornerEdgeIn":0.21875}
 */
export function patchLayout(
  input: PatchLayoutInput,
  limits: Multipliers = DEFAULT_MULTIPLIERS,
  insertEdgeIn: number = input.edgeIn
): Answer<PatchLayoutResult> {
  const { cutoutIn, cornerRadiusIn, dash, edgeIn, clearanceIn } = input;
  const broken = limitsBroken(input, limits);
  if (broken) return broken;
  const D = rivetSize(dash).diameterIn;
  const grow = (byIn: number) => ({ w: cutoutIn.w + byIn, h: cutoutIn.h + byIn });
  const doublerIn = grow(4 * edgeIn);
  const skin = grow(2 * edgeIn);
  const work = [
    workLine(
      'doubler',
      by`cutout + 4 × edge, each way: + ${len(4 * edgeIn)}`,
      by`${len(doublerIn.w)} × ${len(doublerIn.h)}`,
      'in',
      'doubler'
    ),
    workLine(
      'skin rivet line',
      by`cutout + 2 × edge: + ${len(2 * edgeIn)}`,
      by`${len(skin.w)} × ${len(skin.h)}`,
      'in'
    )
  ];
  const rings: PatchRing[] = [];
  const skinRing = layRing('skin', skin.w, skin.h, input, limits);
  if ('ok' in skinRing) return skinRing;
  rings.push(skinRing);

  let insertIn: { w: number; h: number } | null = null;
  let insertCornerEdgeIn: number | null = null;
  if (input.insert) {
    insertIn = grow(-2 * clearanceIn);
    const radiusIn = cornerRadiusIn - clearanceIn;
    insertCornerEdgeIn = cornerEdgeIn(radiusIn, insertEdgeIn);
    if (below(insertCornerEdgeIn, D))
      return notPossible('cornerRadiusIn', {
        code: 'insert-corner-near',
        edgeIn: insertCornerEdgeIn,
        diameterIn: D
      });
    const insertRing = layRing(
      'insert',
      insertIn.w - 2 * insertEdgeIn,
      insertIn.h - 2 * insertEdgeIn,
      input,
      limits
    );
    if ('ok' in insertRing) return insertRing;
    rings.push(insertRing);
    work.push(
      workLine(
        'insert',
        by`cutout − 2 × clearance: − ${len(2 * clearanceIn)}`,
        by`${len(insertIn.w)} × ${len(insertIn.h)}`,
        'in',
        'insert'
      ),
      workLine(
        'insert corner to its curve',
        radiusIn > insertEdgeIn
          ? by`r − √2·(r − edge), r = ${len(radiusIn)}`
          : by`r = ${len(radiusIn)} ≤ edge: the edge distance itself`,
        insertCornerEdgeIn,
        'in',
        'insert-corner'
      )
    );
  }
  for (const ring of rings)
    work.push(
      workLine(
        `${ring.name} pitch`,
        by`${len(ring.w)} / ${ring.nW} and ${len(ring.h)} / ${ring.nH}`,
        by`${len(ring.pitchWIn)} and ${len(ring.pitchHIn)}`,
        'in',
        'pitch'
      )
    );
  const total = rings.reduce((sum, ring) => sum + ring.count, 0);
  work.push(
    workLine(
      'rivets',
      rings.map((ring) => `2 × (${ring.nW} + ${ring.nH})`).join(' + '),
      total,
      'rivets'
    )
  );
  return answer({ doublerIn, insertIn, insertCornerEdgeIn, rings, total }, work);
}
