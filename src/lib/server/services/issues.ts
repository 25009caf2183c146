import type { Issue, IssuedFacts } from '../../../core/joint/issue.ts';
import type { LapJoint } from '../../../core/joint/lap.ts';
import { readEntered } from '../../../core/joint/read-entered.ts';
import type { Plan } from '../../../core/plan-shape.ts';
import { plan } from '../../../core/plan.ts';
import { RuleProfile } from '../../../core/rules/profile.ts';
import type { Database } from '../db/connect.ts';
import { done, refused, type Outcome } from './outcome.ts';

/** The newest issue of a joint with its holes, or null. */
export async function latestIssue({ models }: Database, jointId: string): Promise<Issue | null> {
  const issue = await models.JointIssue.findOne({
    where: { jointId },
    order: [['number', 'DESC']]
  });
  if (!issue) return null;
  const [holes, person] = await Promise.all([
    models.Hole.findAll({ where: { issueId: issue.id }, order: [['number', 'ASC']] }),
    models.Person.findByPk(issue.issuedBy, { rejectOnEmpty: true })
  ]);
  return {
    id: issue.id,
    number: issue.number,
    revision: issue.revision,
    issuedAt: issue.issuedAt.toISOString(),
    issuedBy: person.name,
    facts: issue.facts,
    holes: holes.map(({ number, row, xIn, yIn, markIn }) => ({ number, row, xIn, yIn, markIn }))
  };
}

/** What stands in the way of issuing, or the facts to freeze. */
function factsOf(definition: LapJoint, rules: RuleProfile, planned: Plan): Outcome<IssuedFacts> {
  const { layout, length, head } = planned;
  if (!layout.ok) return refused('not-possible', layout.error.message);
  if (!length.ok) return refused('not-possible', length.error.message);
  const stop = planned.warnings.find((warning) => warning.level === 'stop');
  if (stop) return refused('not-possible', `${stop.title}: ${stop.text}`);
  return done({
    dash: planned.dash,
    head: definition.head,
    partNumber: length.result.partNumber,
    gripIn: length.result.gripIn,
    lengthIn: length.result.lengthIn,
    holeIn: planned.hole.diameterIn,
    widthIn: definition.widthIn,
    overlapIn: layout.result.overlapIn,
    limits: rules.headLimits,
    predictedIn3: head.ok ? head.result.volumeIn3 : null
  });
}

/**
 * Freezes a joint's definition, rules and holes as its next issue. Refused while the joint is not the
 * revision the person sees, cannot be read, or breaks a limit.
 */
export async function issueJoint(
  database: Database,
  jointId: string,
  revision: number,
  issuedBy: string
): Promise<Outcome<{ number: number }>> {
  const { sequelize, models } = database;
  return sequelize.transaction(async (transaction) => {
    const joint = await models.Joint.findByPk(jointId, {
      transaction,
      lock: transaction.LOCK.UPDATE
    });
    if (!joint) return refused('not-found', 'there is no such joint');
    if (joint.revision !== revision)
      return refused(
        'stale',
        `the joint is at revision ${joint.revision}, not ${revision}: look at it again`
      );
    const read = readEntered(joint.definition);
    if (!read.ok) return refused('not-possible', read.problems[0]?.message ?? 'a field is missing');
    const profile = await models.Profile.findByPk(joint.profileId, {
      transaction,
      rejectOnEmpty: true
    });
    const rules = RuleProfile.parse(profile.rules);
    const planned = plan(read.definition, rules);
    const facts = factsOf(read.definition, rules, planned);
    if (!facts.ok) return facts;

    const last = await models.JointIssue.findOne({
      where: { jointId },
      order: [['number', 'DESC']],
      transaction
    });
    // Pressing twice, or asking again after a lost answer, must not make a second frozen copy.
    if (last?.revision === revision) return done({ number: last.number });
    const number = (last?.number ?? 0) + 1;
    const issue = await models.JointIssue.create(
      {
        jointId,
        number,
        revision,
        definition: read.definition,
        rules,
        facts: facts.value,
        issuedBy
      },
      { transaction }
    );
    await models.Hole.bulkCreate(
      planned.holes.map(({ number: hole, row, xIn, yIn, markIn }) => ({
        issueId: issue.id,
        number: hole,
        row,
        xIn,
        yIn,
        markIn
      })),
      { transaction }
    );
    return done({ number });
  });
}
