import type { HeadroomLimit } from '../../core/plan/headroom.ts';
import type { ReworkMargin } from '../../core/plan/rework-margin.ts';
import type { WriteLength } from './writing.ts';

/** What stops the next size, as a sentence goes on. */
const HEADROOM_WORDS: Record<HeadroomLimit, string> = {
  edge: 'the edge distance is too short for it',
  pitch: 'the pitch is too short for it',
  'between-rows': 'the rows are too close for it',
  flush:
    'no countersink for its flush head fits these sheets, and a dimple cannot be enlarged in place',
  length: 'no such rivet is long enough',
  'no-larger-size': 'there is no larger size'
};

/** What keeps the other holes from a larger rivet, in short; empty where all take one. */
export const marginInWords = (
  { limitedBy, moreEdgeIn }: ReworkMargin,
  length: WriteLength
): string =>
  limitedBy === null
    ? ''
    : moreEdgeIn === null
      ? HEADROOM_WORDS[limitedBy]
      : `next size needs ${length(moreEdgeIn)} more edge distance`;
