import { IssuedFacts, type Issue, type IssuedHole } from '../../../core/joint/issue.ts';
import type { Joint } from '../../../core/joint/kinds.ts';
import { readStored } from '../../../core/joint/read-entered.ts';
import type { Plan } from '../../../core/plan-shape.ts';
import { plan } from '../../../core/plan.ts';
import { RuleProfile } from '../../../core/rules/profile.ts';
import type { Database } from '../db/connect.ts';
import type { Hole } from '../db/models.ts';
import { done, refused, type Outcome } from './outcome.ts';

const toHole = (hole: Hole, facts: IssuedFacts): IssuedHole => ({
  number: hole.number,
  row: hole.row,
  xIn: hole.xIn,
  yIn: hole.yIn,
  markIn: hole.markIn,
  stack: hole.stack,
  dash: hole.dash ?? facts.dash,
  gripIn: hole.gripIn
});

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
  const facts = IssuedFacts.parse(issue.facts);
  return {
    id: issue.id,
    number: issue.number,
    revision: issue.revision,
    issuedAt: issue.issuedAt.toISOString(),
    issuedBy: person.name,
    facts,
    holes: holes.filter(({ state }) => state === 'rivet').map((hole) => toHole(hole, facts)),
    heldOpen: holes
      .filter(({ state }) => state === 'held-open')
      .map((hole) => ({ ...toHole(hole, facts), reason: hole.reason }))
  };
}

/** What stands in the way of issuing, or the facts to freeze. */
function factsOf(definition: Joint, rules: RuleProfile, planned: Plan): Outcome<IssuedFacts> {
  const { layout, stacks, needs } = planned;
  for (const answer of [...needs.map(({ required }) => required), layout])
    if (!answer.ok) return refused('not-possible', answer.error.message);
  const stop = planned.warnings.find((warning) => warning.level === 'stop');
  if (stop) return refused('not-possible', `${stop.title}: ${stop.text}`);
  const [first] = stacks;
  if (!layout.ok || !first?.length.ok) return refused('not-possible', 'there is no rivet for it');
  return done({
    dash: first.dash,
    head: definition.head,
    partNumber: first.length.result.partNumber,
    gripIn: first.length.result.gripIn,
    lengthIn: first.length.result.lengthIn,
    holeIn: first.hole.diameterIn,
    widthIn: layout.result.widthIn,
    overlapIn: layout.result.heightIn,
    limits: rules.headLimits,
    predictedIn3: first.head.ok ? first.head.result.volumeIn3 : null,
    stacks: stacks.flatMap(({ name, dash, length, hole, raisedIn }) =>
      length.ok
        ? [
            {
              name,
              dash,
              partNumber: length.result.partNumber,
              lengthIn: length.result.lengthIn,
              holeIn: hole.diameterIn,
              raisedIn
            }
          ]
        : []
    )
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
    const read = readStored(joint.definition);
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
      planned.holes.map(
        ({ number: hole, row, xIn, yIn, markIn, state, reason, dash, stack, gripIn }) => ({
          issueId: issue.id,
          number: hole,
          row,
          xIn,
          yIn,
          markIn,
          state,
          reason,
          dash,
          stack,
          gripIn
        })
      ),
      { transaction }
    );
    return done({ number });
  });
}
