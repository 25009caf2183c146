import { expect, it } from 'vitest';
import { inStyle } from './writing.ts';
import { keptMoveInWords } from './waiting-moves.ts';

const stamp = { id: '00000000-0000-4000-8000-000000000001', at: '2026-03-04T10:00:00Z' };
const said = (log: string, move: object) =>
  keptMoveInWords(log, { ...stamp, ...move }, inStyle('mm'));

it.each([
  [
    'hole',
    { kind: 'checked', hole: 15, diameterIn: 0.19, heightIn: 0.062, flags: ['ring-mark'] },
    'head 15, measured: 4.83 mm wide, 1.57 mm high; seen: rivet set mark on sheet'
  ],
  ['drive', { kind: 'driven', hole: 7, quick: 'more' }, 'rivet 7 driven; drive further'],
  ['drive', { kind: 'undriven', hole: 7 }, 'rivet 7 entry reversed: not driven'],
  [
    'rework',
    { kind: 'measured', hole: 3, widestIn: 0.131, seen: [] },
    'hole 3 is 3.33 mm at its widest'
  ],
  [
    'step',
    { kind: 'ticked', step: 'pilots', hole: 4, of: 50, done: true, timed: null },
    'a prep step, hole 4, completed'
  ],
  ['cage', { kind: 'reading' }, 'a stop countersink entry'],
  // an entry of another version is still one
  ['hole', { kind: 'x-rayed', hole: 15 }, 'an entry']
])('%s %o', (log, move, words) => expect(said(log, move)).toBe(words));
