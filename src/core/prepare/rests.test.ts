import { describe, expect, it } from 'vitest';
import { definition, planned } from '../../../tests/support/joints';

import { inInches, settingChangesInWords, stepChangesInWords } from '../../../tests/support/words';
import { FLANGE } from '../../../tests/support/steps';
import { DEFAULT_PROFILE } from '../rules/profile';
import { settingChanges } from './cage/tasks';
import { readyProgress, stepStream, type ReadyEvent } from './progress';
import { readyPlan } from './ready-plan';
import { STARTING_FIGURES } from './shop-figures';
import type { ReadyStep } from './step-list';

const LINE = { ...FLANGE, head: 'countersunk' } as const;
function stepsOf(thick: string[], change: object = {}, film = false): ReadyStep[] {
  const joint = definition('line', thick, { ...LINE, ...change });
  const [skin, ...rest] = joint.sheets;
  const filmed = skin ? { ...joint, sheets: [{ ...skin, film }, ...rest] } : joint;
  return readyPlan(filmed, planned(filmed), DEFAULT_PROFILE, STARTING_FIGURES, []).steps;
}
/** Every step ticked off as a whole. */
const ticks = (steps: readonly ReadyStep[]): ReadyEvent[] =>
  steps.map(({ key, count, rests }, at) => ({
    id: `0a52f3f2-07c2-4ce2-8f52-${String(at).padStart(12, '0')}`,
    at: '2026-11-20T09:00:00Z',
    kind: 'ticked',
    step: key,
    hole: null,
    of: count,
    done: true,
    rests: rests.whole,
    timed: null,
    by: 'Odile Marn',
    frozen: null
  }));
/** What each step that was ticked off before asks to be looked at again for. */
const changesOf = (before: readonly ReadyStep[], now: readonly ReadyStep[]) =>
  Object.fromEntries(
    readyProgress(now, stepStream.project(null, ticks(before))).steps.map(({ key, changed }) => [
      key,
      stepChangesInWords(changed)
    ])
  );

describe('what was ticked off rests on', () => {
  const before = stepsOf(['0.063', '0.040']);

  it('nothing that is as it was', () => {
    expect(Object.values(changesOf(before, stepsOf(['0.063', '0.040']))).join('')).toBe('');
  });

  it('the sheets, and says so at every step', () => {
    const now = changesOf(before, stepsOf(['0.080', '0.040']));
    expect(now['pilot']).toBe('the sheets (order, material, thickness, film or ends)');
    expect(Object.values(now).every((said) => said.startsWith('the sheets'))).toBe(true);
    // film that is on again is another sheet to cut
    expect(changesOf(before, stepsOf(['0.063', '0.040'], {}, true))['countersink-0-0']).toMatch(
      /^the sheets/
    );
  });

  it('the count and the places', () => {
    // 9 3/8 and 12 3/8 between end holes within 1½ in: 8 and 10 holes
    expect(changesOf(before, stepsOf(['0.063', '0.040'], { lengthIn: '13' }))['punch']).toBe(
      'the count, 8 to 10; the places or the sizes of the holes'
    );
  });

  it('its own setting', () => {
    const lapped = { closed: true, closedReason: 'QR-7' };
    expect(changesOf(before, stepsOf(['0.063', '0.040'], lapped))['deburr']).toBe(
      // two outer faces of 8 holes, one of them countersunk
      'the count, 32 to 8'
    );
    expect(changesOf(before, stepsOf(['0.063', '0.040'], { dash: 3 }))['countersink-0-0']).toMatch(
      /its tool or its setting$/
    );
  });
});

describe('what a cage was set for', () => {
  const restsOf = (steps: readonly ReadyStep[]) =>
    steps.find(({ said }) => said.op === 'countersink')?.cageRests ?? '';
  const now = restsOf(stepsOf(['0.063', '0.040']));
  const said = (was: string) => settingChangesInWords(settingChanges(was, now) ?? [], inInches);

  it('is said thing by thing where it is another now', () => {
    expect(said(restsOf(stepsOf(['0.080', '0.040'])))).toBe('sheet 0.08 in to 0.063 in');
    expect(said(restsOf(stepsOf(['0.063', '0.040'], {}, true)))).toBe('film on to off');
    expect(said(restsOf(stepsOf(['0.063', '0.040'], { dash: 3 })))).toBe(
      'rivet size dash 3 to dash 4; hole 0.098 in to 0.1285 in'
    );
  });

  it('is compared with what was kept before film was, and not with what cannot be read', () => {
    expect(settingChanges(JSON.stringify(JSON.parse(now).slice(0, 8)), now)).toEqual([]);
    expect(settingChanges('skin', now)).toBeNull();
    expect(settingChanges('{}', now)).toBeNull();
  });
});
