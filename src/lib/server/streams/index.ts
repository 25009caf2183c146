import { coldEvents } from '../events/cold-events.ts';
import { driveEvents } from '../events/drive-events.ts';
import { holeEvents } from '../events/hole-events.ts';
import type { AnyKeptStream } from '../events/kept-stream.ts';
import { oldWorkEvents } from '../events/old-work-events.ts';
import { reworkEvents } from '../events/rework-events.ts';
import { signEvents } from './sign-events.ts';
import { stepEvents } from '../events/step-events.ts';
import { stockEvents } from '../events/stock-events.ts';
import { cageEvents, toolEvents } from '../events/setting-events.ts';

const KEPT: readonly AnyKeptStream[] = [
  holeEvents,
  stepEvents,
  stockEvents,
  cageEvents,
  driveEvents,
  coldEvents,
  toolEvents,
  reworkEvents,
  oldWorkEvents,
  signEvents
];

/** Every stream by its name: one line a stream. */
export const KEPT_STREAMS: ReadonlyMap<string, AnyKeptStream> = new Map(
  KEPT.map((kept) => [kept.stream.name, kept])
);
