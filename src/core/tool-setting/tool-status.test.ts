import { describe, expect, it } from 'vitest';
import { untried } from '../trial-setting/trial-stream.ts';
import { diesOf, squeezerOf } from '../../../tests/support/tool-setups.ts';
import { isTrustedTool, toolStatus, type UseNow } from './tool-status.ts';
import type { MadeOne, ToolState } from './tool-moves.ts';

const BEGAN = Date.parse('2031-05-02T06:00:00Z');
const at = (hours: number) => new Date(BEGAN + hours * 3_600_000).toISOString();
const head = (hours: number, change: Partial<MadeOne> = {}): MadeOne => ({
  id: `${hours}`,
  made: { what: 'head', diameterIn: 0.234, heightIn: 0.078, seconds: null },
  verdict: 'accept',
  good: true,
  gripIn: null,
  lot: 'K-20',
  at: at(hours),
  by: 'Ilse',
  ...change
});
const found = { tool: 'squeezer' as const, divisions: 7, slopeIn: 0.007, at: at(0), by: 'Ilse' };
const set = (...looks: MadeOne[]): ToolState => ({ ...untried(), found, looks });
const use = (hours: number, change: Partial<UseNow> = {}): UseNow => ({
  at: at(hours),
  gripIn: 0.1715,
  lot: 'K-20',
  turnedAt: null,
  ...change
});
const SETUP = squeezerOf();
const three = set(head(1), head(2), head(3));
const why = (state: ToolState, now: UseNow, setup: Parameters<typeof toolStatus>[0] = SETUP) => {
  const status = toolStatus(setup, state, now);
  return status.state === 'look' ? status.why.map(({ code }) => code) : status.state;
};

describe('whether a tool may go on with its setting', () => {
  it('is tried, then released by its first three, one after the other', () => {
    expect(toolStatus(SETUP, untried(), use(1))).toEqual({ state: 'trying' });
    expect(toolStatus(SETUP, set(), use(1))).toEqual({ state: 'first', good: 0, toGo: 3 });
    expect(toolStatus(SETUP, set(head(1), head(2)), use(3))).toEqual({
      state: 'first',
      good: 2,
      toGo: 1
    });
    expect(toolStatus(SETUP, three, use(4))).toEqual({ state: 'released', last: head(3) });
    const withdrawn = { ...three, withdrawn: { why: 'worn', at: at(4), by: 'Ilse' } };
    expect(toolStatus(SETUP, withdrawn, use(5))).toEqual({ state: 'withdrawn' });
  });

  it('is set anew once one was bad, whatever came after', () => {
    const bad = head(2, { good: false, verdict: 'replace' });
    expect(toolStatus(SETUP, set(head(1), bad, head(3), head(4)), use(5))).toEqual({
      state: 'bad',
      which: bad,
      first: true
    });
    const later = head(4, { good: false });
    expect(toolStatus(SETUP, set(head(1), head(2), head(3), later), use(5))).toMatchObject({
      first: false
    });
  });

  it('is looked at after twelve hours, and where nobody can tell how old its last head is', () => {
    expect(why(three, use(14.99))).toBe('released');
    expect(why(three, use(15))).toEqual(['day']);
    expect(toolStatus(SETUP, three, use(16.5))).toMatchObject({
      why: [{ code: 'day', hours: 13.5 }],
      last: { id: '3' }
    });
    // clocks of two devices are six minutes apart at most
    expect(why(three, use(2.91))).toBe('released');
    expect(why(three, use(2.89))).toEqual(['clock']);
  });

  it('is looked at with another lot, where both are known', () => {
    expect(why(three, use(4, { lot: 'K-21' }))).toEqual(['lot']);
    expect(why(three, use(4, { lot: null }))).toBe('released');
    expect(why(three, use(4, { lot: '' }))).toBe('released');
    expect(why(set(head(1), head(2), head(3, { lot: '' })), use(4, { lot: 'K-21' }))).toBe(
      'released'
    );
    const status = toolStatus(SETUP, three, use(4, { lot: 'K-21' }));
    expect(status).toMatchObject({ why: [{ was: 'K-20', now: 'K-21' }] });
  });

  it('is looked at where the grip differs by more than a division of its adjuster', () => {
    expect(why(three, use(4, { gripIn: 0.1765 }))).toBe('released');
    expect(why(three, use(4, { gripIn: 0.1766 }))).toEqual(['grip']);
    expect(why(three, use(4, { gripIn: 0.1664 }))).toEqual(['grip']);
    expect(why(three, use(4, { gripIn: null }))).toBe('released');
    // of the last head’s own stack, where it was told
    const other = set(head(1), head(2), head(3, { gripIn: 0.2 }));
    expect(why(other, use(4, { gripIn: 0.2 }))).toBe('released');
    expect(toolStatus(SETUP, other, use(4))).toMatchObject({
      why: [{ code: 'grip', wasIn: 0.2, nowIn: 0.1715 }]
    });
    // dies have none
    expect(why(three, use(4, { gripIn: 0.4 }), diesOf())).toBe('released');
  });

  it('is looked at once the same tool was turned for something else', () => {
    expect(why(three, use(5, { turnedAt: at(4) }))).toEqual(['turned']);
    expect(why(three, use(5, { turnedAt: at(3) }))).toBe('released');
    expect(why(set(head(1)), use(5, { turnedAt: at(2) }))).toEqual(['turned']);
    expect(why(set(), use(5, { turnedAt: at(0.5) }))).toEqual(['turned']);
    expect(why(set(), use(5, { turnedAt: at(0) }))).toBe('first');
    expect(toolStatus(SETUP, set(), use(5, { turnedAt: at(1) }))).toMatchObject({ last: null });
    expect(why(three, use(30, { turnedAt: at(4), lot: 'L', gripIn: 1 }))).toEqual([
      'turned',
      'day',
      'lot',
      'grip'
    ]);
  });

  it('is trusted only where all of that is so', () => {
    expect(isTrustedTool(three)).toBe(true);
    expect(isTrustedTool({ ...three, found: null })).toBe(false);
    expect(isTrustedTool({ ...three, withdrawn: { why: 'w', at: at(4), by: 'I' } })).toBe(false);
    expect(isTrustedTool(set(head(1), head(2)))).toBe(false);
    expect(isTrustedTool(set(head(1), head(2), head(3), head(4, { good: false })))).toBe(false);
  });
});
