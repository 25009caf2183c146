import { notPossible, workLine, type Answer, type WorkLine } from '../../answer.ts';
import { by, len } from '../../notation.ts';
import { leastPerRow, rivetsInRows, type Pattern } from '../../layout/row-spacing.ts';
import { downTo32nd, upTo32nd } from '../../units/ruler.ts';
import { above, atLeast, atMost, below, floorTo } from '../../units/tolerance.ts';
import type { LayContext } from '../kind-layout.ts';

export interface AlongWish {
  /** across the member, edge to edge */
  widthIn: number;
  /** as typed, or null */
  edgeIn: number | null;
  /** rivets on each side of the break */
  required: number;
  lines: number | 'auto';
  pattern: Pattern;
}

/** Rivet lines along a member, the same on both sides of its break; inches. */
export interface LinesAlong {
  lines: number;
  /** in the first line; every second one of a staggered pattern has one fewer */
  perLine: number;
  /** rivets on one side of the break */
  total: number;
  /** outermost line to the member's edge */
  sideEdgeIn: number;
  /** null where there is one line */
  transverseIn: number | null;
  pitchIn: number;
  /** from the break to the strap's end */
  overlapIn: number;
}

type Across = Pick<LinesAlong, 'lines' | 'sideEdgeIn' | 'transverseIn'>;

/** Lines spread over the width inside the edge distance; further in where they would stand too far apart. */
function spread(widthIn: number, edgeIn: number, lines: number, mostIn: number): Across {
  if (lines === 1) return { lines, sideEdgeIn: widthIn / 2, transverseIn: null };
  const transverseIn = Math.min((widthIn - 2 * edgeIn) / (lines - 1), mostIn);
  return { lines, sideEdgeIn: (widthIn - (lines - 1) * transverseIn) / 2, transverseIn };
}

/** Every number of lines that holds the limits across the member, from one up. */
function spreads(widthIn: number, { edgeIn, diameterIn: D, limits, head }: LayContext): Across[] {
  const mostIn = limits.transverseMaxD * D;
  const roomIn = widthIn - 2 * edgeIn;
  const most = roomIn > 0 ? floorTo(roomIn / (limits.transverseMinD * D)) + 1 : 1;
  return Array.from({ length: most }, (_, at) => spread(widthIn, edgeIn, at + 1, mostIn)).filter(
    ({ sideEdgeIn }) =>
      atLeast(sideEdgeIn, limits.edgeMinD[head] * D) && atMost(sideEdgeIn, limits.edgeMaxD * D)
  );
}

/** The pitch from the distance between lines: as that is usually a share of the pitch, so the other way round. */
function usualPitch({ diameterIn: D, limits }: LayContext, transverseIn: number | null): number {
  const wishedIn = (transverseIn ?? limits.transverseMinD * D) / limits.transverseOfPitch;
  return Math.min(
    upTo32nd(Math.max(limits.pitchMinD * D, wishedIn)),
    downTo32nd(limits.pitchMaxD * D)
  );
}

/**
 * Rivets in lines along a narrow member: as many lines across it as edge distance and the distance between rows allow, as
 * many rivets in each as the load asks. Of all numbers of lines that hold, the one with the shortest strap, then the fewest
 * rivets; a number that was asked for is laid as asked, to be judged.
 *
 * @returns lengths in inches
 * @throws never; `not-possible` when not even one line has its edge distance, or the edge distance is under its least
 * @source handbook 4.2
 */
export function linesAlong(wish: AlongWish, context: LayContext): Answer<LinesAlong> {
  const { widthIn, required, pattern } = wish;
  const { dash, diameterIn: D, edgeIn, head, limits, nearPitchIn } = context;
  const edgeMinD = limits.edgeMinD[head];
  const edgeMinIn = edgeMinD * D;
  if (below(edgeIn, edgeMinIn))
    return notPossible('edgeIn', {
      code: 'edge-under-least',
      edgeIn,
      edgeMinD,
      edgeMinIn,
      head,
      dash
    });
  const leastEdgeIn = wish.edgeIn ?? edgeMinIn;
  if (below(widthIn, 2 * leastEdgeIn))
    return notPossible('widthIn', { code: 'no-room-between-edges', widthIn, edgeIn: leastEdgeIn });

  const sized = (across: Across) => {
    const perLine = leastPerRow(pattern, across.lines, required);
    return { ...across, perLine, total: rivetsInRows(pattern, across.lines, perLine) };
  };
  const asked =
    wish.lines === 'auto'
      ? spreads(widthIn, context)
      : [spread(widthIn, edgeIn, wish.lines, limits.transverseMaxD * D)];
  const [first, ...others] = asked.map(sized);
  const chosen = others.reduce(
    (best, one) =>
      one.perLine < best.perLine || (one.perLine === best.perLine && one.total < best.total)
        ? one
        : best,
    first ?? sized(spread(widthIn, edgeIn, 1, 0))
  );
  const pitchIn = nearPitchIn ?? usualPitch(context, chosen.transverseIn);
  const overlapIn = 2 * edgeIn + (chosen.perLine - 1) * pitchIn;
  const result = { ...chosen, pitchIn, overlapIn };
  return {
    ok: true,
    result,
    work: explain(wish, result, context)
  };
}

function explain(
  { widthIn, required, pattern, lines: asked }: AlongWish,
  { lines, perLine, total, sideEdgeIn, transverseIn, pitchIn, overlapIn }: LinesAlong,
  { diameterIn: D, edgeIn, limits, nearPitchIn }: LayContext
): WorkLine[] {
  const apartIn = transverseIn ?? limits.transverseMinD * D;
  const wishedIn = apartIn / limits.transverseOfPitch;
  return [
    workLine(
      'lines along the member',
      asked === 'auto'
        ? by`of those that hold ${limits.transverseMinD} D to ${limits.transverseMaxD} D between them and the edge distance over ${len(widthIn)}: the shortest strap, then the fewest rivets`
        : 'as asked',
      lines,
      'lines',
      'lines'
    ),
    workLine(
      'rivets in the first line',
      `${required} over ${lines} ${pattern === 'staggered' ? 'staggered ' : ''}line${lines > 1 ? 's' : ''}`,
      perLine,
      'rivets',
      'pitch'
    ),
    workLine('rivets on one side', `over ${lines} line${lines > 1 ? 's' : ''}`, total, 'rivets'),
    ...(transverseIn === null
      ? [workLine('line to edge', by`width / 2 = ${len(widthIn)} / 2`, sideEdgeIn, 'in', 'lines')]
      : [
          workLine(
            'between lines',
            above(sideEdgeIn, edgeIn)
              ? by`not over ${limits.transverseMaxD} D = ${limits.transverseMaxD} × ${len(D)}`
              : by`(width − 2 × edge) / spaces = (${len(widthIn)} − 2 × ${len(edgeIn)}) / ${lines - 1}`,
            transverseIn,
            'in',
            'transverse'
          ),
          workLine(
            'line to edge',
            by`(width − ${lines - 1} × between lines) / 2 = (${len(widthIn)} − ${lines - 1} × ${len(transverseIn)}) / 2`,
            sideEdgeIn,
            'in',
            'lines'
          )
        ]),
    workLine(
      'pitch',
      nearPitchIn === null
        ? by`larger of ${limits.pitchMinD} D and ${transverseIn === null ? 'the least between lines' : 'between lines'} / ${limits.transverseOfPitch}, up to a 1/32, not over ${limits.pitchMaxD} D = larger of ${len(limits.pitchMinD * D)} and ${len(wishedIn)}`
        : 'the wished pitch: the strap is as long as it asks',
      pitchIn,
      'in',
      'pitch'
    ),
    workLine(
      'overlap',
      by`2 × edge + (rivets in a line − 1) × pitch = 2 × ${len(edgeIn)} + ${perLine - 1} × ${len(pitchIn)}`,
      overlapIn,
      'in',
      'overlap'
    )
  ];
}
