import { cornerWays } from '../../layout/corner-ways.ts';
import { above, below } from '../../units/tolerance.ts';
import type { KindLayout, LayContext } from '../kind-layout.ts';
import type { Patch } from './fields.ts';

type Found = KindLayout['warnings'];

function cornerCautions(
  { cornerRadiusIn, insertClearanceIn, insertEdgeIn }: Patch,
  insertCornerEdgeIn: number | null,
  { diameterIn: D, limits, head, ...context }: LayContext
): Found {
  const edgeMinIn = limits.edgeMinD[head] * D;
  const edgeIn = insertEdgeIn ?? context.edgeIn;
  if (insertCornerEdgeIn === null || !below(insertCornerEdgeIn, edgeMinIn)) return [];
  return [
    {
      level: 'attention',
      said: { code: 'insert-corner', edgeIn: insertCornerEdgeIn, edgeMinIn },
      ways: cornerWays(cornerRadiusIn, insertClearanceIn, edgeIn, edgeMinIn, limits.edgeMaxD * D)
    }
  ];
}

function crackCautions({ crackIn, crackTurnDeg, cutoutWIn, cutoutHIn, style }: Patch): Found {
  if (crackIn === null) return [];
  const turn = (crackTurnDeg * Math.PI) / 180;
  const acrossIn = crackIn * Math.abs(Math.cos(turn));
  const downIn = crackIn * Math.abs(Math.sin(turn));
  const found: Found = [];
  if (above(acrossIn, cutoutWIn) || above(downIn, cutoutHIn))
    found.push({
      level: 'stop',
      said: { code: 'crack-longer', acrossIn, downIn, cutoutWIn, cutoutHIn }
    });
  if (style === 'flush') found.push({ level: 'stop', said: { code: 'crack-under-flush' } });
  return found;
}

/** What a patch warns of: its insert's corners, and a crack that stays. */
export const patchCautions = (
  joint: Patch,
  insertCornerEdgeIn: number | null,
  context: LayContext
): Found => [...cornerCautions(joint, insertCornerEdgeIn, context), ...crackCautions(joint)];
