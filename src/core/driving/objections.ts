/** What is not met where a rivet is driven all the same, as a code with its quantities. */
export type Objection =
  | { code: 'steps'; done: number; of: number }
  | { code: 'no-way'; part: string }
  | { code: 'setting'; part: string; tool: string | null };

/** By which an answer names what it was given to: what arises later is another. */
export const objectionKey = (said: Objection): string =>
  said.code === 'steps'
    ? 'steps'
    : said.code === 'no-way' || said.tool === null
      ? `${said.code} ${said.part}`
      : `setting ${said.part}, ${said.tool}`;

/** One run that is not driven yet, as far as it is known. */
export interface RunBefore {
  part: string;
  /** a way to drive it was found, or nobody said how one gets at it */
  hasWay: boolean;
  /** of its tool; null where none was begun */
  setting: { tool: string; released: boolean } | null;
}

/**
 * What stands against driving a release, all of it at once. None of it keeps anyone from driving, and none of it goes without a
 * word.
 *
 * @param steps before driving; null where they are not known here
 * @param runs that have rivets to drive
 * @source prepare (what is done first) and drive (ways, first heads of a setting)
 */
export function objections(
  steps: { done: number; of: number } | null,
  runs: readonly RunBefore[]
): Objection[] {
  const all = [
    ...(steps !== null && steps.done < steps.of ? [{ code: 'steps' as const, ...steps }] : []),
    ...runs.flatMap(({ part, hasWay, setting }): Objection[] => [
      ...(hasWay ? [] : [{ code: 'no-way' as const, part }]),
      ...(setting?.released
        ? []
        : [{ code: 'setting' as const, part, tool: setting?.tool ?? null }])
    ])
  ];
  return [...new Map(all.map((said) => [objectionKey(said), said])).values()];
}
