import { isDeepStrictEqual } from 'node:util';
import { drivenHead } from '../../../core/check/driven-head.ts';
import { HeadReading } from '../../../core/check/head-report.ts';
import type { CheckedHead, HoleEvent } from '../../../core/check/hole-events.ts';
import { readInput } from '../../../core/schema/read.ts';
import type { Database } from '../db/connect.ts';
import type { HoleEventRow } from '../db/models.ts';
import { done, refused, type Outcome } from './outcome.ts';

const toEvent = (row: HoleEventRow, by: string): HoleEvent => ({
  ...row.reading,
  kind: row.kind,
  by,
  judged: row.judged
});

/** Every event of an issue in the order recorded. */
export async function eventsOfIssue({ models }: Database, issueId: string): Promise<HoleEvent[]> {
  const [rows, people] = await Promise.all([
    models.HoleEventRow.findAll({ where: { issueId }, order: [['seq', 'ASC']] }),
    models.Person.findAll()
  ]);
  const names = new Map(people.map((person) => [person.id, person.name]));
  return rows.map((row) => toEvent(row, names.get(row.personId) ?? ''));
}

/**
 * Records a measured head. The server judges it again from the issue's own frozen facts; the same event
 * sent twice is stored once.
 */
export async function recordHead(
  { sequelize, models }: Database,
  issueId: string,
  checked: CheckedHead,
  personId: string
): Promise<Outcome<HoleEvent>> {
  return sequelize.transaction(async (transaction) => {
    const person = await models.Person.findByPk(personId, { transaction });
    if (!person) return refused('not-found', 'say who is at the bench first');
    const issue = await models.JointIssue.findByPk(issueId, { transaction });
    const hole = await models.Hole.findOne({
      where: { issueId, number: checked.hole },
      transaction
    });
    if (!issue || !hole)
      return refused('not-found', `there is no hole ${checked.hole} in this issue`);
    if (hole.state === 'held-open')
      return refused(
        'not-possible',
        `hole ${hole.number} is held open (${hole.reason}): it gets no rivet`
      );
    const { limits } = issue.facts;
    const dash = hole.dash ?? issue.facts.dash;
    const { diameterIn, heightIn, flags } = checked;
    const reading = readInput(HeadReading, { dash, limits, diameterIn, heightIn, flags });
    if (!reading.ok) return refused('not-possible', reading.error.message);
    const judged = drivenHead(reading.value);
    if (!judged.ok) return refused('not-possible', judged.error.message);

    const [row, fresh] = await models.HoleEventRow.findOrCreate({
      where: { id: checked.id },
      defaults: {
        id: checked.id,
        issueId,
        hole: checked.hole,
        kind: 'checked',
        reading: checked,
        judged: judged.result,
        personId,
        at: new Date(checked.at)
      },
      transaction
    });
    if (!fresh && !(row.issueId === issueId && isDeepStrictEqual(row.reading, checked)))
      return refused('conflict', 'another event was stored under this id');
    return done(toEvent(row, person.name));
  });
}
