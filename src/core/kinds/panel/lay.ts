import { answer } from '../../answer.ts';
import { LEAST_COVER_IN } from '../../layout/clear-panel-hole.ts';
import { evenly } from '../../layout/lines.ts';
import { addedVolumeIn3 } from '../../layout/shapes.ts';
import { layersOf } from '../../stack/layers.ts';
import { sheetPieces } from '../pieces.ts';
import {
  PLAIN,
  wholeCheck,
  type KindLayout,
  type LaidKind,
  type LayContext
} from '../kind-layout.ts';
import type { Panel } from './fields.ts';
import { panelDims, panelFigures } from './figures.ts';
import { panelGeometry, type PanelGeometry } from './geometry.ts';
import { CLEAR_PANEL, panelName, panelParts } from './parts.ts';

const cautions = (
  { growth: { needsWasher, coverIn } }: PanelGeometry,
  by: string
): KindLayout['warnings'] => [
  { level: by === '' ? 'stop' : 'attention', said: { code: 'solid-in-plastic', by } },
  ...(needsWasher
    ? [
        {
          level: 'attention' as const,
          said: { code: 'washer-needed' as const, coverIn, leastIn: LEAST_COVER_IN }
        }
      ]
    : [])
];

/** A frame riveted round a clear plastic panel: each side spaced by itself, the panel's holes large enough to grow. */
export function layPanel(joint: Panel, context: LayContext): LaidKind {
  const laid = panelGeometry(joint, context);
  if (!laid.ok) return laid;
  const geometry = laid.result;
  const { growth, growthWork, panelHoleIn, edgeIn, edgeWork, endIn, sides } = geometry;
  const { limits, diameterIn: D, dash } = context;
  const parts = panelParts(joint);
  const work = [edgeWork, ...growthWork, ...sides.flatMap(({ along }) => along.work)];
  return answer(
    {
      ...PLAIN,
      parts,
      pieces: sheetPieces(joint.sheets),
      lines: sides.map(({ key, path, lengthIn, along }) => ({
        key,
        name: `${key} side`,
        path,
        alongIn: along.count === 1 ? [lengthIn / 2] : evenly(endIn, lengthIn - endIn, along.count),
        givenIn: [],
        dash,
        stack: 0,
        through: ['panel', 'frame'],
        endsMayMove: joint.bracketIn > 0,
        // one in the middle of its side has no end
        endsAtEdge: joint.bracketIn === 0 && along.count > 1
      })),
      stackings: [
        {
          name: 'the frame',
          layers: layersOf(joint.sheets, null).map((layer, at) =>
            at === CLEAR_PANEL ? { ...layer, holeIn: panelHoleIn } : layer
          )
        }
      ],
      carrying: [],
      addedIn3: addedVolumeIn3(parts),
      growth: { part: panelName(joint), drill: growth.drill, diameterIn: panelHoleIn },
      figures: panelFigures(joint, geometry, context),
      checks: [
        wholeCheck('edge-max', 'most', limits.edgeMaxD * D, edgeIn),
        // one rivet has no neighbour on its side to be held against
        ...sides.flatMap(({ along }) =>
          along.count === 1
            ? [wholeCheck('pitch-max', 'most', limits.pitchMaxD * D, along.pitchIn)]
            : []
        )
      ],
      dims: panelDims(joint),
      widthIn: joint.widthIn,
      heightIn: joint.heightIn,
      rowsSharing: 1,
      pitchIn: Math.max(...sides.map(({ along }) => along.pitchIn)),
      transverseIn: null,
      work,
      warnings: cautions(geometry, joint.plasticReason.trim())
    },
    work
  );
}
