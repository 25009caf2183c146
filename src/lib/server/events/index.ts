import { cageEvents } from './cage-events.ts';
import { holeEvents } from './hole-events.ts';
import type { AnyKeptStream } from './kept-stream.ts';
import { stepEvents } from './step-events.ts';
import { stockEvents } from './stock-events.ts';

const KEPT: readonly AnyKeptStream[] = [holeEvents, stepEvents, stockEvents, cageEvents];

/** Every stream by its name: one line a stream. */
export const KEPT_STREAMS: ReadonlyMap<string, AnyKeptStream> = new Map(
  KEPT.map((kept) => [kept.stream.name, kept])
);
