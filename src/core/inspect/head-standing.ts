import { flushAt } from '../release/flush-at.ts';
import type { ReleasedFacts, ReleasedHole } from '../release/release.ts';
import type { InspectionPlace } from '../rules/inspection.ts';
import { HeadVerdict, isBad, type Finding } from './findings.ts';
import type { CannotTell, HeadJudged } from './head-judged.ts';
import type { HoleEvent } from './hole-look.ts';

/** What every look at one rivet comes to together. */
export interface HeadStanding {
  verdict: HeadVerdict;
  /** the look that decides: the gravest, else the latest that measured */
  decisive: HoleEvent;
  /** what was asked for and no look has told */
  missing: readonly InspectionPlace[];
  /** each once, as they were found */
  findings: Finding[];
  /** what no look has settled */
  cannotTell: CannotTell[];
}

/**
 * What is asked for of the rivet in one hole before its inspection is complete: its shop head by size, and what the shop's rule
 * adds. Releases that do not hold their rules promised the shop head alone.
 *
 * @source inspect: a driven rivet is looked at in three places; flush heads for flushness
 */
export const placesAsked = (
  facts: Pick<ReleasedFacts, 'head' | 'rules'>,
  hole: Pick<ReleasedHole, 'dash' | 'room'>
): readonly InspectionPlace[] => [
  'shop',
  ...(facts.rules?.inspect ?? []).filter(
    (place) => place !== 'flush' || flushAt(facts, hole) !== null
  )
];

const OF_SIZE: ReadonlySet<CannotTell> = new Set<CannotTell>([
  'short-of-metal',
  'over-driven',
  'too-narrow',
  'too-low',
  'within-uncertainty'
]);
const AT_A_LIMIT: ReadonlySet<Finding> = new Set<Finding>(['under-driven', 'too-long']);

/** Whether a size was tried and does not tell on which side of a limit the head is. */
const leavesSizeOpen = ({ verdict, cannotTell, findings }: HeadJudged): boolean =>
  verdict === 'measure' &&
  (cannotTell.some((one) => OF_SIZE.has(one)) || findings.some((one) => AT_A_LIMIT.has(one)));

const triedSize = ({ kind }: HoleEvent): boolean => kind !== 'eyed';
const leavesFlushOpen = ({ cannotTell }: HeadJudged): boolean =>
  cannotTell.includes('not-flush-high');

/** The places that one look has told of. */
function placesTold(look: HoleEvent): InspectionPlace[] {
  const told: InspectionPlace[] = [];
  if (triedSize(look) && !leavesSizeOpen(look.frozen)) told.push('shop');
  // the eye alone never says that a shop head is good
  for (const place of look.clean ?? []) if (place !== 'shop') told.push(place);
  if (look.flush !== undefined && !leavesFlushOpen(look.frozen)) told.push('flush');
  return told;
}

/** What a plate or a slip left open and nothing closer has settled. */
function openStill(looks: readonly HoleEvent[]): CannotTell[] {
  const isFlush = (one: CannotTell) => one === 'not-flush-high' || one === 'not-flush-low';
  const sized = looks.some(({ kind, frozen }) => kind === 'checked' && !leavesSizeOpen(frozen));
  const flushed = looks.some(({ flush }) => flush?.by === 'number');
  const all = new Set(looks.flatMap(({ frozen }) => frozen.cannotTell));
  return [...all].filter((one) => (isFlush(one) ? !flushed : !sized));
}

const latest = (looks: readonly HoleEvent[]): HoleEvent | undefined => looks.at(-1);

/**
 * What the looks at one rivet come to together. They add up: one side by one person, the other by another. The gravest governs,
 * whichever was taken last; what no look has told is missing, and with something missing a head is never good.
 *
 * @param looks at one rivet since it was driven last, as they were taken; none voided
 * @returns null where there are none
 * @throws never
 * @source inspect; the last reading is no better than the worst
 */
export function headStanding(
  looks: readonly HoleEvent[],
  asked: readonly InspectionPlace[]
): HeadStanding | null {
  const last = latest(looks);
  if (!last) return null;
  const gravity = ({ frozen }: HoleEvent) => HeadVerdict.options.indexOf(frozen.verdict);
  const worst = looks.reduce((worst, look) => (gravity(look) >= gravity(worst) ? look : worst));
  const told = new Set(looks.flatMap(placesTold));
  const missing = asked.filter((place) => !told.has(place));
  const common = {
    missing,
    findings: [...new Set(looks.flatMap(({ frozen }) => frozen.findings))],
    cannotTell: openStill(looks)
  };
  if (isBad(worst.frozen.verdict))
    return { verdict: worst.frozen.verdict, decisive: worst, ...common };
  const inVain = looks.filter(
    (look) =>
      (!told.has('shop') && triedSize(look)) ||
      (!told.has('flush') && look.flush !== undefined && leavesFlushOpen(look.frozen))
  );
  const measured = latest(looks.filter((look) => triedSize(look))) ?? last;
  const tried = latest(inVain);
  return tried
    ? { verdict: 'measure', decisive: tried, ...common }
    : {
        verdict: missing.length > 0 ? 'not-complete' : 'accept',
        decisive: measured,
        ...common
      };
}
