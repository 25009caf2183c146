import type { Refusal } from '../answer.ts';
import { boundsOf } from '../layout/shapes.ts';
import type { Plan, PlanWarning, Station } from './plan-shape.ts';
import { stopsOf } from './stops.ts';

/** One thing that keeps a joint from going on, where it is mended. */
export type Block =
  | { station: Station; by: 'stop'; warning: PlanWarning }
  | { station: Station; by: 'refusal'; refusal: Refusal };

const ORDER: readonly Station[] = ['size', 'layout', 'stack-up'];

function refusals({ needs, layout, stacks }: Plan): Block[] {
  const found: Block[] = [];
  const add = (station: Station, refusal: Refusal) => {
    // a part that depends on a refused one carries its refusal: it is mended where it began
    if (!found.some((block) => block.by === 'refusal' && block.refusal === refusal))
      found.push({ station, by: 'refusal', refusal });
  };
  for (const { required } of needs) if (!required.ok) add('size', required.error);
  if (!layout.ok) add('layout', layout.error);
  for (const { length } of stacks) if (!length.ok) add('stack-up', length.error);
  return found;
}

/**
 * What keeps a joint from going on: limits that stop it and parts that are not possible, in the order of the work. Nothing
 * after the first of them rests on anything. What a stop already says of a station is not told again by its refusal.
 */
export function blocksOf(plan: Plan): Block[] {
  const stops = stopsOf(plan).map((warning): Block => ({
    station: warning.station,
    by: 'stop',
    warning
  }));
  const unsaid = refusals(plan).filter(
    ({ station }) => !stops.some((stop) => stop.station === station)
  );
  return [...unsaid, ...stops].sort((a, b) => ORDER.indexOf(a.station) - ORDER.indexOf(b.station));
}

/** Whether something stops the joint at a station or before it: then nothing there counts as good. */
export const stoppedUpTo = (blocks: readonly Block[], station: Station): boolean =>
  blocks.some((block) => ORDER.indexOf(block.station) <= ORDER.indexOf(station));

const PER_IN = 10_000;
const fold = (values: readonly number[]): number =>
  values.reduce((sum, value) => (Math.imul(sum, 31) + Math.round(value * PER_IN)) | 0, 17);

/** What a station answers, beside what it warns of; lengths as numbers. */
function answersAt({ dash, needs, holes, layout, stacks }: Plan, station: Station): unknown {
  switch (station) {
    case 'size':
      return [dash, needs.map(({ required }) => required.ok && required.result.required)];
    case 'layout':
      return [
        holes.length,
        fold(
          holes.flatMap(({ markXIn, markYIn, dash, state }) => [
            markXIn,
            markYIn,
            dash,
            state === 'rivet' ? 1 : 0
          ])
        ),
        layout.ok &&
          layout.result.parts.map(({ outline }) => {
            const { xIn, yIn, wIn, hIn } = boundsOf(outline);
            return fold([xIn, yIn, wIn, hIn]);
          })
      ];
    case 'stack-up':
      return stacks.map(({ length, flush, hole, sheets, gripMinIn, gripMaxIn, rivets }) => [
        length.ok && length.result.partNumber,
        flush?.ok === true && flush.result.method,
        hole.drill,
        sheets.map(({ name, thicknessIn, coatIn }) => [name, fold([thicknessIn, coatIn])]),
        fold([gripMinIn, gripMaxIn]),
        rivets
      ]);
  }
}

/**
 * A short print of what a station answers and warns of. Where it differs from the one that was looked at, what was seen
 * there is no longer so.
 */
export const printOf = (plan: Plan, station: Station): string =>
  JSON.stringify([
    answersAt(plan, station),
    plan.warnings.flatMap(({ station: at, said }) => (at === station ? [said] : []))
  ]);
