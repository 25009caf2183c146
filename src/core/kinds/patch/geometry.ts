import type { Answer, WorkLine } from '../../answer.ts';
import { patchLayout, type PatchLayoutResult, type PatchRing } from '../../layout/patch-layout.ts';
import { transversePitchIn } from '../../layout/row-layout.ts';
import { fewestSpaces } from '../../layout/spaces.ts';
import { ceilTo } from '../../units/tolerance.ts';
import type { LayContext } from '../kind-layout.ts';
import type { Patch } from './fields.ts';

/** Where everything of a patch lies; x and y run from the corner of its doubler or plate, inches. */
export interface PatchGeometry extends Pick<PatchLayoutResult, 'insertIn' | 'insertCornerEdgeIn'> {
  skin: PatchRing;
  /** the second line, further out; null with one */
  outer: Pick<PatchRing, 'w' | 'h' | 'nW' | 'nH'> | null;
  insert: PatchRing | null;
  doubler: { w: number; h: number };
  /** from the doubler's corner to the cut-out's, both ways */
  borderIn: number;
  pitchIn: number;
  transverseIn: number;
  work: WorkLine[];
}

/** Rivets that one line of a side must hold. */
function leastOn(key: 'w' | 'h', { needs }: LayContext, rows: number): Answer<number> {
  const required = needs.find((need) => need.key === key)?.required;
  if (required && !required.ok) return required;
  const least = required ? Math.max(2, ceilTo(required.result.required / rows)) : 2;
  return { ok: true, result: least, work: [] };
}

/** Reckons a patch's lines, its doubler and its insert. */
export function patchGeometry(joint: Patch, context: LayContext): Answer<PatchGeometry> {
  const { dash, diameterIn: D, head, edgeIn, limits } = context;
  const leastW = leastOn('w', context, joint.rows);
  if (!leastW.ok) return leastW;
  const leastH = leastOn('h', context, joint.rows);
  if (!leastH.ok) return leastH;
  const laid = patchLayout(
    {
      cutoutIn: { w: joint.cutoutWIn, h: joint.cutoutHIn },
      cornerRadiusIn: joint.cornerRadiusIn,
      dash,
      head,
      edgeIn,
      clearanceIn: joint.insertClearanceIn,
      insert: joint.style === 'flush',
      prefer: 'fewest',
      leastW: leastW.result,
      leastH: leastH.result
    },
    limits,
    joint.insertEdgeIn ?? edgeIn
  );
  if (!laid.ok) return laid;
  const { insertIn, insertCornerEdgeIn, rings, doublerIn } = laid.result;
  const skin = rings[0] as PatchRing;
  const pitchIn = Math.max(skin.pitchWIn, skin.pitchHIn);
  const transverseIn = transversePitchIn(pitchIn, D, limits);
  const moreIn = (joint.rows - 1) * transverseIn;
  const w = skin.w + 2 * transverseIn;
  const h = skin.h + 2 * transverseIn;
  const spaces = (lengthIn: number, least: number) =>
    fewestSpaces(lengthIn, limits.pitchMaxD * D, least - 1);
  return {
    ok: true,
    work: laid.work,
    result: {
      skin,
      outer:
        joint.rows === 2
          ? { w, h, nW: spaces(w, leastW.result), nH: spaces(h, leastH.result) }
          : null,
      insert: rings[1] ?? null,
      insertIn,
      insertCornerEdgeIn,
      doubler: { w: doublerIn.w + 2 * moreIn, h: doublerIn.h + 2 * moreIn },
      borderIn: 2 * edgeIn + moreIn,
      pitchIn,
      transverseIn,
      work: laid.work
    }
  };
}
