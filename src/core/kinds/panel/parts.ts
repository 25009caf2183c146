import { rect, type Part } from '../../layout/shapes.ts';
import type { Panel } from './fields.ts';

/** Place of the clear panel among its sheets. */
export const CLEAR_PANEL = 1;

/** What the plastic is called. */
export const panelName = ({ sheets }: Panel): string => sheets[CLEAR_PANEL]?.name ?? 'clear panel';

/** The panel beneath its frame. */
export function panelParts(joint: Panel): Part[] {
  const { widthIn, heightIn, frameIn, sheets } = joint;
  return [
    {
      key: 'panel',
      name: panelName(joint),
      layer: 'under',
      outline: rect(0, 0, widthIn, heightIn),
      openings: [],
      goesOn: [],
      addedThicknessIn: null
    },
    {
      key: 'frame',
      name: sheets[0]?.name ?? 'frame',
      layer: 'over',
      outline: rect(0, 0, widthIn, heightIn),
      openings: [rect(frameIn, frameIn, widthIn - 2 * frameIn, heightIn - 2 * frameIn)],
      goesOn: [],
      addedThicknessIn: sheets[0]?.thicknessIn ?? 0
    }
  ];
}
