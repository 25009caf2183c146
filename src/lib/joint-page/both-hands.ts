import { differences } from '$core/joint/differences.ts';
import { merge, type Choices } from '$core/joint/merge.ts';
import { EnteredJoint } from '$core/kinds/joint.ts';
import type { JointDocument } from '$lib/client/autosave.svelte';

/** One thing that differs, as both hands left it; empty where that hand left it as it was. */
export interface BothChange {
  path: string;
  was: string;
  mine: string;
  theirs: string;
}

/** Both hands' changes put together; null document where they make no joint together. */
export interface BothHands {
  rows: BothChange[];
  /** paths where somebody has to choose */
  crossings: string[];
  together: JointDocument | null;
}

/**
 * What two hands made of one joint, side by side and together.
 *
 * @param choices which of two crossing changes stays, by its path
 */
export function bothHands(
  base: JointDocument,
  mine: JointDocument,
  theirs: JointDocument,
  choices: Choices
): BothHands {
  const { value, crossings } = merge(base, mine, theirs, choices);
  const rows = new Map<string, BothChange>();
  const blank = (path: string, was: string): BothChange => ({ path, was, mine: '', theirs: '' });
  for (const [whose, document] of [
    ['mine', mine],
    ['theirs', theirs]
  ] as const)
    for (const { path, was, now } of differences(base, document))
      rows.set(path, { ...(rows.get(path) ?? blank(path, was)), [whose]: now });
  const { title, definition } = value as { title: string; definition: unknown };
  const read = EnteredJoint.safeParse(definition);
  // what makes a joint of one kind does not make one of another
  const oneKind = mine.definition.kind === theirs.definition.kind;
  return {
    rows: [...rows.values()],
    crossings: crossings.map(({ path }) => path),
    together: read.success && oneKind ? { title, definition: read.data } : null
  };
}
