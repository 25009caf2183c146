import { placesAsked } from '../../../core/inspect/head-standing.ts';
import { ISSUE_DOCUMENT } from '../../../core/documents/documents.ts';
import type {
  HeldOpenHole,
  ReleasedFacts,
  ReleasedHole,
  ReleasedRoom
} from '../../../core/release/release.ts';
import { isPractice } from '../../../core/joint/practice.ts';
import type { Joint } from '../../../core/kinds/joint.ts';
import type { HoleHeadroom } from '../../../core/plan/headroom.ts';
import type { Plan } from '../../../core/plan/plan-shape.ts';
import { stopsOf } from '../../../core/plan/stops.ts';
import type { InspectionPlace } from '../../../core/rules/inspection.ts';
import type { RuleProfile } from '../../../core/rules/profile.ts';
import { boundRuleInWords } from '../../words/bound-rules.ts';
import { warningInWords } from '../../words/warnings.ts';
import type { Database } from '../db/connect.ts';
import { inTransaction } from '../db/transaction.ts';
import { planOf, type PlannedJoint } from '../heavy/kept-plans.ts';
import { outcomeOf } from './documents.ts';
import { getJoint, type JointView } from './joints.ts';
import { boundOf, mayLoosen } from './bound-rules.ts';
import { because, done, refused, type Outcome } from '../outcome.ts';
import { logTaken, takenOverFrom } from './take-over.ts';

/** What stands in the way of issuing, or the facts to freeze. */
function factsOf(definition: Joint, rules: RuleProfile, planned: Plan): Outcome<ReleasedFacts> {
  const { layout, stacks, needs } = planned;
  for (const answer of [...needs.map(({ required }) => required), layout])
    if (!answer.ok) return refused('not-possible', because(answer.error));
  const stop = stopsOf(planned)[0];
  if (stop) {
    return refused('not-possible', (length) => {
      const { title, text } = warningInWords(stop, length);
      return `${title}: ${text}`;
    });
  }
  const [first] = stacks;
  if (!layout.ok || !first?.length.ok) return refused('not-possible', 'there is no rivet for it');
  return done({
    practice: false,
    dash: first.dash,
    head: definition.head,
    partNumber: first.length.result.partNumber,
    gripIn: first.length.result.gripIn,
    lengthIn: first.length.result.lengthIn,
    holeIn: first.hole.diameterIn,
    widthIn: layout.result.widthIn,
    overlapIn: layout.result.heightIn,
    limits: planned.headLimits,
    limitsReference: definition.ownHeads ? definition.headsReason.trim() : null,
    rules,
    bound: null,
    keptClosed: definition.closed ? definition.closedReason : null,
    throughPlastic: 'plasticReason' in definition ? definition.plasticReason.trim() : null,
    blinds: planned.holes.flatMap(({ number: hole, blind }) => (blind ? [{ hole, ...blind }] : [])),
    predictedIn3: first.head.ok ? first.head.result.volumeIn3 : null,
    stacks: stacks.flatMap(({ name, dash, length, hole, dimpledThrough, wide }) =>
      length.ok
        ? [
            {
              name,
              dash,
              partNumber: length.result.partNumber,
              lengthIn: length.result.lengthIn,
              holeIn: hole.diameterIn,
              dimpledThrough,
              raisedIn: 0,
              wideIn3: wide.volumeIn3
            }
          ]
        : []
    )
  });
}

/**
 * Freezes a joint's definition, rules and holes as its next release. Refused while the joint is not the
 * revision the person sees, cannot be read, or breaks a limit.
 */
export const releaseJoint = (
  database: Database,
  jointId: string,
  revision: number,
  issuedBy: string,
  /** now, except for data that is brought in */
  issuedAt?: Date
): Promise<Outcome<{ number: number }>> =>
  outcomeOf(async () => {
    // Planned before anything is locked: what a revision comes to does not change meanwhile.
    const joint = await getJoint(database, jointId);
    if (!joint.ok) return joint;
    if (joint.value.revision !== revision) return isStale(joint.value.revision, revision);
    const planned = await planOf(joint.value);
    if (!planned.ok) return planned;
    const { profile } = joint.value;
    const facts = factsOf(planned.value.definition, profile, planned.value.plan);
    if (!facts.ok) return facts;
    const bound = await boundOf(database, joint.value, facts.value.limitsReference);
    const looser = bound.find(({ loosens }) => loosens);
    if (looser && !(await mayLoosen(database, issuedBy)))
      return refused(
        'not-possible',
        `${boundRuleInWords(looser, 'decimal')}. That is looser than the shop’s own rule: a lead releases it, or plan the joint under the shop’s rules`
      );
    const practice = isPractice(joint.value.job);
    const frozen = {
      joint: joint.value,
      ...planned.value,
      facts: { ...facts.value, practice, bound }
    };
    return inTransaction(database, () => freeze(database, frozen, issuedBy, issuedAt));
  });

/** As lists read it beside what looks have told (`look_told`, migration 0020). */
const PLACE_BITS: Record<InspectionPlace, number> = {
  shop: 1,
  manufactured: 2,
  sheet: 4,
  flush: 8
};
const askedBits = (facts: ReleasedFacts, hole: Pick<ReleasedHole, 'dash' | 'room'>): number =>
  placesAsked(facts, hole).reduce((bits, place) => bits + PLACE_BITS[place], 0);

/** What a larger rivet there is held against; a distance to nothing is null. */
function roomOf(growth: HoleHeadroom | undefined): ReleasedRoom | null {
  if (!growth) return null;
  const { edgeIn, pitchIn, betweenRowsIn } = growth.room;
  const known = (distanceIn: number) => (Number.isFinite(distanceIn) ? distanceIn : null);
  return {
    edgeIn,
    pitchIn: known(pitchIn),
    betweenRowsIn: known(betweenRowsIn),
    sheetsIn: [...growth.sheetsIn]
  };
}

const isStale = (now: number, seen: number): Outcome<never> =>
  refused('stale', `the joint is at revision ${now}, not ${seen}. Reload it`);

/** The open holes of a plan, each with the blind rivet that goes in it. */
const openHoles = (
  holes: readonly (ReleasedHole & { state: string; reason: string })[],
  blinds: ReleasedFacts['blinds']
): HeldOpenHole[] =>
  holes
    .filter(({ state }) => state === 'held-open')
    .map((hole) => {
      const blind = blinds.find((one) => one.hole === hole.number);
      return blind ? { ...hole, blind } : hole;
    });

async function freeze(
  database: Database,
  {
    joint: seen,
    definition,
    plan: planned,
    facts
  }: PlannedJoint & { joint: JointView; facts: ReleasedFacts },
  issuedBy: string,
  issuedAt?: Date
): Promise<Outcome<{ number: number }>> {
  const { models } = database;
  const { id: jointId, revision } = seen;
  const joint = await models.Joint.findByPk(jointId, { lock: true });
  if (!joint) return refused('not-found', 'there is no such joint');
  if (joint.revision !== revision) return isStale(joint.revision, revision);

  const last = await models.JointRelease.findOne({
    where: { jointId },
    order: [['number', 'DESC']]
  });
  // Pressing twice, or asking again after a lost answer, must not make a second frozen copy.
  if (last?.revision === revision) return done({ number: last.number });
  const number = (last?.number ?? 0) + 1;
  const planHoles = planned.holes.map(
    ({ number: hole, row, xIn, yIn, markIn, state, reason, dash, stack, gripIn }, at) => ({
      number: hole,
      row,
      xIn,
      yIn,
      markIn,
      state,
      reason,
      dash,
      stack,
      gripIn,
      room: roomOf(planned.headroom[at])
    })
  );
  const riveted: ReleasedHole[] = planHoles.filter(({ state }) => state === 'rivet');
  const taken = last
    ? await takenOverFrom(database, last.id, {
        facts,
        holes: riveted,
        heldOpen: openHoles(planHoles, facts.blinds),
        definition
      })
    : null;
  const takenHoles = new Map(taken?.holes.map((hole) => [hole.number, hole]));
  const blind = new Map(taken?.since.blind.map(({ hole, fastener }) => [hole, fastener]));
  const release = await models.JointRelease.create({
    jointId,
    number,
    revision,
    definition,
    rules: seen.profile,
    facts: taken?.facts ?? facts,
    documentVersion: ISSUE_DOCUMENT.version,
    since: taken?.since ?? null,
    issuedBy,
    ...(issuedAt ? { issuedAt } : {})
  });
  await models.Hole.bulkCreate(
    planHoles.map((hole) => {
      const fastener = blind.get(hole.number);
      return {
        ...hole,
        ...takenHoles.get(hole.number),
        ...(fastener === undefined ? {} : { state: 'held-open' as const, reason: fastener }),
        asked: askedBits(facts, hole),
        releaseId: release.id
      };
    })
  );
  if (taken) await logTaken(database, release.id, taken, issuedBy);
  return done({ number });
}
