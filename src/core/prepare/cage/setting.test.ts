import { describe, expect, it } from 'vitest';
import { setupOf } from '../../../../tests/support/cages';
import { recheckStatus } from './rechecks';
import { countedOf } from '../../trial-setting/trial-stream';
import { isNestTried, type SettingState, CageMove, cageStream } from './setting';
import { recheckInWords, refusal } from '../../../../tests/support/words';
import { problemsOf } from '../../schema/read';
import { whyNot } from '../../../../tests/support/why-not.ts';
import {
  SETUP,
  AT,
  idOf,
  type Loose,
  follow,
  moveOf,
  reading,
  storing,
  SET,
  recheck
} from '../../../../tests/support/cage-log';

describe('the events of a setting', () => {
  it('freeze what was found when it is finished', () => {
    const { found, looks } = cageStream.project(SETUP, storing(SETUP, ...SET));
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
    expect(looks).toEqual([]);
  });

  it('say nothing of a nest that no dimpled scrap sat flush in', () => {
    const plain = { clicks: 9, nest: null } as SettingState['found'];
    const nested = {
      clicks: 9,
      nest: { clicks: 18, extraClicks: 9, depthIn: 0.05, wallIn: 0.013 }
    } as SettingState['found'];
    const check = (verdict: 'good' | 'proud' | 'too-deep') =>
      ({ verdict, good: verdict === 'good' }) as SettingState['looks'][number];
    expect(isNestTried({ found: null, looks: [] })).toBe(true);
    expect(isNestTried({ found: plain, looks: [] })).toBe(true);
    expect(isNestTried({ found: nested, looks: [] })).toBe(false);
    expect(isNestTried({ found: nested, looks: [check('proud'), check('too-deep')] })).toBe(false);
    expect(isNestTried({ found: nested, looks: [check('proud'), check('good')] })).toBe(true);
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
    expect(state.trials).toHaveLength(4);
    expect(state.trials[0]).toMatchObject({ struck: 'chips under the cage' });
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
    expect(whole.trials.map(({ struck }) => struck)).toEqual([null, 'chips', null]);
    expect(countedOf(whole)).toHaveLength(2);
    expect(cageStream.project(SETUP, [])).toEqual({
      trials: [],
      found: null,
      looks: [],
      withdrawn: null
    });
    const looked = storing(SETUP, ...SET, recheck(10, 0.001), recheck(20, 0.0015));
    const upTo = cageStream.project(SETUP, looked.slice(0, 5));
    expect(cageStream.project(SETUP, looked.slice(5), upTo).looks).toHaveLength(2);
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
    [[], recheck(5, 0.001), /finish the tests first/],
    [SET, reading(10, 0.001), /tests of this setup are finished/],
    [SET, { kind: 'struck', reading: idOf(1), why: 'x' }, /tests of this setup are finished/],
    [[reading(9, 0.0015)], { kind: 'struck', reading: idOf(7), why: 'x' }, /no such reading/],
    [[...SET, recheck(10, 0.001)], recheck(9, 0.001), /was after 10 holes; 9 is earlier/],
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
