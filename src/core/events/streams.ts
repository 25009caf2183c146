import { holeStream } from '../check/hole-events.ts';
import { cageStream } from '../ready/cage/setting.ts';
import { stepStream } from '../ready/progress.ts';
import { stockStream } from '../stock/stock.ts';

/** Every stream there is: one line a stream. */
export const STREAMS = [holeStream, stepStream, stockStream, cageStream] as const;

export const STREAM_NAMES: ReadonlySet<string> = new Set(STREAMS.map(({ name }) => name));
