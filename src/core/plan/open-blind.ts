import { z } from 'zod';
import { readBlindPart } from '../catalog/blind-rivets.ts';
import { readDrill } from '../catalog/drills.ts';
import type { Joint } from '../kinds/joint.ts';
import { above, atLeast } from '../units/tolerance.ts';

const GripRange = z.strictObject({
  leastIn: z.number(),
  mostIn: z.number(),
  /** sheets of just the least are not held: the next shorter one's are */
  over: z.boolean()
});
/** The sheets that a blind rivet holds, in. */
export type GripRange = z.output<typeof GripRange>;

export const OpenBlind = z.strictObject({
  fastener: z.string(),
  /** its hole, in; null where no drill is named */
  drillIn: z.number().nullable(),
  /** the sheets that it holds, in; null where nobody has said it */
  grip: GripRange.nullable()
});
/** A blind rivet planned for a hole that is left open by the solid ones: it is in no strength and no count of the plan. */
export type OpenBlind = z.output<typeof OpenBlind>;

/** What a hole's edit plans for it: its part number's own grip before a typed one. */
export function blindOf(edit: Joint['edits'][number]): OpenBlind | null {
  const fastener = edit.blind.trim();
  if (fastener === '') return null;
  const part = readBlindPart(fastener);
  const { blindLeastIn, blindMostIn } = edit;
  const typed =
    blindMostIn === null ? null : { leastIn: blindLeastIn ?? 0, mostIn: blindMostIn, over: false };
  return {
    fastener,
    drillIn: readDrill(edit.drill)?.diameterIn ?? null,
    grip: part?.grip
      ? { leastIn: part.grip.overIn, mostIn: part.grip.mostIn, over: part.grip.overIn > 0 }
      : typed
  };
}

/** What is wrong with, or not known of, a blind rivet where it is planned. */
export type BlindWhy = 'short' | 'long' | 'grip-unknown' | 'no-drill' | 'other-drill';

/**
 * What stands against a blind rivet in its hole: sheets outside its grip, no grip or drill named, another drill than its size's.
 *
 * @param sheetsIn the stack at its hole, in
 * @source blind-rivets and drive (a range of grips, never stretched)
 */
export function blindAgainst({ fastener, drillIn, grip }: OpenBlind, sheetsIn: number): BlindWhy[] {
  const usual = readDrill(readBlindPart(fastener)?.drill ?? '');
  return [
    ...(grip === null
      ? ['grip-unknown' as const]
      : !atLeast(grip.mostIn, sheetsIn)
        ? ['short' as const]
        : !(grip.over ? above(sheetsIn, grip.leastIn) : atLeast(sheetsIn, grip.leastIn))
          ? ['long' as const]
          : []),
    ...(drillIn === null
      ? ['no-drill' as const]
      : usual && Math.abs(usual.diameterIn - drillIn) > HALF_THOU
        ? ['other-drill' as const]
        : [])
  ];
}
const HALF_THOU = 0.0005;
