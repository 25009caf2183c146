import { firstBad } from '../../trial-setting/standing.ts';
import { asRanges } from '../../units/ranges.ts';
import { filmUnsaid, type CageSetup } from './setup.ts';
import type { SettingState } from './setting.ts';

/** Whether a set cage may go on cutting. */
export interface RecheckStatus {
  state: 'good' | 'due' | 'film-unsaid' | 'too-deep' | 'proud';
  /** of the work, cut so far */
  holes: number;
  /** the next re-check comes after so many */
  nextAfter: number;
  /** holes since the last good look before a bad one: `21–30`; empty otherwise */
  suspect: string;
  /** holes since the last look */
  since: number;
}

/**
 * The re-check log of a set cage.
 *
 * @param holes holes of the work cut so far
 * @source prepare: what is below the low limit cannot be undone
 */
export function recheckStatus(
  setup: Pick<CageSetup, 'recheckEvery' | 'filmIn' | 'filmOn'>,
  { found, looks }: Pick<SettingState, 'found' | 'looks'>,
  holes: number
): RecheckStatus {
  const last = looks.at(-1);
  const from = found?.afterHoles ?? 0;
  const bad = firstBad({ looks });
  const lastLook = last?.afterHoles ?? from;
  const nextAfter = lastLook + setup.recheckEvery;
  const cut = Math.max(holes, lastLook);
  if (bad && bad.look.verdict !== 'good') {
    const lastGood = looks[bad.at - 1]?.afterHoles ?? from;
    const suspect = asRanges(
      Array.from({ length: cut - lastGood }, (_, index) => lastGood + index + 1)
    );
    return {
      state: bad.look.verdict,
      holes: cut,
      nextAfter,
      suspect,
      since: cut - lastLook
    };
  }
  return {
    // A look at the bare work tells what nobody said of the film.
    state:
      filmUnsaid(setup) && looks.length === 0 ? 'film-unsaid' : cut >= nextAfter ? 'due' : 'good',
    holes: cut,
    nextAfter,
    suspect: '',
    since: cut - lastLook
  };
}
