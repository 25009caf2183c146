import type { Finding, HeadVerdict } from '../inspect/findings.ts';
import { placesAsked } from '../inspect/head-standing.ts';
import { holeStateOf, isMeasured, verdictNow, type HoleEvent } from '../inspect/hole-events.ts';
import type { DriveEvent } from '../driving/drive-events.ts';
import { asHappened } from '../events/as-happened.ts';
import { lotsTold } from '../driving/lots-told.ts';
import { lotAt, type LotTold } from '../driving/rivet-lots.ts';
import { drivenAt } from '../driving/drive-move.ts';
import { rivetOfHole, type HoleRivet } from '../driving/rivet-of-hole.ts';
import { runKey } from '../driving/rivet-runs.ts';
import type { Release, ReleasedHole } from '../release/release.ts';
import { askedInstead } from '../reworking/held-back.ts';
import { asReworked, type HoleRework, type ReworkState } from '../reworking/rework-state.ts';

/** What is known of one rivet: which, by whom, with what, and what was found of its head. */
export interface RivetRecord {
  hole: number;
  /** 0: the first rivet of the hole, 1: the one after it was taken out, … */
  life: number;
  partNumber: string;
  /** when it was first hit, or where driving was not logged first looked at */
  at: string;
  /** when it was first hit; null where driving was not logged */
  drivenAt: string | null;
  /** when its head was looked at last; null where nobody has */
  lookedAt: string | null;
  /** when it was taken out; null while it is in */
  outAt: string | null;
  /** people by their ids: who drove it, who looked at it */
  drove: string[];
  looked: string[];
  /** who sent a hit or a look that another did, by their names */
  sentBy: string[];
  /** the cold batch that it came from, by its id */
  batch: string | null;
  /** the batch’s lot, or the one told for rivets driven as received; null where nobody told */
  lot: string | null;
  /** the setting of a tool that its run stood under when it was driven, by its id */
  setting: string | null;
  /** what its looks come to together; null where nothing says what becomes of it */
  verdict: HeadVerdict | null;
  /** everything that any look found */
  findings: Finding[];
  /** of the last look that measured, D */
  diameterD: number | null;
  heightD: number | null;
}

/** A setting of a tool as far as it matters which rivets it made. */
export interface SettingSpan {
  id: string;
  /** the run that it was made for */
  run: string | null;
  begunAt: string;
  /** null while it stands */
  withdrawnAt: string | null;
}

/** Everything that was logged of some holes of a release. */
export interface RivetSources {
  release: Pick<Release, 'facts' | 'holes' | 'heldOpen'>;
  rework: ReworkState;
  driving: readonly (DriveEvent & { sentBy?: string })[];
  heads: readonly (HoleEvent & { sentBy?: string })[];
  /** lots of cold batches, by the batch’s id */
  batchLots: ReadonlyMap<string, string>;
  /** of the joint */
  settings: readonly SettingSpan[];
}

/** From when to when one rivet was in a hole, ms since 1970. */
interface Life {
  fromMs: number;
  outAt: number | null;
}

/** The rivets that were in a hole one after the other; the hole of a blind fastener has none since. */
function livesOf(rework: HoleRework | undefined): Life[] {
  const chain: HoleRework[] = [];
  for (let one = rework ?? null; one !== null; one = one.before)
    if (one.outAt !== null) chain.unshift(one);
  const lives: Life[] = [{ fromMs: -Infinity, outAt: chain[0]?.outAt ?? null }];
  chain.forEach(({ readyAt, blind }, at) => {
    if (readyAt !== null && blind === null)
      lives.push({ fromMs: readyAt, outAt: chain[at + 1]?.outAt ?? null });
  });
  return lives;
}

/** Events of each of the lives of a hole; as they happened, and so they stay. */
function byLife<E extends { at: string }>(
  lives: readonly Life[],
  events: readonly E[]
): (readonly E[])[] {
  if (lives.length === 1) return [events];
  const of = lives.map((): E[] => []);
  for (const event of events) {
    const atMs = Date.parse(event.at);
    of[lives.findLastIndex(({ fromMs }) => fromMs <= atMs)]?.push(event);
  }
  return of;
}

type Hit = Extract<DriveEvent, { kind: 'driven' }> & { sentBy?: string };

/** The hits that count: one that was taken back does not. */
function hitsOf(events: readonly DriveEvent[]): Hit[] {
  const hits: Hit[] = [];
  for (const event of events)
    if (event.kind === 'driven') hits.push(event);
    else if (event.kind === 'undriven') hits.pop();
  return hits;
}

/** Its batch had expired at one of its hits. */
const isExpired = (hits: readonly Hit[]): boolean =>
  hits.some(({ frozen }) => frozen.cold === 'expired');

/** Each once, in the order they came. */
const once = <T>(all: readonly (T | undefined)[]): T[] => [
  ...new Set(all.filter((one) => one !== undefined))
];

/** A reading by a device that does not exist is practice; one taken over is on record where it was taken. */
const counts = (event: HoleEvent): boolean =>
  !(isMeasured(event) && event.simulated === true) && event.carried === undefined;
const tapCounts = (event: DriveEvent): event is Extract<DriveEvent, { hole: number }> =>
  'hole' in event && !(event.kind === 'driven' && event.carried !== undefined);

/** The setting that a run stood under at an instant: the latest that was begun and not withdrawn; null where none was. */
export function settingAt(
  rivet: Pick<HoleRivet, 'partNumber' | 'dimpledThrough'>,
  settings: readonly SettingSpan[],
  at: string
): string | null {
  const atMs = Date.parse(at);
  const stood = settings.filter(
    ({ run, begunAt, withdrawnAt }) =>
      run === runKey(rivet) &&
      Date.parse(begunAt) <= atMs &&
      (withdrawnAt === null || Date.parse(withdrawnAt) > atMs)
  );
  return stood.sort((a, b) => Date.parse(b.begunAt) - Date.parse(a.begunAt))[0]?.id ?? null;
}

/**
 * What is known of each rivet that was driven or looked at in some holes of a release, rivets taken out since among them.
 *
 * @param holes by their numbers
 * @returns by hole, then in the order they were in
 * @throws never
 * @source record: what a record holds
 */
export function rivetRecords(sources: RivetSources, holes: Iterable<number>): RivetRecord[] {
  const wanted = new Set(holes);
  const { voidedLooks } = sources.rework;
  const taps = grouped(asHappened(sources.driving), wanted, tapCounts);
  const looks = grouped(
    asHappened(sources.heads),
    wanted,
    (look): look is HoleEvent => counts(look) && !voidedLooks.has(look.id)
  );
  const told = lotsTold(sources.driving);
  const asked = askedInstead(sources.rework);
  const records: RivetRecord[] = [];
  for (const hole of [...sources.release.holes].sort((a, b) => a.number - b.number)) {
    const { number } = hole;
    if (wanted.has(number))
      addHole(
        records,
        sources,
        { hole, told, isAsked: asked.has(number) },
        taps.get(number) ?? [],
        looks.get(number) ?? []
      );
  }
  return records;
}

function grouped<All, E extends All & { hole: number }>(
  events: readonly All[],
  wanted: ReadonlySet<number>,
  belongs: (event: All) => event is E
): Map<number, E[]> {
  const groups = new Map<number, E[]>();
  for (const event of events) {
    if (!belongs(event) || !wanted.has(event.hole)) continue;
    const group = groups.get(event.hole);
    if (group) group.push(event);
    else groups.set(event.hole, [event]);
  }
  return groups;
}

interface HoleAsked {
  hole: ReleasedHole;
  told: readonly LotTold[];
  /** it is asked about instead of being replaced */
  isAsked: boolean;
}

function addHole(
  records: RivetRecord[],
  { release, rework, batchLots, settings }: RivetSources,
  { hole, told, isAsked }: HoleAsked,
  taps: readonly DriveEvent[],
  heads: readonly (HoleEvent & { sentBy?: string })[]
): void {
  const { number } = hole;
  const worked = rework.holes.get(number);
  const lives = livesOf(worked);
  // this hole alone: the others have no say in it, and there may be thousands
  const alone = { facts: release.facts, holes: [hole], heldOpen: [] };
  const itsRework = worked && { ...rework, holes: new Map([[number, worked]]) };
  const tapsOf = byLife(lives, taps);
  const looksOf = byLife(lives, heads);
  const asked = placesAsked(release.facts, hole);
  lives.forEach(({ outAt }, life) => {
    const hits = hitsOf(tapsOf[life] ?? []);
    const looks = looksOf[life] ?? [];
    const [first] = hits;
    const hit = hits.at(-1);
    const at = first?.at ?? looks[0]?.at;
    if (at === undefined) return;
    const then = itsRework ? asReworked(alone, itsRework, Date.parse(at)) : alone;
    const [asReleased] = then.holes;
    if (!asReleased) return;
    const rivet = rivetOfHole(then.facts, asReleased);
    const partNumber = first?.frozen.partNumber ?? rivet.partNumber;
    const batch = first?.batch ?? null;
    const measured = looks.findLast(({ frozen }) => frozen.diameterD !== null);
    const state = holeStateOf(number, looks, {
      hitMs: hit && Date.parse(drivenAt(hit)),
      expired: isExpired(hits),
      askedInstead: outAt === null && isAsked,
      asked
    });
    records.push({
      hole: number,
      life,
      partNumber,
      at,
      drivenAt: first ? drivenAt(first) : null,
      lookedAt: looks.at(-1)?.at ?? null,
      outAt: outAt === null ? null : new Date(outAt).toISOString(),
      drove: once(hits.flatMap(({ hands, person }) => (hands ? [hands.gun, hands.bar] : [person]))),
      looked: once(looks.map(({ person }) => person)),
      sentBy: once([...hits, ...looks].map((event) => event.sentBy)),
      batch,
      lot:
        batch === null
          ? first === undefined
            ? null
            : lotAt(told, partNumber, Date.parse(drivenAt(first)))
          : (batchLots.get(batch) ?? null),
      setting: first === undefined ? null : settingAt(rivet, settings, drivenAt(first)),
      verdict: verdictNow(state),
      findings: once(looks.flatMap(({ frozen }) => frozen.findings)),
      diameterD: measured?.frozen.diameterD ?? null,
      heightD: measured?.frozen.heightD ?? null
    });
  });
}
