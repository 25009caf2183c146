import { cageEvents } from './cage-events.ts';
import { coldEvents } from './cold-events.ts';
import { driveEvents } from './drive-events.ts';
import { holeEvents } from './hole-events.ts';
import type { AnyKeptStream } from './kept-stream.ts';
import { oldWorkEvents } from './old-work-events.ts';
import { reworkEvents } from './rework-events.ts';
import { signEvents } from './sign-events.ts';
import { stepEvents } from './step-events.ts';
import { stockEvents } from './stock-events.ts';
import { toolEvents } from './tool-events.ts';

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
