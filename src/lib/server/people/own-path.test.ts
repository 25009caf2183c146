import { describe, expect, it } from 'vitest';
import { ownPath } from './own-path';

describe('a way back', () => {
  it.each(['/', '/joints/7/inspect', '/records?part=MS20470AD4&from=2031-05-02'])(
    '%s is one of ours',
    (path) => expect(ownPath(path)).toBe(path)
  );

  it.each([
    null,
    '',
    'joints',
    '//evil.example/x',
    '/\\evil.example',
    '/\t/evil.example',
    '/\n/evil.example',
    '\t//evil.example',
    '/\t\\evil.example',
    '/.//evil.example',
    '/x/..//evil.example',
    'https://evil.example/',
    'javascript:alert(1)'
  ])('%j leads home', (path) => expect(ownPath(path)).toBe('/'));

  it('holds no line break that would end a header', () => {
    expect(ownPath('/a\r\nset-cookie: x=y')).not.toMatch(/[\r\n]/);
  });
});
