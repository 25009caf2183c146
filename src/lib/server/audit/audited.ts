/** A table whose rows are noted as they are added. */
export interface Audited {
  name: string;
  /** its primary key */
  key: readonly string[];
  /** where not the whole row is noted, what of it is */
  columns?: readonly string[];
  /** a row may be saved again, and each time is noted under its key and this number: the last stands */
  again?: string;
}

const only = (key: readonly string[], ...names: string[]): Audited[] =>
  names.map((name) => ({ name, key }));

/** Every table that is noted. What the database says of itself is not asked: it may have been changed. */
export const AUDITED: readonly Audited[] = [
  ...only(
    ['seq'],
    ...['cage_events', 'cold_events', 'drive_events', 'hole_events', 'rework_events'],
    'old_work_events',
    ...['sign_events', 'step_events', 'stock_events', 'tool_setting_events'],
    ...['people_log', 'shop_figures', 'cage_settings', 'tool_settings', 'logs_set_right']
  ),
  ...only(['id'], 'cages', 'cold_batches', 'devices', 'joint_issues', 'rule_profiles'),
  { name: 'holes', key: ['issue_id', 'number'] },
  { name: 'joint_revisions', key: ['joint_id', 'revision'] },
  { name: 'signed_records', key: ['issue_id'] },
  { name: 'team_calls', key: ['issue_id', 'person_id', 'minute'] },
  { name: 'people', key: ['id'], columns: ['id', 'name', 'login'] },
  { name: 'graded_coupons', key: ['id'], again: 'revision' }
];
