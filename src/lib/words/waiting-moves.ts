import { OldWorkMove } from '../../core/old-work/old-work-stream.ts';
import { oldWorkMoveInWords } from './old-work.ts';
import { OBJECTION_ANSWERS, objectionNamed } from './objections.ts';
import { HoleLook } from '../../core/check/hole-look.ts';
import { DriveMove } from '../../core/driving/drive-move.ts';
import { ReadyMove } from '../../core/ready/progress.ts';
import { ReworkMove } from '../../core/reworking/rework-moves.ts';
import { FINDING_NAMES } from './heads.ts';
import { reworkEventInWords } from './history.ts';
import type { WriteLength } from './writing.ts';

const LOGS: Readonly<Record<string, string>> = {
  cage: 'an entry of a cage’s setting',
  tool: 'an entry of a tool’s setting'
};
const QUICK = { good: ', good', more: ', wants more', again: ', to be looked at again' } as const;

function headInWords(look: HoleLook, length: WriteLength): string {
  const seen =
    look.flags.length === 0
      ? ''
      : `; seen: ${look.flags.map((flag) => FINDING_NAMES[flag]).join(', ')}`;
  switch (look.kind) {
    case 'checked':
      return `head ${look.hole}: ${length(look.diameterIn, 'fine')} wide, ${length(look.heightIn, 'fine')} high${seen}`;
    case 'gauged':
      return `head ${look.hole}: over its plate ${look.fitsOver ? 'yes' : 'no'}, plate down on the sheet ${look.touchesSheet ? 'yes' : 'no'}${seen}`;
    case 'eyed':
      return `head ${look.hole}: looked at by eye${seen}`;
  }
}

function tapInWords(move: DriveMove): string {
  switch (move.kind) {
    case 'driven':
      return `rivet ${move.hole} driven${move.quick === null ? '' : QUICK[move.quick]}`;
    case 'undriven':
      return `rivet ${move.hole} taken back: it was not driven`;
    case 'looked':
      return `a quick look at rivet ${move.hole}${QUICK[move.quick]}`;
    case 'seen':
      return `rivet ${move.hole} seen by a camera`;
    case 'ordered':
      return 'an order of driving';
    case 'placed':
      return 'how one gets at the rivets';
    case 'objected':
      return `what is not met: ${objectionNamed(move.key)}, ${OBJECTION_ANSWERS[move.answer]}`;
    case 'confirmed':
      return `gun or bar held at ${move.taps.length === 1 ? 'a rivet' : `${move.taps.length} rivets`}`;
    case 'loaded':
      return `the lot of ${move.part}`;
  }
}

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
      ? read(HoleLook, (look) => headInWords(look, length))
      : log === 'drive'
        ? read(DriveMove, tapInWords)
        : log === 'rework'
          ? // what the server makes of a measured hole is not known yet
            read(ReworkMove, (one) => reworkEventInWords(one, null, length).replace(/: $/, ''))
          : log === 'step'
            ? read(
                ReadyMove,
                ({ hole, done }) =>
                  `a step of Make ready${hole === null ? '' : `, hole ${hole},`} ${done ? 'ticked off' : 'taken back'}`
              )
            : log === 'old-work'
              ? read(OldWorkMove, oldWorkMoveInWords)
              : null;
  return said ?? LOGS[log] ?? 'an entry';
}
