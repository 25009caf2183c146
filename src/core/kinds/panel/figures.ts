import { num } from '../../answer.ts';
import { by, unitLen } from '../../notation.ts';
import type { LayContext, LayoutDim, LayoutFigure } from '../kind-layout.ts';
import { edgeFigure, figure, pitchFigure, textFigure } from '../shared/common-figures.ts';
import type { Panel } from './fields.ts';
import type { PanelGeometry } from './geometry.ts';

/** A frame's answers with their arithmetic. */
export function panelFigures(
  { deltaTC }: Panel,
  { growth, growthWork, spanIn, panelHoleIn, edgeIn, edgeWork, sides }: PanelGeometry,
  context: LayContext
): LayoutFigure[] {
  return [
    edgeFigure({ ...context, edgeIn, edgeWork }),
    ...sides.map(({ key, along: { pitchIn, work } }) =>
      pitchFigure(context, pitchIn, context.diameterIn, work, {
        key: `pitch-${key}`,
        label: `Pitch, ${key}`
      })
    ),
    textFigure(
      'panel-hole',
      'Hole in the panel',
      growth.drill,
      growthWork,
      by`${unitLen(panelHoleIn)}; the frame keeps the rivet’s own hole`
    ),
    figure(
      'growth',
      'Growth each way',
      growth.growthIn,
      growthWork.slice(0, 1),
      by`over the longer side, ${unitLen(spanIn)}, ΔT ${num(deltaTC)} °C`
    )
  ];
}

/** The panel both ways, and the frame's strip. */
export const panelDims = ({ widthIn, heightIn, frameIn }: Panel): LayoutDim[] => [
  { axis: 'x', fromIn: 0, toIn: widthIn, side: 'top', label: 'panel', strong: true },
  { axis: 'y', fromIn: 0, toIn: heightIn, side: 'left', label: 'panel', strong: true },
  { axis: 'y', fromIn: 0, toIn: frameIn, side: 'right', label: 'frame' }
];
