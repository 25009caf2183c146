import { z } from 'zod';
import { headVolumeIn3, isImpossible } from '../check/head-report.ts';
import { headStanding, placesAsked } from '../check/head-standing.ts';
import { isMeasured, type HoleEvent, type HoleState } from '../check/hole-events.ts';
import { checksOwnWork } from '../rules/own-work.ts';
import type { NextHead } from '../check/next-head.ts';
import { expiredHoles, hitsOf, type DriveState, type DriveEvent } from '../driving/drive-events.ts';
import { namedStill } from '../driving/named-still.ts';
import { predictedHeadIn3, type Issue, type IssuedHole } from '../issue/issue.ts';
import { isAnotherRivet, type SinceRelease } from '../releases/since-release.ts';
import { blindStanding, type BlindStanding } from '../reworking/blind-rivets.ts';
import { drivenInQuestion } from '../reworking/held-back.ts';
import { issuedRivet } from '../reworking/replaced-rivet.ts';
import { BoundRule } from '../rules/bound-rules.ts';
import { InspectionPlace } from '../rules/inspection.ts';
import { emptyHoles, type ReworkState } from '../reworking/rework-state.ts';

const holes = z.array(z.number().int());

export const Must = z.discriminatedUnion('code', [
  z.strictObject({ code: z.literal('not-driven'), holes }),
  z.strictObject({ code: z.literal('holes-empty'), holes }),
  z.strictObject({ code: z.literal('heads-due'), holes }),
  z.strictObject({ code: z.literal('heads-bad'), holes }),
  z.strictObject({ code: z.literal('heads-simulated'), holes }),
  z.strictObject({ code: z.literal('heads-by-driver'), holes }),
  z.strictObject({ code: z.literal('blinds-bad'), holes }),
  z.strictObject({ code: z.literal('blinds-not-inspected'), holes }),
  z.strictObject({ code: z.literal('blinds-not-in'), holes }),
  z.strictObject({ code: z.literal('referrals-open'), holes, count: z.number().int() })
]);
/** What keeps an issue from being signed. */
export type Must = z.output<typeof Must>;

export const Told = z.discriminatedUnion('code', [
  z.strictObject({
    code: z.literal('held-open'),
    hole: z.number().int(),
    reason: z.string(),
    /** the blind rivet of that hole, which is in no count of the plan */
    blind: z.strictObject({ fastener: z.string(), isIn: z.boolean() }).optional()
  }),
  z.strictObject({ code: z.literal('left-as-is'), holes }),
  z.strictObject({
    code: z.literal('old-work'),
    findings: z.number().int(),
    open: z.number().int()
  }),
  z.strictObject({ code: z.literal('earlier-rework'), release: z.number().int(), holes }),
  z.strictObject({ code: z.literal('taken-over'), release: z.number().int(), holes }),
  z.strictObject({ code: z.literal('old-rivets'), release: z.number().int(), holes }),
  z.strictObject({ code: z.literal('gone-since'), release: z.number().int(), holes }),
  z.strictObject({ code: z.literal('driving-not-logged') }),
  z.strictObject({ code: z.literal('lots-not-told'), parts: z.array(z.string()) }),
  z.strictObject({ code: z.literal('expired'), holes, reasons: z.array(z.string()) }),
  z.strictObject({
    code: z.literal('driven-against'),
    answers: z.array(
      z.strictObject({
        key: z.string(),
        answer: z.enum(['done', 'not-needed', 'reason']),
        why: z.string(),
        by: z.string()
      })
    )
  }),
  z.strictObject({ code: z.literal('driven-in-question'), holes }),
  z.strictObject({ code: z.literal('more-metal'), holes }),
  z.strictObject({ code: z.literal('readings-voided'), holes }),
  z.strictObject({ code: z.literal('rework-steps-open'), holes }),
  z.strictObject({
    code: z.literal('setting-open'),
    part: z.string(),
    tool: z.string().nullable()
  }),
  z.strictObject({ code: z.literal('bound-rule'), ...BoundRule.shape }),
  z.strictObject({ code: z.literal('kept-closed'), by: z.string() }),
  z.strictObject({ code: z.literal('through-plastic'), by: z.string() }),
  z.strictObject({ code: z.literal('steps-open'), done: z.number().int(), of: z.number().int() }),
  z.strictObject({ code: z.literal('steps-unknown') }),
  z.strictObject({ code: z.literal('changed-since'), revision: z.number().int() }),
  z.strictObject({ code: z.literal('looks-voided'), holes }),
  z.strictObject({ code: z.literal('named-only'), by: z.string(), named: z.string(), holes }),
  z.strictObject({ code: z.literal('sent-by-another'), by: z.string(), sentBy: z.string(), holes }),
  z.strictObject({ code: z.literal('replaced'), was: z.string(), now: z.string(), holes }),
  z.strictObject({ code: z.literal('not-complete'), place: InspectionPlace, holes }),
  z.strictObject({ code: z.literal('not-measured'), holes }),
  z.strictObject({ code: z.literal('not-looked-at'), holes })
]);
/** What whoever signs has to know, and says so: it keeps nothing from being signed. */
export type Told = z.output<typeof Told>;

const FNV_BASIS = 0xcbf29ce484222325n;
const FNV_PRIME = 0x100000001b3n;
const BITS = 64;

/** The same text whatever the order of the fields. */
const written = (told: Told): string =>
  JSON.stringify(told, (_, value: unknown) =>
    typeof value === 'object' && value !== null && !Array.isArray(value)
      ? Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)))
      : value
  );

/** By which a signature names what was told: its code, and a check sum of all that it said. What changes after is not accepted. */
export function toldKey(told: Told): string {
  let sum = FNV_BASIS;
  for (const letter of written(told))
    sum = BigInt.asUintN(BITS, (sum ^ BigInt(letter.codePointAt(0) ?? 0)) * FNV_PRIME);
  return `${told.code} ${sum.toString(16)}`;
}

/** What one sent of another's work, from the browser that the other was signed in on then. */
export interface SentByAnother {
  by: string;
  sentBy: string;
  holes: number[];
}

/** Who sent what of whose work, each pair of people once; holes in order, of what is about none none. */
export function sentByOthers(
  events: readonly { by: string; sentBy?: string; hole?: number | null }[]
): SentByAnother[] {
  const pairs = new Map<string, SentByAnother>();
  for (const { by, sentBy, hole } of events) {
    if (sentBy === undefined) continue;
    const pair = pairs.get(`${by}\n${sentBy}`) ?? { by, sentBy, holes: [] };
    if (typeof hole === 'number' && !pair.holes.includes(hole)) pair.holes.push(hole);
    pairs.set(`${by}\n${sentBy}`, pair);
  }
  return [...pairs.values()].map((pair) => ({
    ...pair,
    holes: pair.holes.sort((a, b) => a - b)
  }));
}

/** Who was named by another as holding gun or bar. */
export interface NamedOnly {
  by: string;
  named: string;
  holes: number[];
}

/** Who was named by whom at which holes, each pair of people once. */
export function namedByOthers(
  events: readonly DriveEvent[],
  nameOf: (person: string) => string
): NamedOnly[] {
  const pairs = namedStill(events).map(({ hole, by, person }) => ({
    by: nameOf(person),
    sentBy: by,
    hole
  }));
  return sentByOthers(pairs).map(({ by, sentBy, holes }) => ({ by: sentBy, named: by, holes }));
}

export interface Missing {
  must: Must[];
  told: Told[];
}

/** Everything that an issue came to, as signing weighs it. */
export interface SignedMatter {
  /** as released */
  issued: Pick<Issue, 'facts' | 'holes'>;
  /** as reworked */
  issue: Pick<Issue, 'facts' | 'holes' | 'heldOpen'>;
  drive: DriveState;
  states: ReadonlyMap<number, HoleState>;
  rework: ReworkState;
  due: NextHead;
  /** heads that stay on the data holder’s word */
  left: ReadonlySet<number>;
  /** rivets replaced in earlier releases, of which this one knows nothing: it was made when releases took nothing over */
  earlier: readonly { release: number; holes: number[] }[];
  /** what it took over from the release before; null for a first one */
  since: SinceRelease | null;
  /** what was sent by another than who did it */
  sent: readonly SentByAnother[];
  /** who was named as holding gun or bar and did not confirm it */
  named: readonly NamedOnly[];
  /** part numbers driven as received before anybody told their lot */
  withoutLot: readonly string[];
  /** runs whose tool has no setting that its first heads released; `tool` null where none was begun */
  settings: readonly { part: string; tool: string | null }[];
  /** steps before driving; null where the joint has changed since */
  steps: { done: number; of: number } | null;
  /** findings of service on the joint, and those of them that are open: they count for no release */
  oldWork: { findings: number; open: number };
  /** the joint's present revision, where it is another than the issue's */
  changedTo: number | null;
}

/** Whether a look read more metal in a head than its rivet had. */
function holdsTooMuch(look: HoleEvent, facts: Issue['facts'], hole: IssuedHole): boolean {
  const predictedIn3 = isMeasured(look) ? predictedHeadIn3(facts, hole) : null;
  return (
    isMeasured(look) &&
    predictedIn3 !== null &&
    isImpossible(headVolumeIn3(look.diameterIn, look.heightIn) / predictedIn3)
  );
}

/** Rivets that were taken out and another put in, by what was released and what is in now: the same again among them. */
function replacedRivets({ facts, holes }: SignedMatter['issued'], rework: ReworkState): Told[] {
  const byParts = new Map<string, Extract<Told, { code: 'replaced' }>>();
  for (const hole of holes) {
    const rivet = rework.holes.get(hole.number)?.rivet;
    if (!rivet) continue;
    const now = rivet.partNumber;
    const was = issuedRivet(facts, hole).partNumber;
    const told = byParts.get(`${was} ${now}`) ?? { code: 'replaced', was, now, holes: [] };
    told.holes.push(hole.number);
    byParts.set(`${was} ${now}`, told);
  }
  return [...byParts.values()];
}

/**
 * What is missing before an issue can be signed, and what whoever signs it has to know.
 *
 * @source handbook 4.8; design: nothing is signed while a question is open
 */
export function missingToSign(matter: SignedMatter): Missing {
  const {
    issued,
    issue,
    drive,
    states,
    rework,
    due,
    left,
    earlier,
    since,
    sent,
    named,
    withoutLot,
    settings,
    steps,
    changedTo,
    oldWork
  } = matter;
  const numbers = issue.holes.map(({ number }) => number);
  const out = emptyHoles(rework);
  const empty = numbers.filter((hole) => out.has(hole));
  const logged = drive.holes.size > 0;
  const isIn = (hole: number) => drive.holes.get(hole)?.driven ?? false;
  const seen = (hole: number) => states.get(hole)?.last ?? null;
  const notDriven = logged
    ? numbers.filter((hole) => !isIn(hole) && !empty.includes(hole) && seen(hole) === null)
    : [];
  const openQuestions = [...rework.referrals.values()].filter(({ answered }) => answered === null);
  // what a head rests on: without some of its looks it would come to something else
  const restsOn = (hole: IssuedHole, which: (look: HoleEvent) => boolean): boolean => {
    const state = states.get(hole.number);
    if (!state?.standing) return false;
    const others = state.counted.filter((look) => !which(look));
    return (
      others.length < state.counted.length &&
      headStanding(others, placesAsked(issue.facts, hole))?.verdict !== state.standing.verdict
    );
  };
  const restingOn = (which: (look: HoleEvent) => boolean): number[] =>
    issue.holes.flatMap((hole) => (restsOn(hole, which) ? [hole.number] : []));
  const simulated = restingOn((look) => isMeasured(look) && look.simulated === true);
  // a driver's tap may come in after their look: what the rule asks is held here once more
  const byDriver = restingOn(({ hole, person }) =>
    checksOwnWork(issue.facts.rules, drive.holes.get(hole)?.people, person)
  );
  const blindsAt = (standing: BlindStanding): number[] =>
    issue.heldOpen.flatMap(({ number, blind }) =>
      blind && blindStanding(rework.blinds.get(number), issue.facts) === standing ? [number] : []
    );
  const answered = (hole: number) => rework.holes.get(hole)?.stage === 'blind';
  const must: Must[] = [
    { code: 'not-driven', holes: notDriven },
    { code: 'holes-empty', holes: empty },
    { code: 'heads-due', holes: due.due.filter((hole) => !empty.includes(hole)) },
    { code: 'heads-bad', holes: due.open.filter((hole) => !empty.includes(hole)) },
    { code: 'heads-simulated', holes: simulated },
    { code: 'heads-by-driver', holes: byDriver },
    { code: 'blinds-bad', holes: blindsAt('bad') },
    { code: 'blinds-not-inspected', holes: blindsAt('not-inspected') },
    // a planned one may go in later: that is told instead
    { code: 'blinds-not-in', holes: blindsAt('not-in').filter((hole) => answered(hole)) }
  ];
  const asked = drivenInQuestion(rework, hitsOf(drive));
  const tooHard = expiredHoles(drive);
  const expired = numbers.filter((hole) => tooHard.has(hole));
  const unseen = numbers.filter(
    (hole) =>
      seen(hole) === null &&
      !due.due.includes(hole) &&
      !notDriven.includes(hole) &&
      !empty.includes(hole)
  );
  const byPlate = numbers.filter((hole) => {
    const standing = states.get(hole)?.standing;
    const good = standing?.verdict === 'accept' || standing?.verdict === 'not-complete';
    return good && standing.cannotTell.length > 0;
  });
  // where the sampling wants the head it is due instead
  const missingAt = (place: InspectionPlace): number[] =>
    numbers.filter((hole) => {
      const standing = states.get(hole)?.standing;
      return (
        standing?.verdict === 'not-complete' &&
        standing.missing.includes(place) &&
        !due.due.includes(hole) &&
        !empty.includes(hole)
      );
    });
  const whenAny = <T extends Told & { holes: number[] }>(told: T): Told[] =>
    told.holes.length > 0 ? [told] : [];
  return {
    must: [
      ...must.filter((one) => one.holes.length > 0),
      ...(openQuestions.length > 0
        ? [
            {
              code: 'referrals-open' as const,
              count: openQuestions.length,
              holes: openQuestions.flatMap(({ hole }) => hole ?? [])
            }
          ]
        : [])
    ],
    told: [
      ...issue.heldOpen.map(({ number: hole, reason, blind }): Told => ({
        code: 'held-open',
        hole,
        reason,
        ...(blind ? { blind: { fastener: blind.fastener, isIn: rework.blinds.has(hole) } } : {})
      })),
      ...(oldWork.findings > 0 ? [{ code: 'old-work' as const, ...oldWork }] : []),
      ...whenAny({ code: 'left-as-is', holes: numbers.filter((hole) => left.has(hole)) }),
      ...earlier.map((one): Told => ({ code: 'earlier-rework', ...one })),
      ...(since === null
        ? []
        : [
            ...whenAny({
              code: 'taken-over',
              release: since.release,
              holes: since.carried.map(({ hole }) => hole)
            }),
            ...whenAny({
              code: 'old-rivets',
              release: since.release,
              holes: since.again.flatMap(({ hole, why, inIt }) =>
                inIt && isAnotherRivet(why) ? [hole] : []
              )
            }),
            ...[...new Set(since.gone.map(({ release }) => release))].map((release): Told => ({
              code: 'gone-since',
              release,
              holes: since.gone.flatMap((one) => (one.release === release ? [one.hole] : []))
            }))
          ]),
      ...(logged ? [] : [{ code: 'driving-not-logged' as const }]),
      ...(withoutLot.length > 0
        ? [{ code: 'lots-not-told' as const, parts: [...withoutLot] }]
        : []),
      ...whenAny({
        code: 'expired',
        holes: expired,
        reasons: [...new Set(expired.flatMap((hole) => drive.holes.get(hole)?.late || []))]
      }),
      ...(drive.objections.size > 0
        ? [
            {
              code: 'driven-against' as const,
              answers: [...drive.objections].map(([key, { answer, why, by }]) => ({
                key,
                answer,
                why,
                by
              }))
            }
          ]
        : []),
      ...whenAny({ code: 'driven-in-question', holes: numbers.filter((hole) => asked.has(hole)) }),
      ...whenAny({
        code: 'more-metal',
        holes: issue.holes.flatMap((hole) =>
          states.get(hole.number)?.ofRivet.some((look) => holdsTooMuch(look, issue.facts, hole))
            ? [hole.number]
            : []
        )
      }),
      ...whenAny({
        code: 'readings-voided',
        holes: numbers.filter((hole) =>
          rework.holes.get(hole)?.readings.some(({ voided }) => voided !== null)
        )
      }),
      ...whenAny({
        code: 'rework-steps-open',
        holes: issue.holes.flatMap((hole) => {
          const worked = rework.holes.get(hole.number);
          return worked?.toDo.some((step) => !worked.steps.includes(step)) ? [hole.number] : [];
        })
      }),
      ...settings.map((setting): Told => ({ code: 'setting-open', ...setting })),
      ...(issue.facts.bound ?? []).map((rule): Told => ({ code: 'bound-rule', ...rule })),
      ...(issue.facts.throughPlastic === null
        ? []
        : [{ code: 'through-plastic' as const, by: issue.facts.throughPlastic }]),
      ...(issue.facts.keptClosed === null
        ? []
        : [{ code: 'kept-closed' as const, by: issue.facts.keptClosed }]),
      ...(steps === null
        ? [{ code: 'steps-unknown' as const }]
        : steps.done < steps.of
          ? [{ code: 'steps-open' as const, ...steps }]
          : []),
      ...(changedTo === null ? [] : [{ code: 'changed-since' as const, revision: changedTo }]),
      ...whenAny({
        code: 'looks-voided',
        holes: numbers.filter((hole) => {
          const state = states.get(hole);
          return state !== undefined && state.valid.length < state.all.length;
        })
      }),
      ...replacedRivets(issued, rework),
      ...named.map((one): Told => ({ code: 'named-only', ...one })),
      ...sent.map((one): Told => ({ code: 'sent-by-another', ...one })),
      ...InspectionPlace.options.flatMap((place) =>
        whenAny({ code: 'not-complete', place, holes: missingAt(place) })
      ),
      ...whenAny({ code: 'not-measured', holes: byPlate }),
      ...whenAny({ code: 'not-looked-at', holes: unseen })
    ]
  };
}
