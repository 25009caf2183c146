import { describe, expect, it } from 'vitest';
import { firstLetters, illFormed } from './well-formed.ts';

describe('what comes in', () => {
  it.each([
    ['plain', { a: ['λ', '🛩', 1, null] }, null],
    ['NUL in a text', { a: { b: 'x\0y' } }, 'a.b'],
    ['NUL in a name', { 'a\0': 1 }, ''],
    ['half a letter', ['ok', '\ud83d'], '1']
  ])('%s', (_, value, path) => {
    expect(illFormed(value)?.path ?? null).toBe(path);
  });

  it('nested without end is told so, not followed until the stack is full', () => {
    const deep = JSON.parse(`${'['.repeat(50_000)}${']'.repeat(50_000)}`) as unknown;
    expect(illFormed(deep)?.said).toMatchObject({ text: 'it is nested over 60 deep' });
  });

  it('is cut between letters', () => {
    expect(firstLetters('ab🛩cd', 3)).toBe('ab');
    expect(firstLetters('ab🛩cd', 4)).toBe('ab🛩');
  });
});
