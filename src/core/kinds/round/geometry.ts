import { notPossible, type Answer } from '../../answer.ts';
import { roundRings, type RoundRings } from '../../layout/round-rings.ts';
import { atMost } from '../../units/tolerance.ts';
import type { LayContext } from '../kind-layout.ts';
import type { Round } from './fields.ts';

/** Where everything of a round patch lies; x and y run from the corner round the doubler, inches. */
export interface RoundGeometry {
  skin: RoundRings;
  /** the ring of the insert; null without one */
  insert: RoundRings | null;
  /** rivets that both halves of the skin's rings must hold; 0 where it only holds parts together */
  least: number;
  cutRadiusIn: number;
  insertRadiusIn: number;
  /** of the doubler; its centre is as far in */
  outerIn: number;
}

function insertRing(
  joint: Round,
  lineIn: number,
  edgeIn: number,
  { diameterIn, limits }: LayContext
): Answer<RoundRings> {
  if (atMost(lineIn, 0))
    return notPossible('cutoutIn', {
      code: 'no-insert-line',
      cutoutIn: joint.cutoutIn,
      leastIn: 2 * (edgeIn + joint.insertClearanceIn)
    });
  return roundRings(lineIn, 1, 0, { diameterIn, nearPitchIn: null }, limits);
}

/** Reckons a round patch's rings. */
export function roundGeometry(joint: Round, context: LayContext): Answer<RoundGeometry> {
  const { diameterIn, edgeIn, limits, nearPitchIn } = context;
  const need = context.needs[0]?.required;
  if (need && !need.ok) return need;
  const least = need ? 2 * need.result.required : 0;
  const cutRadiusIn = joint.cutoutIn / 2;
  const skin = roundRings(
    cutRadiusIn + edgeIn,
    joint.rings,
    least,
    { diameterIn, nearPitchIn },
    limits
  );
  if (!skin.ok) return skin;
  const ownEdgeIn = joint.insertEdgeIn ?? edgeIn;
  const insertRadiusIn = cutRadiusIn - joint.insertClearanceIn;
  const insert = joint.insert
    ? insertRing(joint, insertRadiusIn - ownEdgeIn, ownEdgeIn, context)
    : null;
  if (insert && !insert.ok) return insert;
  return {
    ok: true,
    work: [],
    result: {
      skin: skin.result,
      insert: insert?.result ?? null,
      least,
      cutRadiusIn,
      insertRadiusIn,
      outerIn: (skin.result.radiiIn.at(-1) ?? 0) + edgeIn
    }
  };
}
