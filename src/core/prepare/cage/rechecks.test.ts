import { describe, expect, it } from 'vitest';
import { setupOf } from '../../../../tests/support/cages';
import { recheckStatus } from './rechecks';
import type { SettingState } from './setting';

type Given = Pick<SettingState, 'found' | 'looks'>;
const found = { afterHoles: 3 } as Given['found'];
const look = (afterHoles: number, verdict: Given['looks'][number]['verdict'] = 'good') =>
  ({ afterHoles, verdict, good: verdict === 'good' }) as Given['looks'][number];
const status = (holes: number, ...looks: Given['looks']) =>
  recheckStatus(setupOf({ recheckEvery: 10 }), { found, looks }, holes);

describe('whether a set cage may go on', () => {
  it('counts from where it was set, then from the last look', () => {
    expect(status(12)).toEqual({ state: 'good', holes: 12, nextAfter: 13, suspect: '', since: 9 });
    expect(status(13)).toMatchObject({ state: 'due', nextAfter: 13, since: 10 });
    expect(status(14, look(12))).toMatchObject({ state: 'good', nextAfter: 22, since: 2 });
    // a look after more holes than were ticked off: they are cut
    expect(status(5, look(12))).toMatchObject({ holes: 12, since: 0 });
  });

  it('counts from nothing where it was not finished', () => {
    expect(recheckStatus(setupOf(), { found: null, looks: [] }, 4)).toMatchObject({
      state: 'good',
      nextAfter: 10,
      since: 4
    });
  });

  it('suspects every hole since the last good look, whatever a later look says', () => {
    expect(status(30, look(13), look(23, 'too-deep'))).toEqual({
      state: 'too-deep',
      holes: 30,
      nextAfter: 33,
      suspect: '14–30',
      since: 7
    });
    expect(status(30, look(13, 'proud'), look(23))).toMatchObject({
      state: 'proud',
      suspect: '4–30'
    });
  });

  it('wants a look at the bare work where nobody said when the film was on', () => {
    const filmed = setupOf({ filmIn: 0.0015 });
    const of = (...looks: Given['looks']) => recheckStatus(filmed, { found, looks }, 4).state;
    expect(of()).toBe('film-unsaid');
    expect(of(look(4))).toBe('good');
    expect(
      recheckStatus(
        setupOf({ filmIn: 0.0015, filmOn: { cut: true, read: true, work: true } }),
        { found, looks: [] },
        4
      ).state
    ).toBe('good');
  });
});
