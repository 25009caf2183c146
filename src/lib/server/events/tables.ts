import type { EventTable } from './table.ts';

/** The looks at heads of a release; `hole_looks` keeps of each what the lists read (`heads_in`). */
export const HOLE_EVENTS: EventTable = { name: 'hole_events' };

export const STEP_EVENTS: EventTable = { name: 'step_events' };

export const STOCK_EVENTS: EventTable = {
  name: 'stock_events'
};

export const CAGE_EVENTS: EventTable = {
  name: 'cage_events'
};

/** Rivets taken out, their holes, and questions to the data holder. */
export const REWORK_EVENTS: EventTable = {
  name: 'rework_events'
};

/** Findings of service on a joint. */
export const OLD_WORK_EVENTS: EventTable = {
  name: 'old_work_events'
};

export const SIGN_EVENTS: EventTable = { name: 'sign_events' };

/** The log of driving a release. */
export const DRIVE_EVENTS: EventTable = {
  name: 'drive_events'
};

/** Trials of a tool’s setting, and what was made with it. */
export const TOOL_EVENTS: EventTable = {
  name: 'tool_setting_events'
};

/** What became of the rest of a batch out of the cold. */
export const COLD_EVENTS: EventTable = { name: 'cold_events' };
