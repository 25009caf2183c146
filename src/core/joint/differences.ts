/** One field that differs between two versions of a document. */
export interface Difference {
  path: string;
  was: string;
  now: string;
}

const isNode = (value: unknown): value is object => typeof value === 'object' && value !== null;

const show = (value: unknown): string => {
  if (value === undefined || value === null || value === '') return 'empty';
  return typeof value === 'object' ? JSON.stringify(value) : String(value as string | number);
};

/**
 * The fields in which two plain JSON documents differ, with dotted paths.
 *
 * @returns one entry a leaf; a list or object that stands on one side only is one entry
 */
export function differences(was: unknown, now: unknown, path = ''): Difference[] {
  if (isNode(was) && isNode(now) && Array.isArray(was) === Array.isArray(now)) {
    const keys = new Set([...Object.keys(was), ...Object.keys(now)]);
    return [...keys].flatMap((key) =>
      differences(
        (was as Record<string, unknown>)[key],
        (now as Record<string, unknown>)[key],
        path === '' ? key : `${path}.${key}`
      )
    );
  }
  return was === now ? [] : [{ path, was: show(was), now: show(now) }];
}
