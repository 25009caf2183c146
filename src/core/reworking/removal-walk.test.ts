import { describe, expect, it } from 'vitest';
import { removalWalk } from './removal-walk';

const codes = (how: 'plain' | 'swelled' | 'spinning') =>
  removalWalk(5, 'universal', 'under-shank', how, '#21').steps.map(({ code }) => code);

describe('taking a rivet out, step by step', () => {
  it('has both schools’ drills, and never one over the hole’s', () => {
    const walk = removalWalk(5, 'universal', 'under-shank', 'plain', '#21');
    expect(walk.steps).toContainEqual({
      code: 'drill-head',
      drill: '#23',
      drillIn: 0.154,
      headIn: 0.067
    });
    expect(walk.steps).toContainEqual({ code: 'punch', mostIn: 5 / 32 - 1 / 64 });
    expect(walk.other).toEqual({ school: 'hole-drill', drill: '#21', drillIn: 0.159 });
    expect(walk.neverOver).toEqual({ drill: '#21', drillIn: 0.159 });
  });

  it('supports the sheet before the punch, and collapses a swelled shank first', () => {
    expect(codes('plain')).toEqual(['center', 'drill-head', 'lever', 'support', 'punch', 'look']);
    expect(codes('swelled')).toEqual([
      'center',
      'drill-head',
      'lever',
      'collapse',
      'support',
      'punch',
      'look'
    ]);
    expect(codes('spinning').slice(0, 3)).toEqual(['center', 'hold-shop-head', 'drill-head']);
  });
});
