import type { Piece } from '../kinds/pieces.ts';

/** What is written on one part so that it goes back the same way round. */
export interface OrientationMark {
  part: number;
  of: number;
  name: string;
  /** which face the writing stands on */
  face: string;
  /** strokes across the meeting edges at the datum end: neighbours share theirs */
  strokesAbove: number;
  strokesBelow: number;
  text: string;
}

/**
 * A match-mark scheme for the parts of a stack: each is numbered, says which face is out, which end is the datum, and
 * carries strokes that only fit its neighbours.
 *
 * @param joint its name; @param pieces from those under the manufactured head downward; those of one layer carry the same strokes
 * @source prepare: mark parts so they go back the same way round
 */
export function orientationMarks(
  joint: string,
  pieces: readonly Pick<Piece, 'name' | 'layer'>[]
): OrientationMark[] {
  const of = pieces.length;
  const lowest = Math.max(...pieces.map(({ layer }) => layer));
  return pieces.map(({ name, layer }, at) => {
    const part = at + 1;
    const above = pieces.flatMap((other, index) => (other.layer === layer - 1 ? [index + 1] : []));
    return {
      part,
      of,
      name,
      face:
        above.length === 0
          ? 'outside, under the manufactured heads'
          : `inside, against part${above.length > 1 ? 's' : ''} ${above.join(' and ')}`,
      strokesAbove: layer - 1,
      strokesBelow: layer === lowest ? 0 : layer,
      text: `${joint} · part ${part} of ${of} · ${name} · ← datum end · ↑ up`
    };
  });
}
