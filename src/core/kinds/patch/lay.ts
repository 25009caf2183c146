import { answer, workLine } from '../../answer.ts';
import { by, len, unitLen } from '../../notation.ts';
import type { Patch } from './fields.ts';
import { layersOf } from '../../stack/layers.ts';
import { above, below, ceilTo } from '../../units/tolerance.ts';
import { cornerWays } from '../../layout/corner-ways.ts';
import { patchLayout, type PatchRing } from '../../layout/patch-layout.ts';
import { crackEnds, rectRingLines } from './lines.ts';
import { transversePitchIn } from '../../layout/row-layout.ts';
import { addedVolumeIn3, rect, type Part, type Shape } from '../../layout/shapes.ts';
import { fewestSpaces } from '../../layout/spaces.ts';
import {
  edgeFigure,
  figure,
  pitchFigure,
  textFigure,
  transverseFigure,
  transverseWork
} from '../shared/common-figures.ts';
import {
  PLAIN,
  wholeCheck,
  type KindLayout,
  type LaidKind,
  type LayContext
} from '../kind-layout.ts';

function warningsOf(
  joint: Patch,
  insertCornerEdgeIn: number | null,
  { edgeIn, diameterIn: D, limits, head }: LayContext
) {
  const edgeMinIn = limits.edgeMinD[head] * D;
  const found: KindLayout['warnings'] = [];
  if (insertCornerEdgeIn !== null && below(insertCornerEdgeIn, edgeMinIn))
    found.push({
      level: 'attention',
      said: { code: 'insert-corner', edgeIn: insertCornerEdgeIn, edgeMinIn },
      ways: cornerWays(
        joint.cornerRadiusIn,
        joint.insertClearanceIn,
        edgeIn,
        edgeMinIn,
        limits.edgeMaxD * D
      )
    });
  const turn = (joint.crackTurnDeg * Math.PI) / 180;
  const acrossIn = (joint.crackIn ?? 0) * Math.abs(Math.cos(turn));
  const downIn = (joint.crackIn ?? 0) * Math.abs(Math.sin(turn));
  if (above(acrossIn, joint.cutoutWIn) || above(downIn, joint.cutoutHIn))
    found.push({
      level: 'stop',
      said: {
        code: 'crack-longer',
        acrossIn,
        downIn,
        cutoutWIn: joint.cutoutWIn,
        cutoutHIn: joint.cutoutHIn
      }
    });
  if (joint.crackIn !== null && joint.style === 'flush')
    found.push({
      level: 'stop',
      said: { code: 'crack-under-flush' }
    });
  return found;
}

/** A rectangular patch. x and y run from the corner of the doubler or plate. */
export function layPatch(joint: Patch, context: LayContext): LaidKind {
  const { dash, diameterIn: D, head, edgeIn, limits } = context;
  const flush = joint.style === 'flush';
  const leastOn = (key: string) => {
    const need = context.needs.find((candidate) => candidate.key === key)?.required;
    return need === undefined
      ? 2
      : need.ok
        ? Math.max(2, ceilTo(need.result.required / joint.rows))
        : need;
  };
  const leastW = leastOn('w');
  const leastH = leastOn('h');
  if (typeof leastW !== 'number') return leastW;
  if (typeof leastH !== 'number') return leastH;
  const cutoutIn = { w: joint.cutoutWIn, h: joint.cutoutHIn };
  const laid = patchLayout(
    {
      cutoutIn,
      cornerRadiusIn: joint.cornerRadiusIn,
      dash,
      head,
      edgeIn,
      clearanceIn: joint.insertClearanceIn,
      insert: flush,
      prefer: 'fewest',
      leastW,
      leastH
    },
    limits
  );
  if (!laid.ok) return laid;
  const { insertIn, insertCornerEdgeIn, rings } = laid.result;
  const skin = rings[0] as PatchRing;
  const pitchIn = Math.max(skin.pitchWIn, skin.pitchHIn);
  const transverseIn = transversePitchIn(pitchIn, D, limits);
  const moreIn = (joint.rows - 1) * transverseIn;
  const doubler = {
    w: laid.result.doublerIn.w + 2 * moreIn,
    h: laid.result.doublerIn.h + 2 * moreIn
  };
  const cutX = 2 * edgeIn + moreIn;
  const cutOut: Shape = rect(cutX, cutX, cutoutIn.w, cutoutIn.h, joint.cornerRadiusIn);
  const removed = joint.crackIn === null;
  const insertSheetIn = joint.insertSheetIn ?? joint.sheets[0]?.thicknessIn ?? 0;
  const ownStack = flush && insertSheetIn !== joint.sheets[0]?.thicknessIn;

  const lines = rectRingLines(
    'skin',
    { ...skin, xIn: edgeIn + moreIn, yIn: edgeIn + moreIn },
    doubler,
    dash,
    0
  );
  if (joint.rows === 2) {
    const w = skin.w + 2 * transverseIn;
    const h = skin.h + 2 * transverseIn;
    const nW = fewestSpaces(w, limits.pitchMaxD * D, leastW - 1);
    const nH = fewestSpaces(h, limits.pitchMaxD * D, leastH - 1);
    lines.push(
      ...rectRingLines('outer skin', { xIn: edgeIn, yIn: edgeIn, w, h, nW, nH }, doubler, dash, 0)
    );
  }
  const insertRing = rings[1];
  if (insertRing && insertIn) {
    const at = cutX + joint.insertClearanceIn + edgeIn;
    lines.push(
      ...rectRingLines(
        'insert',
        { ...insertRing, xIn: at, yIn: at },
        doubler,
        dash,
        ownStack ? 1 : 0
      )
    );
  }

  const [skinSheet, ...backing] = joint.sheets;
  const plateOver = joint.style === 'plate-over';
  const plateSheet = plateOver ? skinSheet : backing[0];
  const plateName = plateSheet?.name ?? 'doubler';
  const skinName = (plateOver ? backing[0]?.name : skinSheet?.name) ?? 'skin';
  const reachIn = Math.max(0.4, 0.12 * Math.max(doubler.w, doubler.h));
  const skinPart: Part = {
    key: 'skin',
    name: skinName,
    layer: plateOver ? 'under' : 'over',
    outline: rect(-reachIn, -reachIn, doubler.w + 2 * reachIn, doubler.h + 2 * reachIn),
    openings: removed ? [cutOut] : [],
    goesOn: ['left', 'right', 'top', 'bottom'],
    addedThicknessIn: null
  };
  const plate: Part = {
    key: 'doubler',
    name: plateName,
    layer: plateOver ? 'over' : 'under',
    outline: rect(0, 0, doubler.w, doubler.h),
    openings: [],
    goesOn: [],
    addedThicknessIn: plateOver
      ? (plateSheet?.thicknessIn ?? 0)
      : backing.reduce((sum, sheet) => sum + sheet.thicknessIn, 0)
  };
  const insertPart: Part[] = insertIn
    ? [
        {
          key: 'insert',
          name: 'insert',
          layer: 'filler',
          outline: rect(
            cutX + joint.insertClearanceIn,
            cutX + joint.insertClearanceIn,
            insertIn.w,
            insertIn.h,
            Math.max(0, joint.cornerRadiusIn - joint.insertClearanceIn)
          ),
          openings: [],
          goesOn: [],
          addedThicknessIn: insertSheetIn
        }
      ]
    : [];
  const r = joint.cornerRadiusIn;
  const pitchLines = laid.work.filter(({ label }) => label.endsWith('pitch'));
  const border = workLine(
    'doubler',
    by`cut-out + 2 × border, border = 2 × edge${joint.rows === 2 ? ' + between rows' : ''} = ${len(cutX)}`,
    by`${len(doubler.w)} × ${len(doubler.h)}`,
    'in'
  );
  const work = [border, ...laid.work.filter(({ label }) => label !== 'doubler')];
  return answer(
    {
      ...PLAIN,
      parts: plateOver ? [skinPart, plate] : [plate, skinPart, ...insertPart],
      lines,
      drilledOnly: crackEnds(joint, doubler.w, doubler.h),
      cutOut: removed ? cutOut : null,
      reliefs: removed
        ? [0, 1].flatMap((right) =>
            [0, 1].map((low) => ({
              xIn: right ? cutX + cutoutIn.w - r : cutX + r,
              yIn: low ? cutX + cutoutIn.h - r : cutX + r,
              diameterIn: 2 * r
            }))
          )
        : [],
      stackings: [
        { name: 'skin line', layers: layersOf(joint.sheets, null) },
        ...(ownStack
          ? [
              {
                name: 'insert line',
                layers: layersOf(
                  [
                    { ...skinSheet, name: 'insert', film: false, thicknessIn: insertSheetIn },
                    ...backing
                  ],
                  null
                )
              }
            ]
          : [])
      ],
      carrying: (['top', 'bottom', 'left', 'right'] as const).map((side) => ({
        need: side === 'top' || side === 'bottom' ? 'w' : 'h',
        words: `the ${side} side`,
        lines: [`skin-${side}`, `outer-skin-${side}`],
        times: 1
      })),
      addedIn3: addedVolumeIn3([plate, ...insertPart]),
      figures: [
        edgeFigure(context),
        pitchFigure(context, skin.pitchWIn, D, pitchLines, {
          key: 'pitch-w',
          label: 'Pitch, top and bottom'
        }),
        pitchFigure(context, skin.pitchHIn, D, pitchLines, {
          key: 'pitch-h',
          label: 'Pitch, left and right'
        }),
        ...(joint.rows === 2
          ? [
              transverseFigure(context, transverseIn, [
                transverseWork(context, pitchIn, transverseIn)
              ])
            ]
          : []),
        textFigure(
          'doubler',
          flush ? 'Doubler' : 'Plate',
          by`${len(doubler.w)} × ${unitLen(doubler.h)}`,
          [border]
        ),
        ...(insertIn
          ? [
              textFigure(
                'insert',
                'Insert',
                by`${len(insertIn.w)} × ${unitLen(insertIn.h)}`,
                laid.work.filter(
                  ({ label }) => label.startsWith('insert') && !label.endsWith('pitch')
                )
              )
            ]
          : []),
        ...(insertCornerEdgeIn === null
          ? []
          : [
              figure(
                'insert-corner',
                'Insert corner to its curve',
                insertCornerEdgeIn,
                laid.work.filter(({ label }) => label === 'insert corner to its curve')
              )
            ])
      ],
      checks: [
        wholeCheck('edge-max', 'most', limits.edgeMaxD * D, edgeIn),
        ...(joint.rows === 2
          ? [wholeCheck('transverse-min', 'least', limits.transverseMinD * D, transverseIn)]
          : [])
      ],
      dims: [
        {
          axis: 'x',
          fromIn: 0,
          toIn: doubler.w,
          side: 'top',
          label: flush ? 'doubler' : 'plate',
          strong: true
        },
        {
          axis: 'y',
          fromIn: 0,
          toIn: doubler.h,
          side: 'left',
          label: flush ? 'doubler' : 'plate',
          strong: true
        },
        {
          axis: 'x',
          fromIn: cutX,
          toIn: cutX + cutoutIn.w,
          side: 'bottom',
          label: removed ? 'cut-out' : 'damage'
        },
        {
          axis: 'y',
          fromIn: cutX,
          toIn: cutX + cutoutIn.h,
          side: 'right',
          label: removed ? 'cut-out' : 'damage'
        }
      ],
      widthIn: doubler.w,
      heightIn: doubler.h,
      rowsSharing: joint.rows,
      pitchIn,
      transverseIn: joint.rows === 2 ? transverseIn : null,
      work,
      warnings: warningsOf(joint, insertCornerEdgeIn, context)
    },
    work
  );
}
