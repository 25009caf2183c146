import { OPEN } from './open-access.ts';
import { ReleasedFacts, type ReleasedHole } from '../../src/core/release/release.ts';
import type { Dash } from '../../src/core/schema/fields.ts';
import type { DrivingAccess } from '../../src/core/driving/access.ts';
import { STARTING_TOOLS, type DrivingTools } from '../../src/core/drive/driving-tools.ts';
import { drivingWays } from '../../src/core/driving/driving-ways.ts';
import { rivetRuns } from '../../src/core/driving/rivet-runs.ts';

export const OUTLINE = { widthIn: 9, heightIn: 4 };
export const hole = (number: number, xIn: number, yIn: number, dash: Dash = 4): ReleasedHole => ({
  number,
  row: 1,
  xIn,
  yIn,
  markIn: xIn,
  stack: 0,
  dash,
  gripIn: 0.1,
  room: null
});
export const run = (
  holes: ReleasedHole[],
  {
    head = 'universal',
    part = 'MS20470AD4-5',
    dimpledThrough = false
  }: { head?: string; part?: string; dimpledThrough?: boolean } = {}
) => {
  const dash = holes[0]?.dash ?? 4;
  const facts = ReleasedFacts.parse({
    dash,
    head,
    partNumber: part,
    gripIn: 0.1,
    lengthIn: 0.3125,
    holeIn: 0.1285,
    widthIn: 9,
    overlapIn: 4,
    limits: 'standard',
    predictedIn3: null,
    stacks: [
      { name: 'lap', dash, partNumber: part, lengthIn: 0.3125, holeIn: 0.1285, dimpledThrough }
    ]
  });
  const [found] = rivetRuns({ facts, holes });
  if (!found) throw new Error('no run');
  return found;
};
export const ways = (
  of: ReturnType<typeof run>,
  access: Partial<DrivingAccess> = {},
  tools: Partial<DrivingTools> = {}
) => drivingWays(of, OUTLINE, { ...OPEN, ...access }, { ...STARTING_TOOLS, ...tools });
export const whyNot = (found: ReturnType<typeof ways>, way: string) =>
  found.ways.find((one) => one.way === way)?.why.map(({ code }) => code);
