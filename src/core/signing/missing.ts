import { headVolumeIn3, isImpossible } from '../inspect/head-report.ts';
import { headStanding, placesAsked } from '../inspect/head-standing.ts';
import { isMeasured, type HoleEvent } from '../inspect/hole-events.ts';
import { expiredHoles, hitsOf } from '../driving/drive-events.ts';
import { predictedHeadIn3, type Release, type ReleasedHole } from '../release/release.ts';
import { countRelease } from '../releases/release-count.ts';
import { isAnotherRivet } from '../releases/since-release.ts';
import { blindStanding, type BlindStanding } from '../reworking/blind-rivets.ts';
import { drivenInQuestion } from '../reworking/held-back.ts';
import { releasedRivet } from '../reworking/replaced-rivet.ts';
import type { ReworkState } from '../reworking/rework-state.ts';
import { InspectionPlace } from '../rules/inspection.ts';
import { checksOwnWork } from '../rules/own-work.ts';
import type { SignedMatter } from './signed-matter.ts';
import type { Must, Told } from './told.ts';

export interface Missing {
  must: Must[];
  told: Told[];
}

/** Whether a look read more metal in a head than its rivet had. */
function holdsTooMuch(look: HoleEvent, facts: Release['facts'], hole: ReleasedHole): boolean {
  const predictedIn3 = isMeasured(look) ? predictedHeadIn3(facts, hole) : null;
  return (
    isMeasured(look) &&
    predictedIn3 !== null &&
    isImpossible(headVolumeIn3(look.diameterIn, look.heightIn) / predictedIn3)
  );
}

/** Rivets that were taken out and another put in, by what was released and what is in now: the same again among them. */
function replacedRivets({ facts, holes }: SignedMatter['asReleased'], rework: ReworkState): Told[] {
  const byParts = new Map<string, Extract<Told, { code: 'replaced' }>>();
  for (const hole of holes) {
    const rivet = rework.holes.get(hole.number)?.rivet;
    if (!rivet) continue;
    const now = rivet.partNumber;
    const was = releasedRivet(facts, hole).partNumber;
    const told = byParts.get(`${was} ${now}`) ?? { code: 'replaced', was, now, holes: [] };
    told.holes.push(hole.number);
    byParts.set(`${was} ${now}`, told);
  }
  return [...byParts.values()];
}

/** What both lists rest on. */
function readingOf(matter: SignedMatter) {
  const { release, states } = matter;
  return {
    count: countRelease(matter),
    numbers: release.holes.map(({ number }) => number),
    seen: (hole: number) => states.get(hole)?.last ?? null
  };
}
type Reading = ReturnType<typeof readingOf>;

/** Heads whose verdict rests on some of their looks: without those it would come to something else. */
const restingOn = (
  { release, states }: SignedMatter,
  which: (look: HoleEvent) => boolean
): number[] =>
  release.holes.flatMap((hole) => {
    const state = states.get(hole.number);
    if (!state?.standing) return [];
    const others = state.counted.filter((look) => !which(look));
    const rests =
      others.length < state.counted.length &&
      headStanding(others, placesAsked(release.facts, hole))?.verdict !== state.standing.verdict;
    return rests ? [hole.number] : [];
  });

/** What keeps a release from being signed. */
function mustOf(matter: SignedMatter, { count }: Reading): Must[] {
  const { release, drive, rework } = matter;
  const blindsAt = (standing: BlindStanding): number[] =>
    release.heldOpen.flatMap(({ number, blind }) =>
      blind && blindStanding(rework.blinds.get(number), release.facts) === standing ? [number] : []
    );
  const answered = (hole: number) => rework.holes.get(hole)?.stage === 'blind';
  const must: Must[] = [
    { code: 'not-driven', holes: count.notDriven },
    { code: 'holes-empty', holes: count.empty },
    { code: 'heads-due', holes: count.due },
    { code: 'heads-bad', holes: count.bad },
    {
      code: 'heads-simulated',
      holes: restingOn(matter, (look) => isMeasured(look) && look.simulated === true)
    },
    {
      // a driver's tap may come in after their look: what the rule asks is held here once more
      code: 'heads-by-driver',
      holes: restingOn(matter, ({ hole, person }) =>
        checksOwnWork(release.facts.rules, drive.holes.get(hole)?.people, person)
      )
    },
    { code: 'blinds-bad', holes: blindsAt('bad') },
    { code: 'blinds-not-inspected', holes: blindsAt('not-inspected') },
    // a planned one may go in later: that is told instead
    { code: 'blinds-not-in', holes: blindsAt('not-in').filter(answered) }
  ];
  const questions = [...rework.referrals.values()].filter(({ answered: by }) => by === null);
  return [
    ...must.filter((one) => one.holes.length > 0),
    ...(questions.length > 0
      ? [
          {
            code: 'referrals-open' as const,
            count: questions.length,
            holes: questions.flatMap(({ hole }) => hole ?? [])
          }
        ]
      : [])
  ];
}

/** One that names holes says nothing where it names none. */
const whenAny = <T extends Told & { holes: number[] }>(told: T): Told[] =>
  told.holes.length > 0 ? [told] : [];

/** Open holes, old work, what stays as it is, and what the releases before left. */
function toldOfReleases({ release, rework, left, earlier, since, oldWork }: SignedMatter): Told[] {
  return [
    ...release.heldOpen.map(({ number: hole, reason, blind }): Told => ({
      code: 'held-open',
      hole,
      reason,
      ...(blind ? { blind: { fastener: blind.fastener, isIn: rework.blinds.has(hole) } } : {})
    })),
    ...(oldWork.findings > 0 ? [{ code: 'old-work' as const, ...oldWork }] : []),
    ...whenAny({
      code: 'left-as-is',
      holes: release.holes.flatMap(({ number }) => (left.has(number) ? [number] : []))
    }),
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
        ])
  ];
}

/** How it was driven: not logged, lots, batches that had expired, what was not met, questions that were open. */
function toldOfDriving({ drive, rework, withoutLot }: SignedMatter, { numbers, count }: Reading) {
  const tooHard = expiredHoles(drive);
  const expired = numbers.filter((hole) => tooHard.has(hole));
  const asked = drivenInQuestion(rework, hitsOf(drive));
  const told: Told[] = [
    ...(!count.logged
      ? [{ code: 'driving-not-logged' as const }]
      : count.unlogged.length > 0
        ? [{ code: 'driving-not-logged' as const, holes: count.unlogged }]
        : []),
    ...whenAny({
      code: 'driving-stated',
      holes: numbers.filter((hole) => drive.holes.get(hole)?.stated ?? false)
    }),
    ...(withoutLot.length > 0 ? [{ code: 'lots-not-told' as const, parts: [...withoutLot] }] : []),
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
    ...whenAny({ code: 'driven-in-question', holes: numbers.filter((hole) => asked.has(hole)) })
  ];
  return told;
}

/** Readings to be known of, and steps of rework that nobody ticked. */
const toldOfReadings = (
  { release, states, rework }: SignedMatter,
  { numbers }: Reading
): Told[] => [
  ...whenAny({
    code: 'more-metal',
    holes: release.holes.flatMap((hole) =>
      states.get(hole.number)?.ofRivet.some((look) => holdsTooMuch(look, release.facts, hole))
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
    holes: numbers.filter((hole) => {
      const worked = rework.holes.get(hole);
      return worked?.toDo.some((step) => !worked.steps.includes(step)) ?? false;
    })
  })
];

/** What the release rests on: settings, rules, words of data holders, steps, a joint that has changed. */
function toldOfGrounds({ release, settings, steps, changedTo }: SignedMatter): Told[] {
  const { bound, throughPlastic, keptClosed } = release.facts;
  return [
    ...settings.map((setting): Told => ({ code: 'setting-open', ...setting })),
    ...(bound ?? []).map((rule): Told => ({ code: 'bound-rule', ...rule })),
    ...(throughPlastic === null ? [] : [{ code: 'through-plastic' as const, by: throughPlastic }]),
    ...(keptClosed === null ? [] : [{ code: 'kept-closed' as const, by: keptClosed }]),
    ...(steps === null
      ? [{ code: 'steps-unknown' as const }]
      : steps.done < steps.of
        ? [{ code: 'steps-open' as const, ...steps }]
        : []),
    ...(changedTo === null ? [] : [{ code: 'changed-since' as const, revision: changedTo }])
  ];
}

/** Looks that were voided, rivets replaced, hands that were named or sent for, and what was not looked at. */
function toldOfInspection(
  { asReleased, states, rework, named, sent }: SignedMatter,
  { count, numbers, seen }: Reading
): Told[] {
  const isDue = (hole: number) => count.due.includes(hole);
  const isEmpty = (hole: number) => count.empty.includes(hole);
  // where the sampling wants the head it is due instead
  const missingAt = (place: InspectionPlace): number[] =>
    numbers.filter((hole) => {
      const standing = states.get(hole)?.standing;
      return (
        standing?.verdict === 'not-complete' &&
        standing.missing.includes(place) &&
        !isDue(hole) &&
        !isEmpty(hole)
      );
    });
  return [
    ...whenAny({
      code: 'looks-voided',
      holes: numbers.filter((hole) => {
        const state = states.get(hole);
        return state !== undefined && state.valid.length < state.all.length;
      })
    }),
    ...replacedRivets(asReleased, rework),
    ...named.map((one): Told => ({ code: 'named-only', ...one })),
    ...sent.map((one): Told => ({ code: 'sent-by-another', ...one })),
    ...InspectionPlace.options.flatMap((place) =>
      whenAny({ code: 'not-complete', place, holes: missingAt(place) })
    ),
    ...whenAny({
      code: 'not-measured',
      holes: numbers.filter((hole) => {
        const standing = states.get(hole)?.standing;
        const good = standing?.verdict === 'accept' || standing?.verdict === 'not-complete';
        return good && standing.cannotTell.length > 0;
      })
    }),
    ...whenAny({
      code: 'not-looked-at',
      holes: numbers.filter(
        (hole) =>
          seen(hole) === null && !isDue(hole) && !count.notDriven.includes(hole) && !isEmpty(hole)
      )
    })
  ];
}

/**
 * What is missing before a release can be signed, and what whoever signs it has to know.
 *
 * @source record: nothing is signed while a question is open
 */
export function missingToSign(matter: SignedMatter): Missing {
  const reading = readingOf(matter);
  return {
    must: mustOf(matter, reading),
    told: [
      ...toldOfReleases(matter),
      ...toldOfDriving(matter, reading),
      ...toldOfReadings(matter, reading),
      ...toldOfGrounds(matter),
      ...toldOfInspection(matter, reading)
    ]
  };
}
