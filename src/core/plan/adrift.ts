import type { Joint } from '../kinds/joint.ts';
import type { LaidLine } from './holes.ts';

/** What is adrift, as a code with its quantities. */
export type AdriftSaid =
  | { what: 'fixed'; name: string }
  | {
      what: 'edit';
      state: Joint['edits'][number]['state'];
      reason: string;
      /** which hole it was, where the line is still there with another count; else null */
      place: { hole: number; of: number; line: string; holesNow: number } | null;
    }
  /** a hole of two lines, of which the other one says otherwise */
  | { what: 'crossing'; state: Joint['edits'][number]['state']; hole: number; line: string }
  | { what: 'datum' };

/** A change made by hand that no longer fits the joint: it is never moved to another hole by itself. */
export interface Adrift {
  what: 'edit' | 'fixed' | 'datum';
  /** its id in the definition; the datum has none */
  id: string | null;
  said: AdriftSaid;
}

const NONE: ReadonlySet<string> = new Set();

/**
 * What was set by hand and no longer fits: edits of a line with another count, fixed holes and edits of a line that is gone,
 * a datum that is.
 *
 * @param lines as laid, with how many holes each was laid with
 * @param crossing edits of a hole that another of its lines has an edit of, by their ids
 */
export function adriftOf(
  { edits, fixed }: Pick<Joint, 'edits' | 'fixed'>,
  lines: readonly Pick<LaidLine, 'key' | 'name' | 'laidCount'>[],
  datumGone: boolean,
  crossing: ReadonlySet<string> = NONE
): Adrift[] {
  const known = new Map(lines.map((line) => [line.key, line]));
  const ofEdit = (
    { id, state, reason }: Joint['edits'][number],
    place: Extract<AdriftSaid, { what: 'edit' }>['place']
  ): Adrift => ({ what: 'edit', id, said: { what: 'edit', state, reason, place } });
  return [
    ...edits.flatMap((edit): Adrift[] => {
      const line = known.get(edit.line);
      if (!line) return [];
      const { name, laidCount } = line;
      const { id, state, index } = edit;
      if (crossing.has(id))
        return [
          { what: 'edit', id, said: { what: 'crossing', state, hole: index + 1, line: name } }
        ];
      if (edit.of === laidCount && index < laidCount) return [];
      return [ofEdit(edit, { hole: edit.index + 1, of: edit.of, line: name, holesNow: laidCount })];
    }),
    ...fixed.flatMap(({ id, line, name }, index): Adrift[] =>
      known.has(line)
        ? []
        : [{ what: 'fixed', id, said: { what: 'fixed', name: name || String(index + 1) } }]
    ),
    ...edits.flatMap((edit) => (known.has(edit.line) ? [] : [ofEdit(edit, null)])),
    ...(datumGone ? [{ what: 'datum' as const, id: null, said: { what: 'datum' as const } }] : [])
  ];
}
