import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { heardNow, pageSays } from './server-clock.ts';

const MINUTE = 60_000;
const at = (time: string) => `2026-05-04T${time}Z`;
beforeEach(() => {
  const kept = new Map<string, string>();
  vi.stubGlobal('localStorage', {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => kept.set(key, value)
  });
  vi.useFakeTimers({ now: Date.parse(at('12:00:00')) });
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

describe('the server’s time', () => {
  it('is what it says just now, also of a device whose clock is far off', () => {
    expect(heardNow(at('12:47:00'))).toBe(47 * MINUTE);
    expect(heardNow(at('11:13:00'))).toBe(-47 * MINUTE);
  });

  it('is never that of a page made two hours ago', () => {
    // never heard: this device's own clock
    expect(pageSays(at('10:00:00'))).toBe(0);
    heardNow(at('11:59:58'));
    expect(pageSays(at('10:00:00'))).toBe(-2000);
  });

  it('of a page made just now is taken where this device is behind', () =>
    expect(pageSays(at('12:47:00'))).toBe(47 * MINUTE));
});
