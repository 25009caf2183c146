import { describe, expect, it } from 'vitest';
import { setupOf } from '../../../../tests/support/cages';
import { isTrustedCage, offerFor, type RememberedSetting } from './remembered';
import { cageStream, type CageEvent } from './setting';
import type { CageSetup } from './setup';
import { cageOfStep, type StepSetting } from './step-cage';
import { settingInWords } from '../../../../tests/support/words';
import { SETUP, reading, storing, SET, recheck } from '../../../../tests/support/cage-log';

describe('a remembered setting', () => {
  const remembered = (id: string, setup: CageSetup, events: CageEvent[]): RememberedSetting => ({
    id,
    work: '',
    setup,
    state: cageStream.project(setup, events)
  });
  // made within the test: what fails while tests are only collected, no changed line is held against
  it('is offered for the same work only, the latest that may be trusted', () => {
    const good = remembered('good', SETUP, storing(SETUP, ...SET, recheck(10, 0.001)));
    const bad = remembered('bad', SETUP, storing(SETUP, ...SET, recheck(10, -0.001)));
    const gone = remembered(
      'gone',
      SETUP,
      storing(SETUP, ...SET, { kind: 'withdrawn', why: 'new cutter' })
    );
    const open = remembered('open', SETUP, storing(SETUP, SET[0]));
    const practice = remembered(
      'practice',
      SETUP,
      storing(SETUP, reading(9, 0.0015, 'simulated'), ...SET.slice(1))
    );
    expect([good, bad, gone, open, practice].map(({ state }) => isTrustedCage(state))).toEqual([
      true,
      false,
      false,
      false,
      false
    ]);
    expect(practice.state.found).toMatchObject({ clicks: 9 });
    expect(offerFor(SETUP, [practice, open, gone, bad, good])?.id).toBe('good');
    expect(offerFor(setupOf({ sheetIn: 0.052 }), [good])?.id).toBe('good');
    for (const other of [
      setupOf({ dash: 3 }),
      setupOf({ sheetIn: 0.063 }),
      setupOf({ school: 'aerodynamic' }),
      setupOf({ seat: 'dimpled-scrap', skinIn: 0.02 })
    ])
      expect(offerFor(other, [good])).toBeNull();
    // with a rivet in the cut the sheets above are no matter; with a dimpled scrap they are all that counts
    expect(offerFor(setupOf({ skinIn: 0.032 }), [good])?.id).toBe('good');
    const scrap = (skinIn: number) =>
      setupOf({ seat: 'dimpled-scrap', sheetIn: 0.063, couponIn: 0.063, skinIn });
    const nested = { ...good, id: 'nested', setup: scrap(0.02) };
    expect(offerFor(scrap(0.02), [nested])?.id).toBe('nested');
    expect(offerFor(scrap(0.025), [nested])).toBeNull();
    // one good look among bad ones is not enough
    const mixed = remembered(
      'mixed',
      SETUP,
      storing(SETUP, ...SET, recheck(10, 0.001), recheck(20, -0.001))
    );
    expect(isTrustedCage(mixed.state)).toBe(false);
  });
});

describe('the cage of a step', () => {
  const STEP = 'countersink-0-0';
  const NOW = { key: STEP, cageRests: 'skin 0.040' };
  const made = (id: string, events: CageEvent[], step = STEP): StepSetting => ({
    id,
    work: '',
    setup: SETUP,
    state: cageStream.project(SETUP, events),
    step,
    rests: '',
    cage: 'Cage two, no. 7'
  });
  const set = () => made('set', storing(SETUP, ...SET));
  const begun = () => made('begun', storing(SETUP, SET[0]));

  it('is the latest that was set for it, with what is due', () => {
    const { set: found, begun: open } = cageOfStep([begun(), set(), made('older', [])], NOW, 10);
    expect(open?.id).toBe('begun');
    expect(found).toMatchObject({
      setting: { id: 'set' },
      found: { clicks: 9, nest: null },
      status: { state: 'due' }
    });
    expect(cageOfStep([set()], NOW, 9).set?.status.state).toBe('good');
  });

  it('is none of another step, withdrawn or practised', () => {
    const gone = made('gone', storing(SETUP, ...SET, { kind: 'withdrawn', why: 'x' }));
    const practice = made(
      'practice',
      storing(SETUP, reading(9, 0.0015, 'simulated'), ...SET.slice(1))
    );
    const other = made('other', storing(SETUP, ...SET), 'countersink-1-0');
    expect(cageOfStep([gone, practice, other], NOW, 0)).toEqual({
      set: null,
      begun: null,
      outdated: null,
      changes: []
    });
  });

  it('is none that was set before the joint changed', () => {
    const resting = { ...set(), rests: 'skin 0.040' };
    const of = (cageRests: string | null) => cageOfStep([resting], { key: STEP, cageRests }, 0);
    expect(of('skin 0.040').set?.setting.id).toBe('set');
    expect(of(null).set?.setting.id).toBe('set');
    expect(of('skin 0.032')).toMatchObject({ set: null, outdated: { id: 'set' }, changes: [] });
    // what was only begun, or only practised, is not outdated: it was never set
    const stale = { ...begun(), rests: 'skin 0.032' };
    expect(cageOfStep([stale], NOW, 0)).toMatchObject({ begun: null, outdated: null });
    const practised = {
      ...made('practice', storing(SETUP, reading(9, 0.0015, 'simulated'), ...SET.slice(1))),
      rests: 'skin 0.032'
    };
    expect(cageOfStep([practised], NOW, 0).outdated).toBeNull();
  });

  it('names its nested setting too', () => {
    const thick = setupOf({ sheetIn: 0.063, couponIn: 0.063, skinIn: 0.032 });
    const state = cageStream.project(thick, storing(thick, ...SET));
    // 9.77 clicks past flush: nine whole ones do not pass it
    const { set: found } = cageOfStep([{ ...set(), setup: thick, state }], NOW, 0);
    expect(found && settingInWords(found)).toBe('Cage two, no. 7: flush at 9 clicks, nested at 18');
  });
});
