import { asRanges } from '../../units/ranges.ts';
import type { CageSetup } from './setup.ts';
import type { Recheck, SettingState } from './setting.ts';

/** Whether a set cage may go on cutting. */
export interface RecheckStatus {
  state: 'good' | 'due' | 'too-deep' | 'proud';
  /** of the work, cut so far */
  holes: number;
  /** the next re-check comes after so many */
  nextAfter: number;
  /** holes since the last good look before a bad one: `21–30`; empty otherwise */
  suspect: string;
  say: string;
}

/**
 * The re-check log of a set cage.
 *
 * @param holes holes of the work cut so far
 * @source handbook 4.4: what is below the low limit cannot be undone
 */
export function recheckStatus(
  { recheckEvery }: Pick<CageSetup, 'recheckEvery'>,
  { found, rechecks }: Pick<SettingState, 'found' | 'rechecks'>,
  holes: number
): RecheckStatus {
  const last = rechecks.at(-1);
  const from = found?.afterHoles ?? 0;
  // A good look later does not mend the holes before it: once bad, the cage is set anew.
  const badAt = rechecks.findIndex(({ verdict }) => verdict !== 'good');
  const bad = rechecks[badAt];
  const lastLook = last?.afterHoles ?? from;
  const nextAfter = lastLook + recheckEvery;
  const cut = Math.max(holes, lastLook);
  if (bad && bad.verdict !== 'good') {
    const lastGood = rechecks[badAt - 1]?.afterHoles ?? from;
    const suspect = asRanges(
      Array.from({ length: cut - lastGood }, (_, index) => lastGood + index + 1)
    );
    return {
      state: bad.verdict,
      holes: cut,
      nextAfter,
      suspect,
      say: badly(bad, suspect)
    };
  }
  return cut >= nextAfter
    ? {
        state: 'due',
        holes: cut,
        nextAfter,
        suspect: '',
        say: `Re-check now: ${cut - lastLook} holes since the last look.`
      }
    : {
        state: 'good',
        holes: cut,
        nextAfter,
        suspect: '',
        say: `Next re-check after hole ${nextAfter}.`
      };
}

function badly({ verdict }: Recheck, suspect: string): string {
  const look = suspect === '' ? '' : ` Look at the holes cut as ${suspect} one by one.`;
  return verdict === 'too-deep'
    ? `Stop: too deep. It cannot be undone: next size up, or refer.${look} Set the cage anew.`
    : `Stop: too proud.${look} They can still be cut deeper once the cage is set anew.`;
}
