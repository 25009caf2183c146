import { describe, expect, it } from 'vitest';
import { diesOf } from '../../../tests/support/tool-setups';
import { diesGuide, halfTurn, type DimpleTrial } from './dies-guide';

const dimple = (
  divisions: number,
  seen: Partial<Pick<DimpleTrial, 'cracks' | 'ring' | 'nests'>> = {}
): DimpleTrial => ({
  id: String(divisions),
  divisions,
  cracks: false,
  ring: false,
  nests: true,
  ...seen
});
const said = (...trials: DimpleTrial[]) => diesGuide(diesOf(), trials).said;

describe('what to do next with dimple dies', () => {
  it('is touching, then half a turn more', () => {
    expect(said()).toEqual({ state: 'first', divisions: 4 });
    expect(halfTurn({ divisionsPerTurn: 1 })).toBe(1);
    expect(halfTurn({ divisionsPerTurn: 25 })).toBe(13);
  });

  it('closes by an eighth of a turn until it nests, and opens where it leaves a ring', () => {
    expect(said(dimple(4))).toEqual({ state: 'done', divisions: 4 });
    expect(said(dimple(4, { nests: false }))).toEqual({
      state: 'closer',
      divisions: 5,
      change: 1
    });
    expect(said(dimple(4, { ring: true }))).toEqual({ state: 'opener', divisions: 3, change: 1 });
  });

  it('stops at a crack, whatever else is seen', () => {
    expect(said(dimple(4, { cracks: true }))).toEqual({ state: 'cracked' });
    expect(said(dimple(4, { cracks: true, nests: false }))).toEqual({ state: 'cracked' });
  });

  it('says where the dies do not belong together', () => {
    expect(said(dimple(4, { ring: true, nests: false }))).toEqual({ state: 'contradiction' });
    expect(said(dimple(4, { ring: true }), dimple(3, { nests: false }))).toEqual({
      state: 'contradiction'
    });
  });
});
