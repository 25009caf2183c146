import { OldWorkMove } from '../../core/old-work/old-work-stream.ts';
import { oldWorkMoveInWords } from './old-work.ts';
import { HoleLook } from '../../core/inspect/hole-look.ts';
import { DriveMove } from '../../core/driving/drive-move.ts';
import { ReadyMove } from '../../core/prepare/progress.ts';
import { ReworkMove } from '../../core/reworking/rework-moves.ts';
import { FINDING_NAMES } from './heads.ts';
import { driveMoveInWords, readingInWords, reworkEventInWords } from './history.ts';
import type { WriteLength } from './writing.ts';

const LOGS: Readonly<Record<string, string>> = {
  cage: 'a stop countersink entry',
  tool: 'an entry of a tool’s setting'
};
const seen = ({ flags }: HoleLook): string =>
  flags.length === 0 ? '' : `; seen: ${flags.map((flag) => FINDING_NAMES[flag]).join(', ')}`;

/**
 * What an entry that lies in a browser says, before the server has judged it.
 *
 * @param log the log it is for, as its stream is called
 * @param move as it is kept; one that this version cannot read is called an entry
 */
export function keptMoveInWords(log: string, move: unknown, length: WriteLength): string {
  const read = <T>(
    schema: { safeParse: (value: unknown) => { success: boolean; data?: T | undefined } },
    say: (value: T) => string
  ) => {
    const { data } = schema.safeParse(move);
    return data === undefined ? null : say(data);
  };
  const said =
    log === 'hole'
      ? read(HoleLook, (look) => `head ${look.hole}, ${readingInWords(look, length)}${seen(look)}`)
      : log === 'drive'
        ? read(
            DriveMove,
            (tap) =>
              `${'hole' in tap ? `rivet ${tap.hole} ` : ''}${driveMoveInWords(tap, null, () => null, length)}`
          )
        : log === 'rework'
          ? // what the server makes of a measured hole is not known yet
            read(ReworkMove, (one) => reworkEventInWords(one, null, length).replace(/: $/, ''))
          : log === 'step'
            ? read(
                ReadyMove,
                ({ hole, done }) =>
                  `a prep step${hole === null ? '' : `, hole ${hole},`} ${done ? 'completed' : 'undone'}`
              )
            : log === 'old-work'
              ? read(OldWorkMove, oldWorkMoveInWords)
              : null;
  return said ?? LOGS[log] ?? 'an entry';
}
