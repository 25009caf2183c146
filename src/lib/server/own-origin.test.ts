import { describe, expect, it } from 'vitest';
import { refuseForeignChange } from './own-origin';

const HERE = { origin: 'http://127.0.0.1:4280', pathname: '/api/joints/1' };
const asked = (method: string, headers: Record<string, string>) => ({
  method,
  headers: new Headers(headers)
});

describe('requests that change something', () => {
  it.each([
    ['its own page', { origin: HERE.origin, 'sec-fetch-site': 'same-origin' }],
    ['an older browser of its own page', { origin: HERE.origin }],
    ['its own page without an origin header', { 'sec-fetch-site': 'same-origin' }]
  ])('are let through from %s', (_who, headers) => {
    expect(refuseForeignChange(asked('PUT', headers), HERE)).toBeNull();
  });

  it.each([
    ['another site', { origin: 'http://evil.example' }],
    ['another port of this machine', { origin: 'http://127.0.0.1:9999' }],
    ['a sandboxed frame', { origin: 'null' }],
    ['another site that hides its origin', { 'sec-fetch-site': 'cross-site' }],
    ['a program that says nothing', {}],
    ['a forged origin from another site', { origin: HERE.origin, 'sec-fetch-site': 'cross-site' }]
  ])('are refused from %s', (_who, headers) => {
    expect(refuseForeignChange(asked('POST', headers), HERE)).toMatch(/refused|only Zanjador/);
  });

  it('leaves reading and pure arithmetic alone', () => {
    expect(refuseForeignChange(asked('GET', {}), HERE)).toBeNull();
    expect(
      refuseForeignChange(asked('POST', {}), { ...HERE, pathname: '/api/calc/row-layout' })
    ).toBeNull();
  });
});
