import { expect, it } from 'vitest';
import type { HoleEvent } from '../../core/inspect/hole-look.ts';
import { questionBegins } from './rework.ts';
import { inInches, inStyle } from './writing.ts';

const look = (diameterIn: number, heightIn: number) =>
  ({ kind: 'checked', diameterIn, heightIn }) as HoleEvent;
const eyed = { kind: 'eyed' } as HoleEvent;
const wide = (widestIn: number, voided: object | null = null) =>
  ({ widestIn, voided }) as Parameters<typeof questionBegins>[1][number];

it('begins a question with the figures that count, in the unit of whoever asks', () => {
  expect(questionBegins(7, [], [], inInches)).toBe('');
  expect(questionBegins(7, [], [eyed], inInches)).toBe('');
  expect(questionBegins(7, [], [look(0.19, 0.062), look(0.2, 0.05), eyed], inInches)).toBe(
    'Head 7: 0.2 in wide, 0.05 in high. '
  );
  // the widest of those that count
  expect(questionBegins(7, [wide(0.13), wide(0.137), wide(0.15, {})], [], inInches)).toBe(
    'Hole 7: 0.137 in at its widest. '
  );
  expect(questionBegins(7, [wide(0.137)], [look(0.19, 0.062)], inStyle('mm'))).toBe(
    'Hole 7: 3.4798 mm at its widest. Head 7: 4.826 mm wide, 1.5748 mm high. '
  );
});
