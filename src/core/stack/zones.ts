import { z } from 'zod';
import { answer, num, workLine, type Answer, type WorkLine } from '../answer.ts';
import { DEFAULT_MULTIPLIERS, type Multipliers } from '../rules/multipliers.ts';
import {
  Alloy,
  Dash,
  Head,
  Increments,
  Lean,
  lengthIn,
  MOST_HOLES,
  thicknessIn
} from '../schema/fields.ts';
import { same } from '../units/tolerance.ts';
import { thicknessAt } from './layers.ts';
import { rivetLength } from './rivet-length.ts';

const place = (what: string) => lengthIn(what, { least: -100_000, most: 100_000 });

export const ZoneLayer = z
  .strictObject({
    name: z.string().max(40),
    fromIn: place('where the layer starts'),
    toIn: place('where the layer ends'),
    thicknessAtFromIn: thicknessIn,
    thicknessAtToIn: thicknessIn
  })
  .refine((layer) => layer.toIn > layer.fromIn, {
    path: ['toIn'],
    message: 'a layer ends beyond where it starts'
  });
/** One layer along a row: where it lies and its thickness at both ends, linear between; inches. */
export type ZoneLayer = z.output<typeof ZoneLayer>;

export const ZonesInput = z.strictObject({
  layers: z.array(ZoneLayer).min(1, 'at least one layer is needed').max(40),
  holesIn: z.array(place('a hole')).min(1, 'at least one hole is needed').max(MOST_HOLES),
  dash: Dash,
  head: Head,
  alloy: Alloy.default('AD'),
  increments: Increments.default('half'),
  lean: Lean.default('nearest')
});
export type ZonesInput = z.output<typeof ZonesInput>;

/** Grip and rivet at one hole; `partNumber` is null, with the reason, where no rivet fits. */
export interface ZoneHole {
  xIn: number;
  gripIn: number;
  partNumber: string | null;
  inWindow: boolean;
  refusal: string | null;
}

/** Neighbouring holes with one part number; indices are 0-based and inclusive. */
export interface ZoneRun {
  first: number;
  last: number;
  count: number;
  partNumber: string | null;
  gripMinIn: number;
  gripMaxIn: number;
  /** what a fixed-height bar needs at the run's first and last hole, over the row's thinnest grip */
  shimFirstIn: number;
  shimLastIn: number;
}

export interface Zones {
  holes: ZoneHole[];
  runs: ZoneRun[];
  /** the rivet changes between these two places */
  changes: { afterIn: number; beforeIn: number; from: string | null; to: string | null }[];
}

/** Grip at a place along the row: the layers that lie there. */
export function gripAt(layers: readonly ZoneLayer[], xIn: number): number {
  return layers.reduce((sum, layer) => sum + (thicknessAt(layer, xIn) ?? 0), 0);
}

function holeAt(xIn: number, input: ZonesInput, limits: Multipliers): ZoneHole {
  const { layers, dash, head, alloy, increments, lean } = input;
  const gripIn = gripAt(layers, xIn);
  if (same(gripIn, 0))
    return {
      xIn,
      gripIn,
      partNumber: null,
      inWindow: false,
      refusal: `no layer lies at ${num(xIn)} in`
    };
  // The length depends on the total alone; one sheet of the whole grip may be thicker than any real sheet.
  const length = rivetLength(
    { sheetsIn: [gripIn], dash, head, alloy, increments, lean, dimpled: false },
    limits
  );
  return length.ok
    ? {
        xIn,
        gripIn,
        partNumber: length.result.partNumber,
        inWindow: length.result.inWindow,
        refusal: null
      }
    : { xIn, gripIn, partNumber: null, inWindow: false, refusal: length.error.message };
}

function groupRuns(holes: readonly ZoneHole[]): ZoneRun[] {
  const thinnestIn = holes.reduce((least, hole) => Math.min(least, hole.gripIn), Infinity);
  const runs: ZoneRun[] = [];
  holes.forEach(({ partNumber, gripIn }, index) => {
    const run = runs.at(-1);
    const shimIn = gripIn - thinnestIn;
    if (!run || run.partNumber !== partNumber) {
      runs.push({
        first: index,
        last: index,
        count: 1,
        partNumber,
        gripMinIn: gripIn,
        gripMaxIn: gripIn,
        shimFirstIn: shimIn,
        shimLastIn: shimIn
      });
      return;
    }
    run.last = index;
    run.count += 1;
    run.gripMinIn = Math.min(run.gripMinIn, gripIn);
    run.gripMaxIn = Math.max(run.gripMaxIn, gripIn);
    run.shimLastIn = shimIn;
  });
  return runs;
}

/**
 * A stack that changes along the row, where a layer ends or a member tapers: grip and rivet at every
 * hole, grouped into runs with one part number.
 *
 * @param input layers and holes along the row, in; holes rising
 * @param limits the rule profile's multiples of D
 * @returns holes, runs with the shim a fixed-height bar needs, and where the rivet changes; inches
 * @throws never: a hole that no rivet fits carries its refusal
 * @source handbook 4.3 and 4.5
 */
export function zones(input: ZonesInput, limits: Multipliers = DEFAULT_MULTIPLIERS): Answer<Zones> {
  const holes = [...input.holesIn].sort((a, b) => a - b).map((xIn) => holeAt(xIn, input, limits));
  const runs = groupRuns(holes);
  const changes = runs.slice(1).map((run, index) => ({
    afterIn: holes[run.first - 1]?.xIn ?? 0,
    beforeIn: holes[run.first]?.xIn ?? 0,
    from: runs[index]?.partNumber ?? null,
    to: run.partNumber
  }));
  const work: WorkLine[] = runs.map((run) =>
    workLine(
      `holes ${run.first + 1} to ${run.last + 1}`,
      same(run.gripMinIn, run.gripMaxIn)
        ? `grip ${num(run.gripMinIn)}`
        : `grip ${num(run.gripMinIn)} to ${num(run.gripMaxIn)}`,
      run.partNumber ?? 'no rivet fits'
    )
  );
  return answer({ holes, runs, changes }, work);
}
