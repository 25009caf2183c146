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
  /** first line to the member's upper edge, and the last to its lower one */
  sideEdgeIn: number;
  farEdgeIn: number;
  /** null where there is one line */
  transverseIn: number | null;
  pitchIn: number;
  /** from the break to the strap's end */
  overlapIn: number;
}

type Across = Pick<LinesAlong, 'lines' | 'sideEdgeIn' | 'farEdgeIn' | 'transverseIn'>;

/** On a 1/32, so that it can be drawn, where that keeps the least. */
const drawable = (lengthIn: number, leastIn: number): number => {
  const downIn = downTo32nd(lengthIn);
  return atLeast(downIn, leastIn) ? downIn : lengthIn;
};

/** Lines spread over the width inside the edge distance; further in where they would stand too far apart. */
function spread(
  widthIn: number,
  lines: number,
  { edgeIn, diameterIn: D, limits, head }: LayContext
): Across {
  const spaces = lines - 1;
  const evenIn = Math.min((widthIn - 2 * edgeIn) / spaces, limits.transverseMaxD * D);
  const apartIn = spaces === 0 ? 0 : drawable(evenIn, limits.transverseMinD * D);
  const sideEdgeIn = drawable((widthIn - spaces * apartIn) / 2, limits.edgeMinD[head] * D);
  return {
    lines,
    sideEdgeIn,
    farEdgeIn: widthIn - sideEdgeIn - spaces * apartIn,
    transverseIn: spaces === 0 ? null : apartIn
  };
}

/** Every number of lines that holds the limits across the member, from one up. */
function spreads(widthIn: number, context: LayContext): Across[] {
  const { edgeIn, diameterIn: D, limits, head } = context;
  const roomIn = widthIn - 2 * edgeIn;
  const most = roomIn > 0 ? floorTo(roomIn / (limits.transverseMinD * D)) + 1 : 1;
  return Array.from({ length: most }, (_, at) => spread(widthIn, at + 1, context)).filter(
    ({ sideEdgeIn, farEdgeIn }) =>
      atLeast(sideEdgeIn, limits.edgeMinD[head] * D) && atMost(farEdgeIn, limits.edgeMaxD * D)
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
 * @source layout
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
  // one line may stand nearer than the usual edge distance, several need room between theirs
  const several = wish.lines !== 'auto' && wish.lines > 1;
  const leastEdgeIn = several ? edgeIn : (wish.edgeIn ?? edgeMinIn);
  if (below(widthIn, 2 * leastEdgeIn) || (several && atMost(widthIn, 2 * leastEdgeIn)))
    return notPossible('widthIn', { code: 'no-room-between-edges', widthIn, edgeIn: leastEdgeIn });

  const sized = (across: Across) => {
    const perLine = leastPerRow(pattern, across.lines, required);
    return { ...across, perLine, total: rivetsInRows(pattern, across.lines, perLine) };
  };
  const asked =
    wish.lines === 'auto' ? spreads(widthIn, context) : [spread(widthIn, wish.lines, context)];
  const [first, ...others] = asked.map(sized);
  const chosen = others.reduce(
    (best, one) =>
      one.perLine < best.perLine || (one.perLine === best.perLine && one.total < best.total)
        ? one
        : best,
    first ?? sized(spread(widthIn, 1, context))
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
      ? [
          workLine(
            'line to edge',
            by`width / 2 = ${len(widthIn)} / 2, down to a 1/32 where that holds`,
            sideEdgeIn,
            'in',
            'lines'
          )
        ]
      : [
          workLine(
            'between lines',
            above((widthIn - 2 * edgeIn) / (lines - 1), limits.transverseMaxD * D)
              ? by`not over ${limits.transverseMaxD} D = ${limits.transverseMaxD} × ${len(D)}`
              : by`(width − 2 × edge) / spaces, down to a 1/32 where that holds = (${len(widthIn)} − 2 × ${len(edgeIn)}) / ${lines - 1}`,
            transverseIn,
            'in',
            'transverse'
          ),
          workLine(
            'line to edge',
            by`(width − ${lines - 1} × between lines) / 2, down to a 1/32 where that holds = (${len(widthIn)} − ${lines - 1} × ${len(transverseIn)}) / 2`,
            sideEdgeIn,
            'in',
            'lines'
          )
        ]),
    workLine(
      'pitch',
      nearPitchIn === null
        ? by`larger of ${limits.pitchMinD} D and ${transverseIn === null ? 'minimum transverse pitch' : 'between lines'} / ${limits.transverseOfPitch}, up to a 1/32, not over ${limits.pitchMaxD} D = larger of ${len(limits.pitchMinD * D)} and ${len(wishedIn)}`
        : 'target pitch; the strap length follows',
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
