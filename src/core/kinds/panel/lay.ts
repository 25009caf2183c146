import { answer, notPossible, num, workLine } from '../../answer.ts';
import { by, len, unitLen } from '../../notation.ts';
import { drillIn } from '../../catalog/drills.ts';
import type { Panel } from './fields.ts';
import { clearPanelHole, LEAST_COVER_IN } from '../../layout/clear-panel-hole.ts';
import { layersOf } from '../../stack/layers.ts';
import { next32ndAbove } from '../../units/ruler.ts';
import { atMost } from '../../units/tolerance.ts';
import { evenly, straight, type LinePath, type LineWish } from '../../layout/lines.ts';
import { addedVolumeIn3, rect, type Part } from '../../layout/shapes.ts';
import { alongSpan } from '../shared/along.ts';
import { edgeFigure, figure, pitchFigure, textFigure } from '../shared/common-figures.ts';
import {
  PLAIN,
  wholeCheck,
  type LaidKind,
  type LayContext,
  type LayoutFigure
} from '../kind-layout.ts';

/** Place of the clear panel among its sheets. */
export const CLEAR_PANEL = 1;

/** A frame riveted round a clear plastic panel: each side spaced by itself, the panel's holes large enough to grow. */
export function layPanel(joint: Panel, context: LayContext): LaidKind {
  const { dash, diameterIn: D, limits, head } = context;
  const { widthIn, heightIn, frameIn, bracketIn, material, deltaTC } = joint;
  const spanIn = Math.max(widthIn, heightIn);
  const growth = clearPanelHole({ panel: material, spanIn, deltaTC, dash });
  if (!growth.ok) return growth;
  const { drill, growthIn, coverIn, needsWasher } = growth.result;
  const panelHoleIn = drillIn(drill);
  // Plastic tears from the hole that is in it, so its edge distance is counted on the larger hole.
  const leastIn = limits.edgeMinD[head] * panelHoleIn;
  const edgeIn = joint.edgeIn ?? next32ndAbove(leastIn);
  const edgeWork = workLine(
    'edge distance',
    joint.edgeIn === null
      ? by`next whole 1/32 over ${limits.edgeMinD[head]} × the panel’s hole = ${limits.edgeMinD[head]} × ${len(panelHoleIn)}`
      : by`as given; ${limits.edgeMinD[head]} × the panel’s hole is ${len(leastIn)}`,
    edgeIn,
    'in'
  );
  if (atMost(Math.min(widthIn, heightIn), 2 * frameIn))
    return notPossible('frameIn', {
      code: 'frame-covers-panel',
      frameIn,
      panelIn: Math.min(widthIn, heightIn)
    });
  const endIn = bracketIn > 0 ? bracketIn + edgeIn : edgeIn;
  const sides: {
    key: string;
    words: string;
    path: LinePath;
    lengthIn: number;
    count: number | null;
  }[] = [
    {
      key: 'top',
      words: 'top',
      path: straight(0, edgeIn, widthIn),
      lengthIn: widthIn,
      count: joint.topCount
    },
    {
      key: 'bottom',
      words: 'bottom',
      path: straight(0, heightIn - edgeIn, widthIn),
      lengthIn: widthIn,
      count: joint.bottomCount
    },
    {
      key: 'left',
      words: 'left',
      path: straight(edgeIn, 0, heightIn, [0, 1]),
      lengthIn: heightIn,
      count: joint.leftCount
    },
    {
      key: 'right',
      words: 'right',
      path: straight(widthIn - edgeIn, 0, heightIn, [0, 1]),
      lengthIn: heightIn,
      count: joint.rightCount
    }
  ];
  const lines: LineWish[] = [];
  const figures: LayoutFigure[] = [edgeFigure({ ...context, edgeIn, edgeWork })];
  const work = [edgeWork, ...growth.work];
  let widestIn = 0;
  for (const side of sides) {
    const along = alongSpan(side.lengthIn - 2 * endIn, side.count ?? 2, dash, context);
    if (!along.ok)
      return notPossible(along.error.path, {
        code: 'on-side',
        side: side.words,
        of: along.error.said
      });
    const { count, pitchIn } = along.result;
    widestIn = Math.max(widestIn, pitchIn);
    work.push(...along.result.work);
    figures.push(
      pitchFigure(context, pitchIn, D, along.result.work, {
        key: `pitch-${side.key}`,
        label: `Pitch, ${side.words}`
      })
    );
    lines.push({
      key: side.key,
      name: `${side.words} side`,
      path: side.path,
      alongIn: evenly(endIn, side.lengthIn - endIn, count),
      givenIn: [],
      dash,
      stack: 0,
      endsMayMove: bracketIn > 0,
      endsAtEdge: false
    });
  }
  figures.push(
    textFigure(
      'panel-hole',
      'Hole in the panel',
      drill,
      growth.work,
      by`${unitLen(panelHoleIn)}; the frame keeps the rivet’s own hole`
    ),
    figure(
      'growth',
      'Growth each way',
      growthIn,
      growth.work.slice(0, 1),
      by`reckoned over the longer side, ${unitLen(spanIn)}, ΔT ${num(deltaTC)} °C`
    )
  );
  const parts: Part[] = [
    {
      key: 'panel',
      name: joint.sheets[CLEAR_PANEL]?.name ?? 'clear panel',
      layer: 'under',
      outline: rect(0, 0, widthIn, heightIn),
      openings: [],
      goesOn: [],
      addedThicknessIn: null
    },
    {
      key: 'frame',
      name: joint.sheets[0]?.name ?? 'frame',
      layer: 'over',
      outline: rect(0, 0, widthIn, heightIn),
      openings: [rect(frameIn, frameIn, widthIn - 2 * frameIn, heightIn - 2 * frameIn)],
      goesOn: [],
      addedThicknessIn: joint.sheets[0]?.thicknessIn ?? 0
    }
  ];
  return answer(
    {
      ...PLAIN,
      parts,
      lines,
      stackings: [{ name: 'the frame', layers: layersOf(joint.sheets, null) }],
      carrying: [],
      addedIn3: addedVolumeIn3(parts),
      growth: {
        part: joint.sheets[CLEAR_PANEL]?.name ?? 'clear panel',
        drill,
        diameterIn: panelHoleIn
      },
      figures,
      checks: [wholeCheck('edge-max', 'most', limits.edgeMaxD * D, edgeIn)],
      dims: [
        { axis: 'x', fromIn: 0, toIn: widthIn, side: 'top', label: 'panel', strong: true },
        { axis: 'y', fromIn: 0, toIn: heightIn, side: 'left', label: 'panel', strong: true },
        { axis: 'y', fromIn: 0, toIn: frameIn, side: 'right', label: 'frame' }
      ],
      widthIn,
      heightIn,
      rowsSharing: 1,
      pitchIn: widestIn,
      transverseIn: null,
      work,
      warnings: needsWasher
        ? [
            {
              level: 'attention',
              said: { code: 'washer-needed', coverIn, leastIn: LEAST_COVER_IN }
            }
          ]
        : []
    },
    work
  );
}
