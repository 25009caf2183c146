import type { z } from 'zod';

/** As much of the library's own description of a schema as lists need. */
interface Described {
  type: string;
  checks?: readonly {
    _zod: { def: { check: string; maximum?: number; error?: (issue: object) => unknown } };
  }[];
  element?: z.core.$ZodType;
  shape?: Readonly<Record<string, z.core.$ZodType>>;
  options?: readonly z.core.$ZodType[];
  innerType?: z.core.$ZodType;
  in?: z.core.$ZodType;
}

const described = (schema: z.core.$ZodType): Described => schema._zod.def as unknown as Described;

/** What the schema says of a list that is too long. */
function saidOf(check: NonNullable<Described['checks']>[number], list: readonly unknown[]): string {
  const { maximum = 0, error } = check._zod.def;
  const said = error?.({ code: 'too_big', origin: 'array', maximum, input: list });
  return typeof said === 'string'
    ? said
    : `at most ${maximum} are taken; ${list.length} were given`;
}

/**
 * The first list that is longer than its schema allows, found before any of its items is read: the library reads every item,
 * and complains of each, before it counts them.
 *
 * @returns where it is and what the schema says of it; null where none is
 */
export function overLong(
  schema: z.core.$ZodType,
  input: unknown,
  path: readonly PropertyKey[] = []
): { path: PropertyKey[]; message: string } | null {
  const { type, checks = [], element, shape, options, innerType, in: before } = described(schema);
  if (innerType) return overLong(innerType, input, path);
  if (before) return overLong(before, input, path);
  if (options) {
    // of several shapes one may allow it
    const found = options.map((option) => overLong(option, input, path));
    return found.includes(null) ? null : (found[0] ?? null);
  }
  if (type === 'array' && Array.isArray(input)) {
    const most = checks.find(
      ({ _zod: { def } }) => def.check === 'max_length' && input.length > (def.maximum ?? Infinity)
    );
    if (most) return { path: [...path], message: saidOf(most, input) };
    if (!element || !holdsLists(element)) return null;
    for (const [at, item] of input.entries()) {
      const found = overLong(element, item, [...path, at]);
      if (found) return found;
    }
    return null;
  }
  if (shape && typeof input === 'object' && input !== null)
    for (const [key, inner] of Object.entries(shape)) {
      if (!Object.hasOwn(input, key)) continue;
      const found = overLong(inner, (input as Record<string, unknown>)[key], [...path, key]);
      if (found) return found;
    }
  return null;
}

const LISTED = new WeakMap<z.core.$ZodType, boolean>();

/** Whether there can be a list in it: most items of lists are numbers and texts. */
function holdsLists(schema: z.core.$ZodType): boolean {
  const known = LISTED.get(schema);
  if (known !== undefined) return known;
  // a schema that holds itself is looked into once
  LISTED.set(schema, false);
  const { type, shape, options = [], innerType, in: before } = described(schema);
  const inner = [
    ...Object.values(shape ?? {}),
    ...options,
    ...(innerType ? [innerType] : []),
    ...(before ? [before] : [])
  ];
  const holds = type === 'array' || inner.some(holdsLists);
  LISTED.set(schema, holds);
  return holds;
}
