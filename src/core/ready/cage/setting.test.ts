import { describe, expect, it } from 'vitest';
import { setupOf } from '../../../../tests/support/cages';
import { isTrusted, offerFor, type RememberedSetting } from './remembered';
import { recheckStatus } from './rechecks';
import type { Unstamped } from '../../events/stream';
import {
  isNestTried,
  type SettingState,
  CageMove,
  cageStream,
  type CageEvent,
  type ReadingFrom
} from './setting';
import type { CageSetup } from './setup';
import { cageOfStep, type StepSetting } from './step-cage';
import { recheckInWords, refusal, settingInWords } from '../../../../tests/support/words';
import { problemsOf } from '../../schema/read';
import { whyNot } from '../../../../tests/support/why-not.ts';

const SETUP = setupOf();
const AT = '2026-11-23T10:00:00.000Z';
const idOf = (number: number): string =>
  `00000000-0000-4000-8000-${String(number).padStart(12, '0')}`;

type Loose = Unstamped<CageMove>;
const follow = (setup: CageSetup, events: readonly CageEvent[], move: CageMove) =>
  cageStream.follow(setup, cageStream.project(setup, events), move);
const moveOf = (number: number, move: Loose): CageMove => ({
  ...move,
  id: idOf(number),
  at: AT
});
const reading = (clicks: number, flushnessIn: number, from: ReadingFrom = 'typed'): Loose => ({
  kind: 'reading',
  clicks,
  flushnessIn,
  from,
  cameUp: false,
  ring: false
});

/** Moves one after another, each as the server would store it; throws where one is refused. */
function storing(setup: CageSetup, ...moves: Loose[]): CageEvent[] {
  const events: CageEvent[] = [];
  for (const [index, loose] of moves.entries()) {
    const move = moveOf(index + 1, loose);
    const may = follow(setup, events, move);
    if (!may.ok) throw new Error(refusal(may.error));
    events.push({ ...move, by: 'Odile Marn', frozen: may.result });
  }
  return events;
}
const SET = [
  reading(9, 0.0015),
  reading(9, 0.0011),
  reading(9, 0.0013),
  { kind: 'finished', afterHoles: 0 }
] as const;
const recheck = (afterHoles: number, flushnessIn: number): Loose => ({
  kind: 'recheck',
  afterHoles,
  flushnessIn,
  from: 'typed'
});

describe('the events of a setting', () => {
  it('freeze what was found when it is finished', () => {
    const { found, rechecks } = cageStream.project(SETUP, storing(SETUP, ...SET));
    expect(found).toEqual({
      clicks: 9,
      deepestIn: 0.0011,
      proudestIn: 0.0015,
      holes: 3,
      slopePerClickIn: -0.001,
      confidence: 'assumed',
      nest: null,
      afterHoles: 0,
      at: AT,
      by: 'Odile Marn'
    });
    expect(rechecks).toEqual([]);
  });

  it('say nothing of a nest that no dimpled scrap sat flush in', () => {
    const plain = { clicks: 9, nest: null } as SettingState['found'];
    const nested = {
      clicks: 9,
      nest: { clicks: 18, extraClicks: 9, depthIn: 0.05, wallIn: 0.013 }
    } as SettingState['found'];
    const check = (verdict: 'good' | 'proud' | 'too-deep') =>
      ({ verdict }) as SettingState['rechecks'][number];
    expect(isNestTried({ found: null, rechecks: [] })).toBe(true);
    expect(isNestTried({ found: plain, rechecks: [] })).toBe(true);
    expect(isNestTried({ found: nested, rechecks: [] })).toBe(false);
    expect(isNestTried({ found: nested, rechecks: [check('proud'), check('too-deep')] })).toBe(
      false
    );
    expect(isNestTried({ found: nested, rechecks: [check('proud'), check('good')] })).toBe(true);
  });

  it('leave a struck reading out, and keep it with its reason', () => {
    const events = storing(
      SETUP,
      reading(9, 0.0041),
      reading(9, 0.0011),
      { kind: 'struck', reading: idOf(1), why: 'chips under the cage' },
      reading(9, 0.0012),
      reading(9, 0.0014),
      { kind: 'finished', afterHoles: 0 }
    );
    const state = cageStream.project(SETUP, events);
    expect(state.readings).toHaveLength(4);
    expect(state.readings[0]).toMatchObject({ struck: 'chips under the cage' });
    expect(state.found).toMatchObject({ holes: 3, proudestIn: 0.0014 });
  });

  it('go on from where the setting stood', () => {
    const events = storing(
      SETUP,
      reading(9, 0.0041),
      reading(9, 0.0011),
      { kind: 'struck', reading: idOf(2), why: 'chips' },
      reading(9, 0.0012)
    );
    // whole, or in two parts: the same
    const whole = cageStream.project(SETUP, events);
    const parts = cageStream.project(
      SETUP,
      events.slice(2),
      cageStream.project(SETUP, events.slice(0, 2))
    );
    expect(parts).toEqual(whole);
    expect(whole.readings.map(({ struck }) => struck)).toEqual([null, 'chips', null]);
    expect(whole.counted).toHaveLength(2);
    expect(cageStream.project(SETUP, [])).toEqual({
      readings: [],
      counted: [],
      found: null,
      rechecks: [],
      withdrawn: null,
      practice: false
    });
    const looked = storing(SETUP, ...SET, recheck(10, 0.001), recheck(20, 0.0015));
    const upTo = cageStream.project(SETUP, looked.slice(0, 5));
    expect(cageStream.project(SETUP, looked.slice(5), upTo).rechecks).toHaveLength(2);
    // a second look after as many holes is one
    expect(
      storing(SETUP, ...SET, recheck(10, 0.001), recheck(10, 0.001), {
        kind: 'withdrawn',
        why: 'new cutter'
      })
    ).toHaveLength(7);
    expect(
      cageStream.project(SETUP, storing(SETUP, ...SET, { kind: 'withdrawn', why: 'new cutter' }))
        .withdrawn
    ).toEqual({ why: 'new cutter', at: AT, by: 'Odile Marn' });
  });

  it.each([
    ['why', { kind: 'struck', reading: idOf(1), why: '  ' }],
    ['reading', { kind: 'struck', reading: 'one', why: 'x' }],
    ['why', { kind: 'withdrawn', why: 'x'.repeat(121) }],
    ['afterHoles', { kind: 'finished', afterHoles: -1 }],
    ['afterHoles', { kind: 'finished', afterHoles: 0.5 }],
    ['afterHoles', { kind: 'finished', afterHoles: 100_001 }],
    ['from', { ...reading(9, 0.001), from: 'guessed' }],
    ['kind', { kind: 'melted' }]
  ])('by their %s are no %j', (field, move) => {
    expect(whyNot(CageMove.safeParse(moveOf(1, move as Loose)))).toBe(`field ${field}`);
  });

  it('are read as they were sent', () => {
    for (const move of [
      reading(9, 0.001),
      { kind: 'struck', reading: idOf(1), why: 'chips' },
      { kind: 'finished', afterHoles: 3 },
      recheck(10, 0.001),
      { kind: 'withdrawn', why: 'new cutter' }
    ] as Loose[])
      expect(CageMove.parse(moveOf(1, move))).toMatchObject(move);
  });

  it.each([
    [[reading(9, 0.0015)], { kind: 'finished', afterHoles: 0 }, /not set yet\. Leave it at 9/],
    [[], recheck(5, 0.001), /finish the trials first/],
    [SET, reading(10, 0.001), /the cage is set/],
    [SET, { kind: 'struck', reading: idOf(1), why: 'x' }, /the cage is set/],
    [[reading(9, 0.0015)], { kind: 'struck', reading: idOf(7), why: 'x' }, /no such reading/],
    [[...SET, recheck(10, 0.001)], recheck(9, 0.001), /came after 10 holes; 9 is before it/],
    [[...SET, { kind: 'withdrawn', why: 'new cutter' }], recheck(9, 0.001), /was withdrawn/]
  ] as [Loose[], Loose, RegExp][])('after %j no %j', (before, move, why) => {
    const may = follow(SETUP, storing(SETUP, ...before), moveOf(99, move));
    expect(may.ok ? 'it may' : refusal(may.error)).toMatch(why);
  });

  it('is not finished where the nest would cut through', () => {
    const thin = setupOf({ sheetIn: 0.045, couponIn: 0.045, skinIn: 0.032 });
    const events = storing(thin, ...SET.slice(0, 3));
    expect(follow(thin, events, moveOf(9, { kind: 'finished', afterHoles: 0 }))).toMatchObject({
      ok: false,
      error: { path: 'sheetIn' }
    });
  });

  it('are refused where they make no sense', () => {
    const bad = CageMove.safeParse({ ...moveOf(1, reading(9, 0.001)), clicks: 9.5 });
    expect(bad.error?.issues[0]?.message).toBe('clicks are whole');
    const far = CageMove.safeParse(moveOf(1, reading(9, 1.5)));
    expect(problemsOf(far.error as never).map(refusal)[0]).toMatch(
      /at most 0\.2 in; 1\.5 in was given/
    );
  });
});

describe('re-checks while working', () => {
  const status = (holes: number, ...checks: Loose[]) =>
    recheckStatus(SETUP, cageStream.project(SETUP, storing(SETUP, ...SET, ...checks)), holes);

  it('fall due every so many holes', () => {
    expect(status(0)).toMatchObject({ state: 'good', nextAfter: 10 });
    expect(status(9)).toMatchObject({ state: 'good' });
    expect(status(10)).toMatchObject({ state: 'due' });
    expect(status(12, recheck(10, 0.0015))).toMatchObject({ state: 'good', nextAfter: 20 });
    expect(status(21, recheck(10, 0.0015))).toMatchObject({ state: 'due' });
  });

  it('name the holes since the last good look when one is bad', () => {
    const deep = status(20, recheck(10, 0.001), recheck(20, -0.0004));
    expect(deep).toMatchObject({ state: 'too-deep', suspect: '11–20' });
    expect(recheckInWords(deep)).toMatch(/cannot be undone.*11–20/);
    // holes cut after it are suspect too, and a good look later mends none of them
    expect(status(23, recheck(10, 0.001), recheck(20, -0.0004), recheck(22, 0.001))).toMatchObject({
      state: 'too-deep',
      suspect: '11–23'
    });
    expect(status(3, recheck(3, 0.0026))).toMatchObject({ state: 'proud', suspect: '1–3' });
    // the limits themselves are good
    expect(status(3, recheck(3, 0.002)).state).toBe('good');
    expect(status(3, recheck(3, 0)).state).toBe('good');
  });
});

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
    expect([good, bad, gone, open, practice].map(({ state }) => isTrusted(state))).toEqual([
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
    expect(isTrusted(mixed.state)).toBe(false);
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
