import { describe, expect, it } from 'vitest';
import { untried } from '../trial-setting/trial-stream';
import { rivetRuns } from '../driving/rivet-runs';
import { ReleasedFacts, type ReleasedHole } from '../release/release';
import {
  gunForRun,
  headGripIn,
  settingOfRun,
  squeezerForRun,
  type RunSetting
} from './run-setting';
import type { ToolSetup } from './tool-setup';
import type { ToolState } from './tool-moves';

const PART = 'MS20470AD5-6';
const facts = (stack: object = {}) =>
  ReleasedFacts.parse({
    dash: 5,
    head: 'universal',
    partNumber: PART,
    gripIn: 0.16,
    lengthIn: 0.375,
    holeIn: 0.159,
    widthIn: 9,
    overlapIn: 2,
    limits: 'standard',
    predictedIn3: null,
    stacks: [
      {
        name: 'lap',
        dash: 5,
        partNumber: PART,
        lengthIn: 0.375,
        holeIn: 0.159,
        dimpledThrough: false,
        ...stack
      }
    ]
  });
const hole = (number: number, gripIn: number): ReleasedHole => ({
  number,
  row: 1,
  xIn: number,
  yIn: 1,
  markIn: number,
  stack: 0,
  dash: 5,
  gripIn,
  room: null
});
const holes = [hole(1, 0.16), hole(2, 0.1715), hole(3, 0.165)];
const release = { facts: facts(), holes };
const [run] = rivetRuns(release);
if (!run) throw new Error('no run');
const SQUEEZER = { name: 'air squeezer', turnIn: 0.06, divisionsPerTurn: 8 };
const NOW = { at: '2031-03-04T09:00:00Z', gripIn: null, lot: null };

describe('a tool set for a run', () => {
  it('is set at its largest grip, with all that its head rests on', () => {
    expect(squeezerForRun(release, run, SQUEEZER, 'K-20')).toEqual({
      tool: 'squeezer',
      ...SQUEEZER,
      dash: 5,
      head: 'universal',
      alloy: 'AD',
      lengthIn: 0.375,
      gripIn: 0.1715,
      holeIn: 0.159,
      dimpled: false,
      limits: 'standard',
      wideIn3: 0,
      lot: 'K-20'
    });
    expect(gunForRun(release, run, { name: 'gun 3X', set: 'cup', bar: '' }, '')).toMatchObject({
      tool: 'gun',
      set: 'cup',
      gripIn: 0.1715
    });
  });

  it('reckons in releases of a school’s time what that added to the sheets', () => {
    const older = { facts: facts({ dimpledThrough: null, raisedIn: 0.055 }) };
    expect(headGripIn(older, hole(1, 0.16))).toBeCloseTo(0.215, 12);
    expect(squeezerForRun(older, run, SQUEEZER, '').gripIn).toBeCloseTo(0.2265, 12);
  });
});

describe('the setting that a run is driven with', () => {
  const setting = (change: Partial<RunSetting> = {}): RunSetting => ({
    id: 'one',
    work: '',
    run: run.key,
    turnedAt: null,
    setup: squeezerForRun(release, run, SQUEEZER, ''),
    state: untried(),
    ...change
  });
  const withdrawn: ToolState = {
    ...untried(),
    withdrawn: { why: 'turned', at: NOW.at, by: 'Ilse' }
  };

  it('is the latest of its own that stands', () => {
    expect(settingOfRun(release, run, [], NOW)).toBeNull();
    expect(settingOfRun(release, run, [setting({ run: 'MS20470AD5-7' })], NOW)).toBeNull();
    expect(
      settingOfRun(release, run, [setting({ id: 'two', state: withdrawn }), setting()], NOW)
    ).toMatchObject({ setting: { id: 'one' }, changes: [], status: { state: 'trying' } });
    const dies: ToolSetup = {
      tool: 'dies',
      ...SQUEEZER,
      dash: 5,
      sheetIn: 0.032,
      material: 'x',
      lot: ''
    };
    expect(settingOfRun(release, run, [setting({ setup: dies })], NOW)).toBeNull();
  });

  it('names what the release has changed since', () => {
    const thicker = { facts: facts(), holes: [...holes, hole(4, 0.19)] };
    const [now] = rivetRuns(thicker);
    expect(now && settingOfRun(thicker, now, [setting()], NOW)?.changes).toEqual([
      { what: 'gripIn', was: 0.1715, now: 0.19 }
    ]);
    const drilled = { facts: facts({ holeIn: 0.161 }), holes };
    expect(settingOfRun(drilled, run, [setting()], NOW)?.changes).toEqual([
      { what: 'holeIn', was: 0.159, now: 0.161 }
    ]);
  });
});
