import { describe, expect, it } from 'vitest';
import { presentAddress } from './older-addresses';
import { stationOf } from './stations';

describe('an address of before', () => {
  it.each([
    ['carry', 'size'],
    ['lay-out', 'layout'],
    ['stack', 'stack-up'],
    ['make-ready', 'prepare'],
    ['check', 'inspect']
  ])('%s stands for %s, which there is', (before, now) => {
    expect(presentAddress(`/joints/7f/${before}`)).toBe(`/joints/7f/${now}`);
    expect(stationOf(now)?.key).toBe(now);
  });

  it.each(['/joints/7f/drive', '/joints/7f', '/joints/7f/constructor', '/jobs/7f/check', '/check'])(
    '%s is no older one',
    (path) => {
      expect(presentAddress(path)).toBeNull();
    }
  );
});
