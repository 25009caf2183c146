import type { z } from 'zod';
import { told, type RefusalSaid } from '../refusal-said.ts';
import { problemsOf } from '../schema/read.ts';

/** One step of a document's history: what it was, as what it is called now. */
export type Upcast = (older: Record<string, unknown>) => Record<string, unknown>;

/** A document read from where it lay, whatever version it was written in; or what of it cannot be read. */
export type ReadDocument<T> =
  { ok: true; value: T } | { ok: false; path: string; problem: RefusalSaid };

/** A kind of document that is kept for years. */
export interface Document<T> {
  /** the version that is written now */
  version: number;
  read(version: number, stored: unknown): ReadDocument<T>;
}

const isObject = (stored: unknown): stored is Record<string, unknown> =>
  typeof stored === 'object' && stored !== null && !Array.isArray(stored);

/**
 * A document by its schema and its history: step 1 leads from version 1 to version 2, and so on. A stored document goes
 * through every step it is older than, then through the schema; it is never trusted as it lies.
 */
export const defineDocument = <S extends z.ZodType>(
  schema: S,
  history: readonly Upcast[]
): Document<z.output<S>> => ({
  version: history.length + 1,
  read(version, stored) {
    if (!isObject(stored)) return { ok: false, path: '', problem: told('it is no document') };
    if (version > history.length + 1)
      return {
        ok: false,
        path: '',
        problem: told('it was written by a newer version of the program')
      };
    let raised = stored;
    try {
      for (const step of history.slice(version - 1)) raised = step(raised);
    } catch {
      return { ok: false, path: '', problem: told(`it is not what version ${version} wrote`) };
    }
    const parsed = schema.safeParse(raised, { reportInput: true });
    if (parsed.success) return { ok: true, value: parsed.data };
    const [first] = problemsOf(parsed.error);
    return {
      ok: false,
      path: first?.path ?? '',
      problem: first?.said ?? told('it cannot be read')
    };
  }
});
