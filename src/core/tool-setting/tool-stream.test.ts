import { describe, expect, it } from 'vitest';
import { diesOf, gunOf, squeezerOf } from '../../../tests/support/tool-setups';
import { toolOffer, type RememberedTool } from './remembered-tools';
import type { ToolSetup } from './tool-setup';
import { isTrustedTool, toolStatus } from './tool-status';
import type { ToolEvent, ToolMove } from './tool-moves';
import { toolStream } from './tool-stream';
import type { Unstamped } from '../events/stream';

const DAY = '2031-03-04';
let nextId = 1;
/** Sends moves one after another; a refusal is thrown by its code. */
function log(setup: ToolSetup, ...moves: (Unstamped<ToolMove> & { at?: string; id?: string })[]) {
  const events: ToolEvent[] = [];
  for (const loose of moves) {
    const move = {
      id: `00000000-0000-4000-8000-${String(nextId++).padStart(12, '0')}`,
      at: `${DAY}T08:00:00Z`,
      ...loose
    } as ToolMove;
    const may = toolStream.follow(setup, toolStream.project(setup, events), move);
    if (!may.ok) throw new Error(may.error.said.code);
    events.push({ ...move, by: 'Ilse', frozen: may.result });
  }
  return toolStream.project(setup, events);
}
const squeeze = (divisions: number, heightIn: number, fresh = false): Unstamped<ToolMove> => ({
  kind: 'trial',
  trial: { what: 'squeeze', divisions, read: { by: 'caliper', heightIn }, fresh }
});
const head = (
  diameterIn = 0.234,
  heightIn = 0.088,
  more: { at?: string; lot?: string; gripIn?: number; seconds?: number } = {}
): Unstamped<ToolMove> & { at?: string } => {
  const { at, lot = 'K-20', gripIn = null, seconds = null } = more;
  return {
    kind: 'made',
    made: { what: 'head', diameterIn, heightIn, seconds },
    gripIn,
    lot,
    ...(at === undefined ? {} : { at })
  };
};
const KEPT: Unstamped<ToolMove> = { kind: 'kept' };
const SQUEEZER = squeezerOf();
const SET = [squeeze(0, 0.158, true), squeeze(11, 0.092), KEPT];
const now = (change: Partial<Parameters<typeof toolStatus>[2]> = {}) => ({
  at: `${DAY}T09:00:00Z`,
  gripIn: 0.1715,
  lot: 'K-20',
  turnedAt: null,
  ...change
});

describe('a setting of a tool', () => {
  it('is kept once its trials are done, and released by three good heads', () => {
    expect(() => log(SQUEEZER, squeeze(0, 0.158, true), KEPT)).toThrow('readings-not-done');
    const set = log(SQUEEZER, ...SET);
    expect(set.found).toMatchObject({ tool: 'squeezer', divisions: 11 });
    expect(toolStatus(SQUEEZER, set, now())).toEqual({ state: 'first', good: 0, toGo: 3 });
    const two = log(SQUEEZER, ...SET, head(), head());
    expect(toolStatus(SQUEEZER, two, now())).toEqual({ state: 'first', good: 2, toGo: 1 });
    expect(isTrustedTool(two)).toBe(false);
    const three = log(SQUEEZER, ...SET, head(), head(), head());
    expect(toolStatus(SQUEEZER, three, now()).state).toBe('released');
    expect(isTrustedTool(three)).toBe(true);
  });

  it('is not released by a head that is not plainly good, nor by good ones after it', () => {
    // 0.25 is 1.6 D wide, 0.105 is 0.672 D high: drive more
    const high = log(SQUEEZER, ...SET, head(), head(0.25, 0.105), head(), head());
    expect(toolStatus(SQUEEZER, high, now())).toMatchObject({
      state: 'bad',
      first: true,
      which: { verdict: 'drive-more' }
    });
    // 1.8 D wide and 0.45 D high passes on a condition: no start of a row
    const wide = log(SQUEEZER, ...SET, head(0.28125, 0.0703), head(), head());
    expect(toolStatus(SQUEEZER, wide, now())).toMatchObject({
      state: 'bad',
      which: { verdict: 'accept', good: false }
    });
  });

  it('asks for a look after a day, with another lot, at another grip; a good look answers it', () => {
    const made = [head(), head(), head()];
    const set = log(SQUEEZER, ...SET, ...made);
    const of = (change: Parameters<typeof now>[0], state = set) =>
      toolStatus(SQUEEZER, state, now(change));
    const NEXT_DAY = '2031-03-05T07:30:00Z';
    expect(of({ at: NEXT_DAY })).toMatchObject({
      state: 'look',
      why: [{ code: 'day', hours: 23.5 }]
    });
    expect(of({ lot: 'K-21' })).toMatchObject({
      state: 'look',
      why: [{ code: 'lot', was: 'K-20', now: 'K-21' }]
    });
    expect(of({ gripIn: 0.1875 })).toMatchObject({
      state: 'look',
      why: [{ code: 'grip', wasIn: 0.1715, nowIn: 0.1875 }]
    });
    // a member that tapers by a few thousandths a rivet is no other grip
    expect(of({ gripIn: 0.1755 }).state).toBe('released');
    expect(of({ gripIn: 0.177 }).state).toBe('look');
    expect(of({ lot: null, gripIn: null }).state).toBe('released');
    const looked = log(
      SQUEEZER,
      ...SET,
      ...made,
      head(0.234, 0.088, { at: NEXT_DAY, lot: 'K-21', gripIn: 0.1875 })
    );
    expect(of({ at: NEXT_DAY, lot: 'K-21', gripIn: 0.1875 }, looked).state).toBe('released');
    // and going back to the first grip asks again
    expect(of({ at: NEXT_DAY, lot: 'K-21' }, looked)).toMatchObject({ state: 'look' });
    const bad = log(SQUEEZER, ...SET, ...made, head(0.3, 0.05));
    expect(of({}, bad)).toMatchObject({ state: 'bad', first: false });
  });

  it('does not outlive what it rests on: the tool turned for something else, a head dated in the future', () => {
    const set = log(SQUEEZER, ...SET, head(), head(), head());
    const turned = now({ turnedAt: `${DAY}T08:30:00Z` });
    expect(toolStatus(SQUEEZER, set, turned)).toMatchObject({
      state: 'look',
      why: [{ code: 'turned' }]
    });
    expect(toolStatus(SQUEEZER, set, now({ turnedAt: `${DAY}T07:30:00Z` })).state).toBe('released');
    // a good head made after it says that it stands there again
    const again = log(
      SQUEEZER,
      ...SET,
      head(),
      head(),
      head(),
      head(0.234, 0.088, { at: `${DAY}T08:45:00Z` })
    );
    expect(toolStatus(SQUEEZER, again, turned).state).toBe('released');
    // and before its first three are made it is not gone on with either
    expect(toolStatus(SQUEEZER, log(SQUEEZER, ...SET, head()), turned)).toMatchObject({
      state: 'look',
      why: [{ code: 'turned' }]
    });
    const future = log(
      SQUEEZER,
      ...SET,
      head(),
      head(),
      head(0.234, 0.088, { at: '2090-01-01T00:00:00Z' })
    );
    expect(toolStatus(SQUEEZER, future, now())).toMatchObject({
      state: 'look',
      why: [{ code: 'clock' }]
    });
  });

  it('refuses what cannot be', () => {
    // a driven head does not rise again
    expect(() => log(SQUEEZER, squeeze(12, 0.09, true), squeeze(9, 0.1))).toThrow(
      'fresh-rivet-first'
    );
    // it stood 0.2035 out before it was driven
    expect(() => log(SQUEEZER, squeeze(0, 0.25, true))).toThrow('head-over-free-end');
    expect(() => log(SQUEEZER, ...SET, head(0.234, 0.88))).toThrow('head-over-free-end');
    expect(() => log(SQUEEZER, head())).toThrow('tool-not-set');
    expect(() => log(SQUEEZER, ...SET, squeeze(12, 0.09))).toThrow('tool-is-set');
    expect(() => log(SQUEEZER, ...SET, KEPT)).toThrow('tool-is-set');
    expect(() => log(diesOf(), squeeze(0, 0.1))).toThrow('not-this-tool');
    expect(() =>
      log(SQUEEZER, ...SET, { kind: 'withdrawn', why: 'adjuster turned' }, head())
    ).toThrow('setting-withdrawn');
    expect(() =>
      log(gunOf(), {
        kind: 'trial',
        trial: { what: 'burst', seconds: 1, heightIn: 0.15, fresh: true }
      })
    ).toThrow('wood-first');
  });

  it('leaves out what was struck', () => {
    const id = '11111111-1111-4111-8111-111111111111';
    const state = log(
      SQUEEZER,
      { ...squeeze(0, 0.05, true), id },
      { kind: 'struck', trial: id, why: 'read off the wrong head' },
      squeeze(0, 0.158, true),
      squeeze(11, 0.092),
      KEPT
    );
    expect(state.trials[0]?.struck).toBe('read off the wrong head');
    expect(state.found).toMatchObject({ divisions: 11 });
  });

  it('strikes one reading of several, once, while nothing rests on it', () => {
    const [one, two] = [1, 2].map((n) => `22222222-2222-4222-8222-22222222222${n}`);
    const strike = (trial: string): Unstamped<ToolMove> => ({ kind: 'struck', trial, why: 'burr' });
    const trials = [
      { ...squeeze(0, 0.158, true), id: one ?? '' },
      { ...squeeze(11, 0.092), id: two ?? '' }
    ];
    const struck = log(SQUEEZER, ...trials, strike(two ?? ''));
    expect(struck.trials.map((trial) => trial.struck)).toEqual([null, 'burr']);
    expect(() => log(SQUEEZER, ...trials, strike(two ?? ''), strike(two ?? ''))).toThrow(
      'no-such-reading'
    );
    expect(() => log(SQUEEZER, ...trials, strike('33333333-3333-4333-8333-333333333333'))).toThrow(
      'no-such-reading'
    );
    expect(() => log(SQUEEZER, ...trials, KEPT, strike(one ?? ''))).toThrow('tool-is-set');
    expect(() => log(SQUEEZER, ...trials, strike(two ?? ''), KEPT)).toThrow('readings-not-done');
    // what was before goes on where it stood
    const set = log(SQUEEZER, ...SET, head());
    const again = toolStream.project(SQUEEZER, [], set);
    expect([again.trials, again.looks, again.found]).toEqual([set.trials, set.looks, set.found]);
  });

  it('holds heads to their own grip, and to a rivet a little longer than planned', () => {
    // it stood 0.2035 out, and lengths of rivets vary by 0.015
    expect(log(SQUEEZER, squeeze(0, 0.215, true)).trials).toHaveLength(1);
    expect(() => log(SQUEEZER, ...SET, head(0.234, 0.26))).toThrow('head-over-free-end');
    expect(log(SQUEEZER, ...SET, head(0.234, 0.26, { gripIn: 0.1 })).looks).toHaveLength(1);
    // the same setting again is no step back
    expect(log(SQUEEZER, squeeze(11, 0.1, true), squeeze(11, 0.099)).trials).toHaveLength(2);
    expect(log(SQUEEZER, { kind: 'withdrawn', why: 'adjuster turned' }).withdrawn).toEqual({
      ...{ why: 'adjuster turned', by: 'Ilse' },
      at: `${DAY}T08:00:00Z`
    });
  });

  it('takes of a tool what that tool makes', () => {
    const seen = { cracks: false, ring: false, nests: true };
    const dimple: Unstamped<ToolMove> = {
      kind: 'made',
      made: { what: 'dimple', ...seen },
      ...{ gripIn: null, lot: '' }
    };
    const tried = (change: Partial<typeof seen> = {}, id?: string) => ({
      ...{
        kind: 'trial' as const,
        trial: { what: 'dimple' as const, divisions: 4, ...seen, ...change }
      },
      ...(id === undefined ? {} : { id })
    });
    expect(() => log(SQUEEZER, ...SET, dimple)).toThrow('not-this-tool');
    expect(() => log(diesOf(), tried(), KEPT, head())).toThrow('not-this-tool');
    const id = '44444444-4444-4444-8444-444444444444';
    // a dimple that does not nest is not enough; struck, it is none
    expect(() => log(diesOf(), tried({ nests: false }), KEPT)).toThrow('readings-not-done');
    const struck: Unstamped<ToolMove> = { kind: 'struck', trial: id, why: 'wrong scrap' };
    expect(log(diesOf(), tried({ nests: false }, id), struck, tried(), KEPT).found).toMatchObject({
      ...{ tool: 'dies', divisions: 4 }
    });
    expect(() => log(diesOf(), tried({}, id), struck, KEPT)).toThrow('readings-not-done');
  });

  it('of a gun begins on wood, and after a head that is too low with a fresh rivet', () => {
    const id = '55555555-5555-4555-8555-555555555555';
    const wood = {
      kind: 'trial' as const,
      trial: { what: 'wood' as const, airPsi: 50, wood: 'dents' as const }
    };
    const burst = (heightIn: number, fresh: boolean): Unstamped<ToolMove> => ({
      kind: 'trial',
      trial: { what: 'burst', seconds: 1.2, heightIn, fresh }
    });
    const gun = gunOf();
    expect(() =>
      log(gun, { ...wood, id }, { kind: 'struck', trial: id, why: 'other wood' }, burst(0.15, true))
    ).toThrow('wood-first');
    // still high: on with the same rivet
    expect(log(gun, wood, burst(0.15, true), burst(0.12, false)).trials).toHaveLength(3);
    expect(() => log(gun, wood, burst(0.04, true), burst(0.04, false))).toThrow(
      'fresh-rivet-first'
    );
    expect(log(gun, wood, burst(0.04, true), burst(0.15, true)).trials).toHaveLength(3);
    expect(() => log(gun, wood, burst(0.15, true), KEPT)).toThrow('readings-not-done');
  });

  it('of dies is released by three good dimples; one that rings is damaged metal', () => {
    const dimple = { cracks: false, ring: false, nests: true };
    const trial: Unstamped<ToolMove> = {
      kind: 'trial',
      trial: { what: 'dimple', divisions: 4, ...dimple }
    };
    const made = (seen: Partial<typeof dimple> = {}): Unstamped<ToolMove> => ({
      kind: 'made',
      made: { what: 'dimple', ...dimple, ...seen },
      gripIn: null,
      lot: ''
    });
    const set = log(diesOf(), trial, KEPT, made(), made(), made());
    expect(toolStatus(diesOf(), set, now({ lot: null })).state).toBe('released');
    const ringed = log(diesOf(), trial, KEPT, made(), made({ ring: true }));
    expect(toolStatus(diesOf(), ringed, now())).toMatchObject({
      state: 'bad',
      which: { verdict: 'refer' }
    });
  });
});

describe('what a tool remembers', () => {
  const remembered = (setup: ToolSetup, state: RememberedTool['state']): RememberedTool => ({
    id: 'one',
    work: '',
    setup,
    state
  });
  const released = () => log(SQUEEZER, ...SET, head(), head(), head());

  it('is where to begin, opened for a longer rivet', () => {
    const had = [remembered(SQUEEZER, released())];
    expect(toolOffer(SQUEEZER, had)).toMatchObject({ divisions: 11, openedBy: 0 });
    expect(toolOffer(squeezerOf({ lengthIn: 0.4375 }), had)).toMatchObject({
      divisions: 6,
      openedBy: 5
    });
  });

  it('is of the same tool, adjuster and rivet alone, and trusted', () => {
    const had = [remembered(SQUEEZER, released())];
    for (const other of [
      squeezerOf({ name: 'hand squeezer' }),
      squeezerOf({ turnIn: 0.05 }),
      squeezerOf({ head: 'countersunk' }),
      squeezerOf({ alloy: 'DD' }),
      gunOf()
    ])
      expect(toolOffer(other, had)).toBeNull();
    const unreleased = log(SQUEEZER, ...SET, head());
    expect(toolOffer(SQUEEZER, [remembered(SQUEEZER, unreleased)])).toBeNull();
  });

  it('of a gun is the middle of what its first heads took', () => {
    const gun = gunOf();
    const state = log(
      gun,
      { kind: 'trial', trial: { what: 'wood', airPsi: 50, wood: 'dents' } },
      { kind: 'trial', trial: { what: 'burst', seconds: 2.2, heightIn: 0.09, fresh: true } },
      KEPT,
      ...[2.4, 3.1, 2.6].map((seconds) => head(0.234, 0.088, { seconds }))
    );
    expect(toolOffer(gun, [remembered(gun, state)])).toMatchObject({ seconds: 2.6, airPsi: 50 });
  });
});
