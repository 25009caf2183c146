import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import { Call, teamState, type Heard, type Role, type Word } from './two-people.ts';

const GUN = '6b1f6e0e-93ad-4d5a-9c3c-0a54c1f2a001';
const BAR = '6b1f6e0e-93ad-4d5a-9c3c-0a54c1f2a002';
const word = (role: Role, call: Call, hole: number | null = 7): Word => ({
  device: role === 'gun' ? GUN : BAR,
  role,
  call,
  hole,
  turn: 0
});
const heard = (of: Word, atMs = 0): Heard => ({ word: of, by: 'Ada', person: BAR, atMs });
const state = (mine: Word, other: Word | null, nowMs = 0) =>
  teamState(mine, other && heard(other), nowMs);

describe('two people, two devices', () => {
  it('ready from the bar, then go from the gun, then it fires on both sides', () => {
    expect(state(word('bar', 'idle'), word('gun', 'idle')).may).toEqual(['ready', 'stop']);
    // no go before ready
    expect(state(word('gun', 'idle'), word('bar', 'idle')).may).toEqual(['stop']);
    expect(state(word('gun', 'idle'), word('bar', 'ready')).may).toEqual(['go', 'stop']);
    expect(state(word('gun', 'go'), word('bar', 'ready')).fire).toBe(true);
    expect(state(word('bar', 'ready'), word('gun', 'go')).fire).toBe(true);
  });

  it('either stops it', () => {
    expect(state(word('gun', 'go'), word('bar', 'stop')).fire).toBe(false);
    expect(state(word('gun', 'stop'), word('bar', 'ready')).fire).toBe(false);
    expect(state(word('bar', 'ready'), word('gun', 'stop')).fire).toBe(false);
  });

  it('nobody fires when the other is silent for over three seconds', () => {
    expect(state(word('gun', 'go'), word('bar', 'ready'), 3000)).toMatchObject({
      link: 'joined',
      fire: true
    });
    expect(state(word('gun', 'go'), word('bar', 'ready'), 3001)).toMatchObject({
      link: 'silent',
      fire: false,
      may: ['stop'],
      silentS: 3.001
    });
    expect(state(word('gun', 'go'), null)).toMatchObject({ link: 'alone', fire: false });
  });

  it('offers nobody what they have said already, and the bar nothing while the gun goes or is not there', () => {
    const bar = (call: Call, other: Word | null, nowMs = 0) =>
      state(word('bar', call), other, nowMs).may;
    expect(bar('ready', word('gun', 'idle'))).toEqual(['stop']);
    expect(bar('stop', word('gun', 'idle'))).toEqual(['ready', 'stop']);
    expect(bar('stop', word('gun', 'stop'))).toEqual(['ready', 'stop']);
    expect(bar('idle', word('gun', 'go'))).toEqual(['stop']);
    expect(bar('idle', null)).toEqual(['stop']);
    expect(bar('idle', word('gun', 'idle', 8))).toEqual(['stop']);
    expect(bar('idle', word('gun', 'idle'), 3001)).toEqual(['stop']);
    expect(state(word('gun', 'go'), word('bar', 'ready')).may).toEqual(['stop']);
    expect(state(word('gun', 'idle'), word('bar', 'stop')).may).toEqual(['stop']);
  });

  it('counts from when the other was heard', () => {
    const at = (nowMs: number) =>
      teamState(word('gun', 'go'), heard(word('bar', 'ready'), 60_000), nowMs);
    expect(at(62_500)).toMatchObject({ link: 'joined', silentS: 2.5, fire: true });
    expect(at(63_001)).toMatchObject({ link: 'silent', fire: false });
  });

  it('nobody fires on different rivets', () => {
    expect(state(word('gun', 'go', 7), word('bar', 'ready', 8))).toMatchObject({
      link: 'apart',
      fire: false,
      may: ['stop']
    });
  });

  it('fires only on go and ready of one rivet, heard in time, whatever else is said', () => {
    fc.assert(
      fc.property(
        fc.constantFrom<Role>('gun', 'bar'),
        fc.constantFrom(...Call.options),
        fc.constantFrom(...Call.options),
        fc.integer({ min: 1, max: 2 }),
        fc.integer({ min: 0, max: 6000 }),
        (role, mine, theirs, hole, nowMs) => {
          const other: Role = role === 'gun' ? 'bar' : 'gun';
          const gun = role === 'gun' ? mine : theirs;
          const bar = role === 'gun' ? theirs : mine;
          const { fire, may } = state(word(role, mine, 1), word(other, theirs, hole), nowMs);
          expect(fire).toBe(gun === 'go' && bar === 'ready' && hole === 1 && nowMs <= 3000);
          // stop can be said at any time
          expect(may).toContain('stop');
        }
      )
    );
  });
});
