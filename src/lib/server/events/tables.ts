import type { EventTable } from './table.ts';

/** The looks at heads of an issue; `hole_looks` keeps of each what the lists read (`heads_in`). */
export const HOLE_EVENTS: EventTable = {
  name: 'hole_events',
  subject: 'joint_issues',
  links: [
    {
      column: 'hole',
      type: 'integer',
      field: 'hole',
      references: 'foreign key (subject_id, hole) references holes (issue_id, number)'
    }
  ],
  alongside: `looked as (
  insert into hole_looks (issue_id, hole, seq, at, verdict, told)
  select subject_id, (payload->>'hole')::integer, seq, at, frozen->>'verdict', look_told(kind, payload, frozen) from added
)`
};

export const STEP_EVENTS: EventTable = { name: 'step_events', subject: 'joints', links: [] };

export const STOCK_EVENTS: EventTable = {
  name: 'stock_events',
  subject: 'stock_bins',
  links: [{ column: 'job_id', type: 'uuid', field: 'jobId', references: 'jobs' }]
};

export const CAGE_EVENTS: EventTable = {
  name: 'cage_events',
  subject: 'cage_settings (id)',
  links: []
};

/** Rivets taken out, their holes, and questions to the data holder. */
export const REWORK_EVENTS: EventTable = {
  name: 'rework_events',
  subject: 'joint_issues',
  links: [
    {
      column: 'hole',
      type: 'integer',
      field: 'hole',
      references: 'foreign key (subject_id, hole) references holes (issue_id, number)'
    }
  ]
};

/** Findings of service on a joint. */
export const OLD_WORK_EVENTS: EventTable = {
  name: 'old_work_events',
  subject: 'joints',
  links: []
};

export const SIGN_EVENTS: EventTable = { name: 'sign_events', subject: 'joint_issues', links: [] };

/** The log of driving an issue. */
export const DRIVE_EVENTS: EventTable = {
  name: 'drive_events',
  subject: 'joint_issues',
  links: [
    {
      column: 'hole',
      type: 'integer',
      field: 'hole',
      references: 'foreign key (subject_id, hole) references holes (issue_id, number)'
    },
    { column: 'batch', type: 'uuid', field: 'batch', references: 'cold_batches' }
  ]
};

/** Trials of a tool’s setting, and what was made with it. */
export const TOOL_EVENTS: EventTable = {
  name: 'tool_setting_events',
  subject: 'tool_settings (id)',
  links: []
};

/** What became of the rest of a batch out of the cold. */
export const COLD_EVENTS: EventTable = { name: 'cold_events', subject: 'cold_batches', links: [] };
