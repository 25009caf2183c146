import { describe, expect, it } from 'vitest';
import type { HeadJudged } from '../../core/inspect/head-judged.ts';
import type { HoleEvent } from '../../core/inspect/hole-events.ts';
import { lookSaid, standingInWords } from './looks.ts';
import { inStyle } from './writing.ts';

const judged = (change: Partial<HeadJudged> = {}): HeadJudged => ({
  verdict: 'measure',
  findings: [],
  diameterD: null,
  heightD: null,
  cannotTell: [],
  seat: null,
  ...change
});
const NONE = new Map<string, string>();

describe('one look in a table', () => {
  it('is its verdict; what the eye found clean is no verdict of the head', () => {
    expect(lookSaid({ id: 'a', kind: 'eyed' }, judged(), NONE)).toBe('clean there');
    expect(lookSaid({ id: 'a', kind: 'checked' }, judged({ verdict: 'accept' }), NONE)).toBe(
      'accepted'
    );
    const cracked = judged({ verdict: 'replace', findings: ['cracked'] });
    expect(lookSaid({ id: 'a', kind: 'eyed' }, cracked, NONE)).toBe('replace');
    // a slip that does not tell is a look that has to be taken again
    const flush = { by: 'slip' as const, slipIn: 0.006, catches: false };
    expect(lookSaid({ id: 'a', kind: 'eyed', flush }, judged(), NONE)).toBe('measure again');
    expect(lookSaid({ id: 'a', kind: 'eyed' }, cracked, new Map([['a', 'head 12']]))).toBe(
      'voided'
    );
  });
});

describe('what a head comes to', () => {
  const decisive = {
    by: 'Tomas',
    frozen: judged({ verdict: 'replace', findings: ['cracked'] })
  } as HoleEvent;
  const said = (verdict: 'replace' | 'not-complete' | 'accept', own: boolean) =>
    standingInWords(
      { verdict, decisive, missing: ['manufactured', 'flush'] },
      own,
      inStyle('decimal')
    );

  it('names the look that governs, and what nobody has looked at', () => {
    expect(said('replace', false)).toEqual([
      'Inspection by Tomas governs: cracked: hard rivet (icebox time passed) or worked too long'
    ]);
    expect(said('replace', true)).toEqual([]);
    expect(said('not-complete', false)).toEqual([
      'Not inspected yet: manufactured head, flushness'
    ]);
    expect(said('accept', false)).toEqual([]);
  });
});
