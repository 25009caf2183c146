import { told, type RefusalSaid } from '../refusal-said.ts';

/** No document here nests half as deep. */
const DEEPEST = 60;

/** Whether a text can be stored: no NUL, and no half of a letter that was cut. */
export const isWellFormed = (text: string): boolean => !text.includes('\0') && text.isWellFormed();

/** Said of a text that cannot be stored. */
export const ILL_FORMED =
  'it holds a character that cannot be stored (NUL, or half of a letter that was cut)';

/**
 * What keeps a value that came in from being read: a text that cannot be stored, or nesting without end.
 *
 * @param value what JSON gave; walked without recursion, however deep it goes
 */
export function illFormed(value: unknown): { path: string; said: RefusalSaid } | null {
  const waiting: { value: unknown; path: string; depth: number }[] = [
    { value, path: '', depth: 0 }
  ];
  for (let next = waiting.pop(); next; next = waiting.pop()) {
    const { value: one, path, depth } = next;
    if (typeof one === 'string' && !isWellFormed(one)) return { path, said: told(ILL_FORMED) };
    if (typeof one !== 'object' || one === null) continue;
    if (depth >= DEEPEST)
      return { path: path.slice(0, 80), said: told(`it is nested over ${DEEPEST} deep`) };
    for (const [key, inner] of Object.entries(one)) {
      if (!isWellFormed(key)) return { path, said: told(ILL_FORMED) };
      waiting.push({ value: inner, path: path === '' ? key : `${path}.${key}`, depth: depth + 1 });
    }
  }
  return null;
}

/** The beginning of a text, at most so long; a letter of two halves is not cut. */
export function firstLetters(text: string, most: number): string {
  const cut = text.slice(0, most);
  return cut.isWellFormed() ? cut : text.slice(0, most - 1);
}
