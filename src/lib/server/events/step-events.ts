import { stepStream } from '../../../core/prepare/progress.ts';
import { keptStream } from './kept-stream.ts';
import { STEP_EVENTS } from './tables.ts';

/** Ticks before driving. Whether there is such a joint the table's own reference tells. */
export const stepEvents = keptStream({
  stream: stepStream,
  table: STEP_EVENTS,
  missing: 'there is no such joint',
  order: 'free',
  open: async () => ({ subject: null, state: new Map() })
});
