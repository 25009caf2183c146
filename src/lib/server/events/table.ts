/** Where the events of one stream are kept. */
export interface EventTable {
  name: string;
}

/**
 * Puts events by the table's own function (migration 0028), whose plan the database keeps: those that are new are added, in
 * the order given; those that are there already are compared. Where one is there under the same id and differs, nothing is
 * added. What is kept beside the events for quick reading is put by the same function.
 *
 * `$1` the events as a JSON list, `$2` who sends: an event that names its person is that person's; `$3` the browser that sends.
 * Answers one row an event.
 */
export const putSql = ({ name }: EventTable): string =>
  `select * from put_${name}($1::jsonb, $2::uuid, $3::uuid)`;
