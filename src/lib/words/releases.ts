import type { InMetal } from '../../core/releases/in-metal.ts';
import type { AgainWhy, SinceRelease } from '../../core/releases/since-release.ts';
import type { WriteLength } from './writing.ts';

/** Why a head of a new release is driven or looked at again. */
export const AGAIN_WHY: Record<AgainWhy, string> = {
  'new-hole': 'new hole',
  'another-rivet': 'rivet changed',
  'another-hole': 'another hole is planned',
  'another-grip': 'grip changed',
  'other-sheets': 'sheets changed',
  'less-room': 'replaced by another rivet, and an edge or neighbor is closer now',
  'old-rivet': 'a rivet of an earlier release was left in it',
  'other-limits': 'head limits changed',
  empty: 'its hole was empty',
  'not-driven': 'not driven',
  'not-looked-at': 'its head was not inspected'
};

/** Heads that are driven or looked at again, together by why; those with an earlier rivet in them apart. */
export function againInWords(
  again: SinceRelease['again']
): { why: AgainWhy; inIt: boolean; text: string; holes: number[] }[] {
  const groups = new Map<string, { why: AgainWhy; inIt: boolean; text: string; holes: number[] }>();
  for (const { hole, why, inIt } of again) {
    const key = `${why} ${String(inIt)}`;
    const group = groups.get(key) ?? { why, inIt, text: AGAIN_WHY[why], holes: [] };
    group.holes.push(hole);
    groups.set(key, group);
  }
  return [...groups.values()];
}

/** Rivets that stand in the metal and in no plan, by the numbers of their releases. */
export const goneInWords = (gone: SinceRelease['gone']): string =>
  [...new Set(gone.map(({ release }) => release))]
    .map(
      (of) =>
        `Of release ${of}, by its numbers: ${gone
          .flatMap(({ release, hole }) => (release === of ? [hole] : []))
          .join(', ')}`
    )
    .join('; ');

/** What rework left in the metal at one hole. */
export const inMetalInWords = (
  { partNumber, fastener, holeIn }: InMetal,
  length: WriteLength
): string =>
  [
    partNumber ?? `${fastener ?? 'another fastener'}, blind`,
    holeIn === null ? 'hole size not recorded' : `hole ${length(holeIn, 'fine')}`
  ].join(', ');
