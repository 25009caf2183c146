import { notPossible, workLine, type Answer, type WorkLine } from '../../answer.ts';
import { drillIn } from '../../catalog/drills.ts';
import { clearPanelHole, type ClearPanelHoleResult } from '../../layout/clear-panel-hole.ts';
import { straight, type LinePath } from '../../layout/lines.ts';
import { by, len } from '../../notation.ts';
import { edgeOf } from '../../joint/usual-edge.ts';
import { atMost } from '../../units/tolerance.ts';
import type { LayContext } from '../kind-layout.ts';
import { alongAsTyped, alongSpan, type AlongSpan } from '../shared/along.ts';
import type { Panel } from './fields.ts';

/** One side of the frame with its rivets. */
export interface PanelSide {
  key: 'top' | 'bottom' | 'left' | 'right';
  path: LinePath;
  lengthIn: number;
  along: AlongSpan;
}

/** Where a frame's rivets lie; x and y run from the panel's corner, inches. */
export interface PanelGeometry {
  growth: ClearPanelHoleResult;
  growthWork: WorkLine[];
  /** the side that the growth is reckoned over */
  spanIn: number;
  panelHoleIn: number;
  edgeIn: number;
  edgeWork: WorkLine;
  /** of each side's first and last rivet from its ends */
  endIn: number;
  sides: PanelSide[];
}

/** Plastic tears from the hole that is in it, so its edge distance is counted on the larger hole. */
function panelEdge(joint: Panel, panelHoleIn: number, { limits, head }: LayContext) {
  const times = limits.edgeMinD[head];
  const leastIn = times * panelHoleIn;
  const { edgeIn, step } = edgeOf(joint, leastIn);
  const edgeWork = workLine(
    'edge distance',
    step !== null
      ? by`next whole ${step} over ${times} × the panel’s hole = ${times} × ${len(panelHoleIn)}`
      : by`as given; ${times} × the panel’s hole is ${len(leastIn)}`,
    edgeIn,
    'in'
  );
  return { edgeIn, edgeWork };
}

/**
 * A side that is to have one rivet in its middle while a side beside it has its end rivets in the same corners: those lie
 * on it too, and it would have three. Past corner brackets no rivet lies on two sides.
 */
function cornersShared({
  bracketIn,
  topCount,
  bottomCount,
  leftCount,
  rightCount
}: Panel): PanelSide['key'] | null {
  const counts = { top: topCount, bottom: bottomCount, left: leftCount, right: rightCount };
  const keys = Object.keys(counts) as PanelSide['key'][];
  const alone = keys.filter((key) => counts[key] === 1);
  return bracketIn === 0 && alone.length < keys.length ? (alone[0] ?? null) : null;
}

/** Spaces each side by itself. */
export function panelGeometry(joint: Panel, context: LayContext): Answer<PanelGeometry> {
  const { dash } = context;
  const { widthIn, heightIn, frameIn, bracketIn, material, deltaTC } = joint;
  const spanIn = Math.max(widthIn, heightIn);
  const growth = clearPanelHole({ panel: material, spanIn, deltaTC, dash });
  if (!growth.ok) return growth;
  if (context.head === 'countersunk') return notPossible('head', { code: 'flush-in-plastic' });
  const panelIn = Math.min(widthIn, heightIn);
  if (atMost(panelIn, 2 * frameIn))
    return notPossible('frameIn', { code: 'frame-covers-panel', frameIn, panelIn });
  const panelHoleIn = drillIn(growth.result.drill);
  const { edgeIn, edgeWork } = panelEdge(joint, panelHoleIn, context);
  const endIn = bracketIn > 0 ? bracketIn + edgeIn : edgeIn;
  const level = (yIn: number) => ({ path: straight(0, yIn, widthIn), lengthIn: widthIn });
  const upright = (xIn: number) => ({
    path: straight(xIn, 0, heightIn, [0, 1]),
    lengthIn: heightIn
  });
  const wishes = [
    { key: 'top' as const, ...level(edgeIn), count: joint.topCount },
    { key: 'bottom' as const, ...level(heightIn - edgeIn), count: joint.bottomCount },
    { key: 'left' as const, ...upright(edgeIn), count: joint.leftCount },
    { key: 'right' as const, ...upright(widthIn - edgeIn), count: joint.rightCount }
  ];
  const shared = cornersShared(joint);
  if (shared !== null)
    return notPossible(`${shared}Count`, { code: 'one-between-corners', side: shared });
  const sides: PanelSide[] = [];
  for (const { count, ...side } of wishes) {
    const spanIn = side.lengthIn - 2 * endIn;
    const along =
      count === null ? alongSpan(spanIn, 2, dash, context) : alongAsTyped(spanIn, count);
    if (!along.ok)
      return notPossible(along.error.path, {
        code: 'on-side',
        side: side.key,
        of: along.error.said
      });
    sides.push({ ...side, along: along.result });
  }
  return {
    ok: true,
    work: [],
    result: {
      growth: growth.result,
      growthWork: growth.work,
      spanIn,
      panelHoleIn,
      edgeIn,
      edgeWork,
      endIn,
      sides
    }
  };
}
