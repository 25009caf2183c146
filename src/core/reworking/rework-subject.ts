import { z } from 'zod';
import type { Recorded } from '../events/stream.ts';
import { ReplacedRivet } from './replaced-rivet.ts';
import { SeenInHole, type ReworkMove } from './rework-moves.ts';
import type { Layout } from './rework-state.ts';

export const ReworkFrozen = z
  .strictObject({
    decision: z.enum(['keep', 'next-size', 'refer']),
    because: z.union([z.literal('third-time'), SeenInHole]).nullable(),
    against: z.array(
      z.enum([
        'hole',
        'edge',
        'pitch',
        'between-rows',
        'flush',
        'cut-too-deep',
        'length',
        'no-larger-size'
      ])
    ),
    rivet: ReplacedRivet.nullable(),
    tooSmall: z.strictObject({ drill: z.string(), drillIn: z.number() }).optional()
  })
  .nullable();
/** What was decided of a hole when it was measured; null with every other move. */
export type ReworkFrozen = z.output<typeof ReworkFrozen>;
export type ReworkEvent = Recorded<ReworkMove, ReworkFrozen>;

/** What rework is held against: a release, and whether it is signed. */
export interface ReworkSubject extends Layout {
  signed?: { by: string } | null;
  /** holes that have a rivet now; left out where the server says */
  rivetIn?: ReadonlySet<number>;
  /** who may say that another's reading was false, by their ids; left out where the server says */
  inspectors?: ReadonlySet<string>;
  /** who may decide that a rivet is asked about instead of being replaced, by their ids; left out where the server says */
  leads?: ReadonlySet<string>;
  /** the looks at its heads, by their ids; left out where the server says */
  looks?: ReadonlyMap<string, { hole: number; person: string | undefined; by: string }>;
}
