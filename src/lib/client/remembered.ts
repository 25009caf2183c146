import type { z } from 'zod';

/**
 * What this browser remembers for a person's comfort: a fold, a tick on a board, how a screen was measured. One copy for
 * all tabs; the last that is written counts. Typing that is not stored yet is kept otherwise (`kept.ts`).
 *
 * @returns null where there is nothing, or nothing that this version can read
 */
export function recalled<S extends z.ZodType>(key: string, schema: S): z.output<S> | null {
  try {
    const kept = schema.safeParse(JSON.parse(localStorage.getItem(`zanjador.${key}`) ?? 'null'));
    return kept.success ? kept.data : null;
  } catch {
    // Storage that is switched off or spoilt remembers nothing.
    return null;
  }
}

/** Remembers it, where the browser lets one: else it holds until the page is left. */
export function remember(key: string, value: unknown): void {
  try {
    localStorage.setItem(`zanjador.${key}`, JSON.stringify(value));
  } catch {
    // as above
  }
}
