import {
  oldWorkStream,
  type OldFinding,
  type OldWorkEvent,
  type OldWorkMove
} from '../../core/old-work/old-work-stream.ts';
import type { JointRecord } from '../../core/signing/record.ts';
import type { Around, Disposition, OldSign } from '../../core/old-work/signs.ts';

/** What one sees, and what it means. */
export const OLD_SIGN_WORDS: Record<OldSign, { name: string; means: string }> = {
  smoking: { name: 'dark trail or ring from the head', means: 'the rivet works in its hole' },
  loose: { name: 'head turns, rocks or sounds dull', means: 'the rivet is loose' },
  'paint-ring': {
    name: 'paint cracked in rings around the heads of one row',
    means: 'the joint moves or was overloaded'
  },
  'head-pulled': {
    name: 'manufactured head dished, tipped, pulled in or missing',
    means: 'overload or fatigue'
  },
  crack: { name: 'crack from a hole', means: 'fatigue: refer at once' },
  bulge: {
    name: 'skin bulged between rivets, powder at edges or heads',
    means: 'corrosion between the sheets: open only by data'
  },
  gap: {
    name: 'plain gap between sheets or under a head',
    means: 'never drawn together, or pulled'
  }
};

export const AROUND_WORDS: Record<Around, string> = {
  neighbors: 'neighboring rivets',
  'structure-behind': 'the structure behind',
  'oval-holes': 'oval holes (next size needed)',
  cause: 'cause: load, vibration, corrosion or age',
  row: 'the whole row',
  'far-side': 'the far side',
  cracks: 'cracks at this hole and its neighbors',
  'crack-end': 'crack end, marked (no stop-drilling without data)',
  extent: 'extent, marked'
};

export const DISPOSITIONS: Record<Disposition, string> = {
  replace: 'replace',
  refer: 'refer to engineering',
  leave: 'left as is'
};

/** What a move of old work says. */
export function oldWorkMoveInWords(move: OldWorkMove): string {
  switch (move.kind) {
    case 'found':
      return [
        `found in service at ${move.where}: ${OLD_SIGN_WORDS[move.sign].name}`,
        ...(move.hours === null ? [] : [`${move.hours} h`]),
        ...(move.note === '' ? [] : [move.note])
      ].join('; ');
    case 'looked-around':
      return `inspected ${AROUND_WORDS[move.what]}: ${move.seen === '' ? 'nothing found' : move.seen}`;
    case 'disposed':
      return [
        DISPOSITIONS[move.disposition],
        ...(move.authority === '' ? [] : [`by ${move.authority}`]),
        ...(move.note === '' ? [] : [move.note])
      ].join('; ');
    case 'voided':
      return `voided: ${move.why}`;
  }
}

/** One finding with everything that was done about it, a line each. */
export const oldFindingLines = (
  { sign, where, hours, note, by, at, around, dispositions, voided }: OldFinding,
  when: (at: string) => string
): string[] => [
  `Found in service at ${where}, ${when(at)}, by ${by}${hours === null ? '' : `, ${hours} h`}: ${OLD_SIGN_WORDS[sign].name}, ${OLD_SIGN_WORDS[sign].means}${note === '' ? '' : `; ${note}`}`,
  ...around.map(
    (one) =>
      `Inspected ${AROUND_WORDS[one.what]}, ${one.by}: ${one.seen === '' ? 'nothing found' : one.seen}`
  ),
  ...dispositions.map(
    (one) =>
      `Disposition, ${one.by}, ${when(one.at)}: ${DISPOSITIONS[one.disposition]}${one.authority === '' ? '' : `, by ${one.authority}`}${one.note === '' ? '' : `; ${one.note}`}`
  ),
  ...(voided !== null
    ? [`Voided by ${voided.by}: ${voided.why}`]
    : dispositions.length === 0
      ? ['No disposition yet.']
      : [])
];

/** What a record says of old work: every finding with what was done about it. */
export function oldWorkLines(
  recorded: NonNullable<JointRecord['oldWork']>,
  when: (at: string) => string
): string[] {
  const events = recorded.map(({ by, move }) => ({ ...move, by, frozen: null }) as OldWorkEvent);
  return [...oldWorkStream.project(null, events).values()].flatMap((found) =>
    oldFindingLines(found, when)
  );
}
