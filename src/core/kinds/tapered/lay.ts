import { answer, notPossible, workLine, type WorkLine } from '../../answer.ts';
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
  const paths =
    lineCount === 1
      ? [across(flangeIn / 2, farIn / 2, lengthIn)]
      : [across(edgeIn, edgeIn, lengthIn), across(flangeIn - edgeIn, farIn - edgeIn, lengthIn)];

  const wishes: LineWish[] = [];
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
    }
  ];
  const work: WorkLine[] = [edgeWork];
  let widestIn = 0;
  /** zones beside each other of one size */
  let run: { dash: Dash; fromIn: number; needed: number; laid: number } | null = null;
  for (const [index, zone] of zones.entries()) {
    const need = context.needs[index]?.required;
    if (need && !need.ok) return need;
    // the rivet on the border with the zone before is counted there
    const needed = ceilTo((need?.result.required ?? 0) / lineCount);
    const own = needed > 0 && index > 0 ? needed + 1 : needed;
    const D = rivetSize(zone.dash).diameterIn;
    const [path] = paths;
    if (!path || path.path !== 'straight')
      return notPossible('lengthIn', { code: 'no-member-line' });
    const per = path.lengthIn / lengthIn;
    const fromIn = index === 0 ? edgeIn : zone.fromIn * per;
    const toIn = index === zones.length - 1 ? path.lengthIn - edgeIn : zone.toIn * per;
    if (run === null || run.dash !== zone.dash)
      run = { dash: zone.dash, fromIn, needed: index > 0 ? 1 : 0, laid: 0 };
    run.needed += needed;
    // zones of one size hold no fewer than they would as one
    const asOne = alongSpan(toIn - run.fromIn, run.needed, zone.dash, context);
    const shared = run.laid > 0 ? 1 : 0;
    const least = Math.max(own, asOne.ok ? asOne.result.count - run.laid + shared : 0);
    const along = alongSpan(toIn - fromIn, least, zone.dash, context);
    if (!along.ok) return along;
    const { count, pitchIn } = along.result;
    run.laid += count - shared;
    widestIn = Math.max(widestIn, pitchIn);
    const zoneWords = zones.length > 1 ? `, zone ${index + 1}` : '';
    figures.push(
      pitchFigure(
        { ...context, limits: limitsFor(limits, zone.dash) },
        pitchIn,
        D,
        along.result.work,
        {
          key: `pitch-${index + 1}`,
          label: zones.length > 1 ? `Pitch, zone ${index + 1} (dash ${zone.dash})` : 'Pitch'
        }
      )
    );
    work.push(...along.result.work);
    for (const [at, line] of paths.entries()) {
      const ownPer = line.path === 'straight' ? line.lengthIn / lengthIn : 1;
      const ownTo = index === zones.length - 1 ? lengthIn * ownPer - edgeIn : zone.toIn * ownPer;
      wishes.push({
        key: `line-${at + 1}-zone-${index + 1}`,
        name: `line ${at + 1}${zoneWords}`,
        path: line,
        alongIn: evenly(index === 0 ? edgeIn : zone.fromIn * ownPer, ownTo, count),
        givenIn: [],
        dash: zone.dash,
        stack: 0,
        through: ['flange'],
        endsMayMove: zones.length === 1,
        endsAtEdge:
          zones.length === 1 || (index === 0 ? 'first' : index === zones.length - 1 && 'last')
      });
    }
  }
  const narrowIn = Math.min(flangeIn, farIn);
  const checks: HoleCheck[] = [wholeCheck('edge-max', 'most', limits.edgeMaxD * largestD, edgeIn)];
  if (lineCount === 2)
    checks.push(
      wholeCheck('transverse-min', 'least', limits.transverseMinD * largestD, narrowIn - 2 * edgeIn)
    );
  figures.push(
    figure('narrow', 'Narrowest flange', narrowIn, [
      workLine(
        'flange',
        by`${len(flangeIn)} at the datum end, ${len(farIn)} at the far end`,
        narrowIn,
        'in'
      )
    ])
  );
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
