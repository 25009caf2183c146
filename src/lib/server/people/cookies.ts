import type { Cookies } from '@sveltejs/kit';
import { DEVICE_COOKIE } from './devices.ts';
import { SESSION_COOKIE, SESSION_H } from './sessions.ts';

export const BENCH_COOKIE = 'bench';

const HOUR_S = 3600;
/** A browser may keep what it is known by for as long as the law of browsers allows. */
const LONG_S = 400 * 24 * HOUR_S;

/** No script reads it, no other site sends it; over TLS only where the shop has TLS. */
const kept = (url: URL, maxAge: number) =>
  ({
    path: '/',
    maxAge,
    sameSite: 'strict',
    httpOnly: true,
    secure: url.protocol === 'https:'
  }) as const;

export const keepSession = (cookies: Cookies, url: URL, token: string): void =>
  cookies.set(SESSION_COOKIE, token, kept(url, SESSION_H * HOUR_S));
export const dropSession = (cookies: Cookies): void =>
  cookies.delete(SESSION_COOKIE, { path: '/' });
export const keepBench = (cookies: Cookies, url: URL, token: string): void =>
  cookies.set(BENCH_COOKIE, token, kept(url, LONG_S));
export const keepDevice = (cookies: Cookies, url: URL, token: string): void =>
  cookies.set(DEVICE_COOKIE, token, kept(url, LONG_S));
