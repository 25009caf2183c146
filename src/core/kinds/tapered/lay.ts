import { answer, notPossible, workLine, type Answer, type WorkLine } from '../../answer.ts';
import { by, len } from '../../notation.ts';
import { sizeZones } from './size-zones.ts';
import { rivetSize } from '../../catalog/rivets.ts';
import type { Dash } from '../../schema/fields.ts';
import type { Tapered } from './fields.ts';
import { layersOf } from '../../stack/layers.ts';
import { edgeOf } from '../../joint/usual-edge.ts';
import { ceilTo } from '../../units/tolerance.ts';
import { limitsFor } from '../../layout/pitch-limits.ts';
import { evenly, type LinePath, type LineWish } from '../../layout/lines.ts';
import { alongSpan } from '../shared/along.ts';
import { figure, pitchFigure } from '../shared/common-figures.ts';
import { sheetPieces } from '../pieces.ts';
import {
  PLAIN,
  wholeCheck,
  type HoleCheck,
  type LaidKind,
  type LayContext,
  type LayoutFigure
} from '../kind-layout.ts';

/** A straight line across the member from its datum end to its far end. */
function across(fromY: number, toY: number, lengthIn: number): LinePath {
  const slantIn = Math.hypot(lengthIn, toY - fromY);
  return {
    path: 'straight',
    xIn: 0,
    yIn: fromY,
    dirX: lengthIn / slantIn,
    dirY: (toY - fromY) / slantIn,
    lengthIn: slantIn
  };
}

/** A zone as it is laid: its share of every line, and what is shown of it. */
interface ZoneLaid {
  wishes: LineWish[];
  figure: LayoutFigure;
  work: WorkLine[];
  pitchIn: number;
}

/** Zones beside each other of one size. */
interface Run {
  dash: Dash;
  fromIn: number;
  needed: number;
  laid: number;
}

/** The lines that run along the flange: one in its middle, or one along each edge. */
const linesOf = (
  { lengthIn, flangeIn, lines }: Tapered,
  farIn: number,
  edgeIn: number
): LinePath[] =>
  lines === 1
    ? [across(flangeIn / 2, farIn / 2, lengthIn)]
    : [across(edgeIn, edgeIn, lengthIn), across(flangeIn - edgeIn, farIn - edgeIn, lengthIn)];

/** Rivets of one zone, no fewer than it has in a member of one size; `run` grows by them. */
function layZone(
  { joint, context, zones, paths, edgeIn }: Laying,
  index: number,
  run: Run | null
): Answer<{ laid: ZoneLaid; run: Run }> {
  const { lengthIn, lines: lineCount } = joint;
  const zone = zones[index];
  const [path] = paths;
  if (!zone || path?.path !== 'straight')
    return notPossible('lengthIn', { code: 'no-member-line' });
  const need = context.needs[index]?.required;
  if (need && !need.ok) return need;
  // the rivet on the border with the zone before is counted there
  const needed = ceilTo((need?.result.required ?? 0) / lineCount);
  const own = needed > 0 && index > 0 ? needed + 1 : needed;
  const isLast = index === zones.length - 1;
  const per = path.lengthIn / lengthIn;
  const fromIn = index === 0 ? edgeIn : zone.fromIn * per;
  const toIn = isLast ? path.lengthIn - edgeIn : zone.toIn * per;
  const begun =
    run !== null && run.dash === zone.dash
      ? run
      : { dash: zone.dash, fromIn, needed: index > 0 ? 1 : 0, laid: 0 };
  // zones of one size hold no fewer than they would as one
  const asOne = alongSpan(toIn - begun.fromIn, begun.needed + needed, zone.dash, context);
  const shared = begun.laid > 0 ? 1 : 0;
  const least = Math.max(own, asOne.ok ? asOne.result.count - begun.laid + shared : 0);
  const along = alongSpan(toIn - fromIn, least, zone.dash, context);
  if (!along.ok) return along;
  const { count, pitchIn, work } = along.result;
  const isOnly = zones.length === 1;
  return answer(
    {
      run: { ...begun, needed: begun.needed + needed, laid: begun.laid + count - shared },
      laid: {
        work,
        pitchIn,
        figure: pitchFigure(
          { ...context, limits: limitsFor(context.limits, zone.dash) },
          pitchIn,
          rivetSize(zone.dash).diameterIn,
          work,
          {
            key: `pitch-${index + 1}`,
            label: isOnly ? 'Pitch' : `Pitch, zone ${index + 1} (dash ${zone.dash})`
          }
        ),
        wishes: paths.map((line, at) => {
          const ownPer = line.path === 'straight' ? line.lengthIn / lengthIn : 1;
          const ownTo = isLast ? lengthIn * ownPer - edgeIn : zone.toIn * ownPer;
          return {
            key: `line-${at + 1}-zone-${index + 1}`,
            name: `line ${at + 1}${isOnly ? '' : `, zone ${index + 1}`}`,
            path: line,
            alongIn: evenly(index === 0 ? edgeIn : zone.fromIn * ownPer, ownTo, count),
            givenIn: [],
            dash: zone.dash,
            stack: 0,
            through: ['flange'],
            endsMayMove: isOnly,
            endsAtEdge: isOnly || (index === 0 ? 'first' : isLast && 'last')
          };
        })
      }
    },
    work
  );
}

interface Laying {
  joint: Tapered;
  context: LayContext;
  zones: ReturnType<typeof sizeZones>;
  paths: readonly LinePath[];
  edgeIn: number;
}

/**
 * A long tapered member: one line down the flange's middle or two along its edges, each in zones of one rivet
 * size. A hole stands on every zone's end; it takes the larger of the two sizes.
 */
export function layTapered(joint: Tapered, context: LayContext): LaidKind {
  const { head, limits } = context;
  const { lengthIn, flangeIn, lines: lineCount } = joint;
  const farIn = joint.flangeEndIn ?? flangeIn;
  const zones = sizeZones(joint, context.dash);
  const largestD = Math.max(...zones.map((zone) => rivetSize(zone.dash).diameterIn));
  const leastEdgeIn = limits.edgeMinD[head] * largestD;
  const { edgeIn, step } = edgeOf(joint, leastEdgeIn);
  const edgeWork: WorkLine = workLine(
    'edge distance',
    step !== null
      ? by`next whole ${step} over ${limits.edgeMinD[head]} D of the largest size = ${len(leastEdgeIn)}`
      : by`as given; the least is ${len(leastEdgeIn)}`,
    edgeIn,
    'in'
  );
  const paths = linesOf(joint, farIn, edgeIn);
  const laid: ZoneLaid[] = [];
  let run: Run | null = null;
  for (const index of zones.keys()) {
    const zone = layZone({ joint, context, zones, paths, edgeIn }, index, run);
    if (!zone.ok) return zone;
    run = zone.result.run;
    laid.push(zone.result.laid);
  }
  const wishes = laid.flatMap((zone) => zone.wishes);
  const work: WorkLine[] = [edgeWork, ...laid.flatMap((zone) => zone.work)];
  const widestIn = Math.max(0, ...laid.map(({ pitchIn }) => pitchIn));
  const narrowIn = Math.min(flangeIn, farIn);
  const checks: HoleCheck[] = [wholeCheck('edge-max', 'most', limits.edgeMaxD * largestD, edgeIn)];
  if (lineCount === 2)
    checks.push(
      wholeCheck('transverse-min', 'least', limits.transverseMinD * largestD, narrowIn - 2 * edgeIn)
    );
  const figures: LayoutFigure[] = [
    {
      key: 'edge',
      label: 'Edge distance',
      valueIn: edgeIn,
      note: `least ${limits.edgeMinD[head]} D of the largest size`,
      limits: {
        low: limits.edgeMinD[head],
        high: limits.edgeMaxD,
        value: edgeIn / largestD,
        unit: 'D'
      },
      work: [edgeWork]
    },
    ...laid.map((zone) => zone.figure),
    figure('narrow', 'Narrowest flange', narrowIn, [
      workLine(
        'flange',
        by`${len(flangeIn)} at the datum end, ${len(farIn)} at the far end`,
        narrowIn,
        'in'
      )
    ])
  ];
  return answer(
    {
      ...PLAIN,
      parts: [
        {
          key: 'flange',
          name: joint.sheets.at(-1)?.name ?? 'flange',
          layer: 'over',
          outline: {
            shape: 'polygon',
            pointsIn: [
              [0, 0],
              [lengthIn, 0],
              [lengthIn, farIn],
              [0, flangeIn]
            ]
          },
          openings: [],
          goesOn: [],
          addedThicknessIn: null
        }
      ],
      pieces: sheetPieces(joint.sheets),
      lines: wishes,
      marksOnly: zones.slice(1).map((zone, index) => ({
        name: `dash ${zones[index]?.dash} | dash ${zone.dash}`,
        fromIn: [zone.fromIn, 0],
        toIn: [zone.fromIn, flangeIn]
      })),
      stackings: [{ name: 'the member', layers: layersOf(joint.sheets, lengthIn) }],
      carrying: zones.map((_, index) => ({
        need: `zone-${index + 1}`,
        words: zones.length === 1 ? 'the member' : `zone ${index + 1}`,
        lines: paths.map((_path, at) => `line-${at + 1}-zone-${index + 1}`),
        // the rivet on a border counts once, for the zone before it
        countedIn: index === 0 ? [] : paths.map((_path, at) => `line-${at + 1}-zone-${index}`),
        times: 1
      })),
      addedIn3: 0,
      figures,
      checks,
      dims: [
        { axis: 'x', fromIn: 0, toIn: lengthIn, side: 'top', strong: true },
        { axis: 'y', fromIn: 0, toIn: flangeIn, side: 'left' },
        { axis: 'y', fromIn: 0, toIn: farIn, side: 'right' }
      ],
      widthIn: lengthIn,
      heightIn: Math.max(flangeIn, farIn),
      rowsSharing: lineCount,
      pitchIn: widestIn,
      transverseIn: lineCount === 2 ? narrowIn - 2 * edgeIn : null,
      work
    },
    work
  );
}
