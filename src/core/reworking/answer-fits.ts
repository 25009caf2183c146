import { answer, notPossible, type Answer } from '../answer.ts';
import { rivetSize } from '../catalog/rivets.ts';
import type { Release } from '../release/release.ts';
import type { Dash } from '../schema/fields.ts';
import { partNumber } from '../stack/part-number.ts';
import { atLeast } from '../units/tolerance.ts';
import type { ReplacedRivet } from './replaced-rivet.ts';
import type { Blind } from './rework-moves.ts';

/** The release in whose hole an answer puts something. */
type AnsweredIn = Pick<Release, 'facts' | 'holes'>;

const gripAt = ({ facts, holes }: AnsweredIn, number: number): number =>
  holes.find((hole) => hole.number === number)?.gripIn ?? facts.gripIn;

/** Metal that is gone is not drilled back: no answer makes a hole narrower than it was measured. */
const narrower = (holeIn: number, widestIn: number | null): Answer<never> | null =>
  widestIn === null || atLeast(holeIn, widestIn)
    ? null
    : notPossible('hole', { code: 'hole-is-wider', holeIn, widestIn });

/** Whether a blind fastener’s own hole can be made there, and it reaches through the sheets. */
export function blindFits(
  subject: AnsweredIn,
  number: number,
  { drillIn, gripIn }: Blind,
  widestIn: number | null
): Answer<null> {
  const sheetsIn = gripAt(subject, number);
  if (!atLeast(gripIn, sheetsIn))
    return notPossible('grip', { code: 'blind-too-short', gripIn, sheetsIn });
  return narrower(drillIn, widestIn) ?? answer(null, []);
}

/** Whether a rivet that an answer names is what its part number says, and makes a head in that hole. */
export function rivetFits(
  subject: AnsweredIn,
  number: number,
  { dash, rivet }: { dash: Dash; rivet: ReplacedRivet },
  widestIn: number | null
): Answer<null> {
  const { facts } = subject;
  const { partNumber: part, lengthIn, holeIn } = rivet;
  const read = partNumber({ text: part });
  if (!read.ok) return read;
  const gripIn = gripAt(subject, number);
  const same =
    read.result.dash === dash &&
    rivet.dash === dash &&
    read.result.head === facts.head &&
    read.result.lengthIn === lengthIn;
  if (!same) return notPossible('rivet', { code: 'rivet-mismatch', part });
  const wider = narrower(holeIn, widestIn);
  if (wider) return wider;
  return lengthIn > gripIn && holeIn >= rivetSize(dash).diameterIn
    ? answer(null, [])
    : notPossible('rivet', { code: 'no-metal-for-head', lengthIn, gripIn, holeIn });
}
