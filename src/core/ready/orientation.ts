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
 * @param joint its name; @param names parts from the one under the manufactured head downward
 * @source handbook 4.4: mark parts so they go back the same way round
 */
export const orientationMarks = (joint: string, names: readonly string[]): OrientationMark[] =>
  names.map((name, at) => {
    const part = at + 1;
    const of = names.length;
    return {
      part,
      of,
      name,
      face: at === 0 ? 'outside, under the manufactured heads' : `inside, against part ${at}`,
      strokesAbove: at,
      strokesBelow: part === of ? 0 : part,
      text: `${joint} · part ${part} of ${of} · ${name} · ← datum end · ↑ up`
    };
  });
