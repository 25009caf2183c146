import { isMeasured, type HoleEvent } from '../../core/inspect/hole-look.ts';
import type { HoleReading } from '../../core/reworking/hole-readings.ts';
import type { AgainstSize, HoleDecision } from '../../core/reworking/decide-hole.ts';
import type { RemovalSchool, RemovalStep, HowOut } from '../../core/reworking/removal-walk.ts';
import type { ReworkStep, SeenInHole } from '../../core/reworking/rework-moves.ts';
import type { WriteLength } from './writing.ts';

export const REMOVAL_SCHOOLS: Record<RemovalSchool, { name: string; risk: string }> = {
  'under-shank': {
    name: 'a size under the shank',
    risk: 'slower: a ring of shank is left for the punch, and the hole cannot grow'
  },
  'hole-drill': {
    name: 'the hole’s own drill',
    risk: 'fast: a drill that wanders cuts the hole, and the next size may not fit'
  }
};

export const HOW_OUT: Record<HowOut, string> = {
  plain: 'as usual',
  swelled: 'its shank is swelled between the sheets',
  spinning: 'it spins under the drill'
};

/** One step of taking a rivet out. */
export function removalStepInWords(step: RemovalStep, length: WriteLength): string {
  switch (step.code) {
    case 'center':
      return step.head === 'universal'
        ? 'File the manufactured head flat, or punch in its own dimple, so that the drill stays central.'
        : 'Punch the middle of the head, so that the drill stays central.';
    case 'drill-head':
      return `Drill ${step.drill} (${length(step.drillIn)}), square, through the head only: ${length(step.headIn)} deep. A width stop, or tape on the drill at that height.`;
    case 'lever':
      return 'If the head is still on, pry it off with a drift punch in the hole.';
    case 'support':
      return 'Support the sheet from behind, beside the shop head: a bar with a hole, or a wood block.';
    case 'punch':
      return `Drive the shank out with a punch of ${length(step.mostIn)} at most.`;
    case 'collapse':
      return `Drill ${step.drill} straight down the middle of the shank, so that it collapses and comes away between the sheets.`;
    case 'hold-shop-head':
      return 'Hold the shop head, so that the rivet does not turn with the drill.';
    case 'look':
      return 'Inspect with a magnifier: cracks, dents, oval hole, chips between sheets. Deburr both sides.';
  }
}

/** What is done at a hole before its new rivet goes in, and that it is done. */
export const REWORK_STEPS: Record<ReworkStep, { todo: string; done: string }> = {
  drilled: { todo: 'Drill to the new size', done: 'drilled to the new size' },
  deburred: { todo: 'Deburr both sides', done: 'deburred' },
  cut: { todo: 'Countersink for the new head', done: 'countersunk for the new head' },
  dimpled: { todo: 'Dimple for the new head', done: 'dimpled for the new head' },
  cleaned: { todo: 'Clean out chips', done: 'chips cleaned out' }
};

export const SEEN_IN_HOLE: Record<SeenInHole, string> = {
  cracked: 'a crack at the hole',
  dented: 'a dent beside it',
  elongated: 'elongated hole'
};

const AGAINST: Record<AgainstSize, string> = {
  hole: 'the hole is wider than the next size’s drill',
  edge: 'edge distance too short',
  pitch: 'pitch too short',
  'between-rows': 'the next row is too near',
  flush: 'no countersink for its head fits these sheets, and a dimple cannot be enlarged in place',
  'cut-too-deep': 'even its deeper head would lie under the skin',
  length: 'there is no such length',
  'no-larger-size': 'there is no larger size'
};

/** What is to be done with an empty hole, and why. */
export function decisionInWords(
  { decision, because, against, rivet, tooSmall }: HoleDecision,
  length: WriteLength
): { title: string; why: string } {
  if (decision === 'keep' && tooSmall)
    return {
      title: `Same size: ${rivet?.partNumber ?? ''}`,
      why: `the hole is too small for dash ${rivet?.dash ?? ''}. Ream or drill to ${tooSmall.drill} (${length(tooSmall.drillIn)}) first`
    };
  if (decision === 'keep')
    return {
      title: `Same size: ${rivet?.partNumber ?? ''}`,
      why: 'the hole is within 0.003 in of its drill, as measured at its widest'.replace(
        '0.003 in',
        length(0.003)
      )
    };
  if (decision === 'next-size')
    return {
      title: `Next size: ${rivet?.partNumber ?? ''}, hole ${length(rivet?.holeIn ?? 0)}`,
      why: 'edges, neighbors, the cut and the length all hold for it'
    };
  const why =
    because === 'third-time'
      ? 'third removal at this hole'
      : because !== null
        ? SEEN_IN_HOLE[because]
        : against.map((one) => AGAINST[one]).join('; ');
  return { title: 'Refer to engineering', why };
}

/**
 * How a question to the data holder begins: with what was measured there, so that nobody copies figures by hand.
 *
 * @param readings of the empty hole; those that count no more say nothing
 * @param looks at the rivet that is in, or was; those that nobody voided
 */
export function questionBegins(
  hole: number,
  readings: readonly Pick<HoleReading, 'widestIn' | 'voided'>[],
  looks: readonly HoleEvent[],
  length: WriteLength
): string {
  const widest = readings.flatMap(({ widestIn, voided }) => (voided === null ? widestIn : []));
  const last = looks.findLast(isMeasured);
  return [
    ...(widest.length > 0
      ? [`Hole ${hole}: ${length(Math.max(...widest), 'fine')} at its widest. `]
      : []),
    ...(last
      ? [
          `Head ${hole}: ${length(last.diameterIn, 'fine')} wide, ${length(last.heightIn, 'fine')} high. `
        ]
      : [])
  ].join('');
}
