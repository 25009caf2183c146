import { z } from 'zod';
import { answer, workLine, type Answer } from '../answer.ts';
import { MOST_HOLES } from '../schema/fields.ts';

const HoleNumber = z.int('a hole number is whole').min(1, 'hole numbers begin at 1');
const holes = z.array(HoleNumber).max(MOST_HOLES, `at most ${MOST_HOLES} holes`);

export const SamplingDueInput = z
  .strictObject({
    order: holes.min(1, 'at least one hole is needed'),
    plan: z.discriminatedUnion('kind', [
      z.strictObject({ kind: z.literal('all') }),
      z.strictObject({
        kind: z.literal('first-then-every'),
        first: z.int('how many first is whole').min(1, 'at least the first head is inspected'),
        every: z.int('every which is whole').min(2, 'every second one at the most')
      })
    ]),
    tighten: z.int('how many good in a row is whole').min(1, 'at least one good head').default(5),
    checked: z
      .array(z.strictObject({ hole: HoleNumber, good: z.boolean('good is true or false') }))
      .max(10 * MOST_HOLES),
    driven: holes.optional()
  })
  .superRefine(({ order, checked, driven }, context) => {
    const known = new Set(order);
    const there = new Set(driven ?? order);
    const complain = (path: PropertyKey[], message: string) =>
      context.addIssue({ code: 'custom', path, message });
    if (known.size !== order.length) complain(['order'], 'a hole stands in the order twice');
    driven?.forEach((hole, at) => {
      if (!known.has(hole)) complain(['driven', at], `hole ${hole} is not in the order`);
    });
    checked.forEach(({ hole }, at) => {
      if (!known.has(hole)) complain(['checked', at, 'hole'], `hole ${hole} is not in the order`);
      else if (!there.has(hole))
        complain(['checked', at, 'hole'], `hole ${hole} is not driven yet`);
    });
  });
export type SamplingDueInput = z.output<typeof SamplingDueInput>;

export const SamplingDueResult = z.strictObject({
  due: z.array(z.number().int()),
  next: z.number().int().nullable(),
  reason: z.enum(['near-a-bad-one', 'plan']).nullable(),
  open: z.array(z.number().int()),
  required: z.number().int(),
  looked: z.number().int()
});
export type SamplingDueResult = z.infer<typeof SamplingDueResult>;

type Plan = SamplingDueInput['plan'];

const byPlan = (plan: Plan, place: number, last: number): boolean =>
  plan.kind === 'all' ||
  place < plan.first ||
  place === last ||
  (place - plan.first + 1) % plan.every === 0;

/** What is known of the hole at a place of the order. */
interface Looks {
  driven: boolean;
  /** its last look; undefined while nobody looked */
  last: boolean | undefined;
  everBad: boolean;
}

/** Walks from a bad hole to one side; every hole met is required, the one that ends the walk too. */
function walk(
  looks: readonly Looks[],
  from: number,
  step: 1 | -1,
  tighten: number,
  required: Set<number>
): void {
  let good = 0;
  for (let place = from + step; place >= 0 && place < looks.length; place += step) {
    required.add(place);
    const { driven, last, everBad } = looks[place] as Looks;
    if (!driven) continue;
    if (everBad || last === undefined) return;
    good += 1;
    if (good === tighten) return;
  }
}

/** What is known of the holes, in the order driven. */
function looksOf({ order, checked, driven: told }: SamplingDueInput): Looks[] {
  const driven = new Set(told ?? order);
  const lastLook = new Map<number, boolean>();
  const bad = new Set<number>();
  for (const { hole, good } of checked) {
    lastLook.set(hole, good);
    if (!good) bad.add(hole);
  }
  return order.map((hole): Looks => ({
    driven: driven.has(hole),
    last: lastLook.get(hole),
    everBad: bad.has(hole)
  }));
}

/** The places that are wanted, and those of them that a walk from a bad one wants. */
function wantedPlaces(
  looks: readonly Looks[],
  plan: Plan,
  tighten: number
): { required: number[]; walked: ReadonlySet<number> } {
  const walked = new Set<number>();
  looks.forEach(({ everBad }, place) => {
    if (!everBad) return;
    walk(looks, place, 1, tighten, walked);
    walk(looks, place, -1, tighten, walked);
  });
  const required = looks.flatMap((_, place) =>
    walked.has(place) || byPlan(plan, place, looks.length - 1) ? [place] : []
  );
  return { required, walked };
}

/**
 * The heads that are wanted at all, looked at or not, in driving order; `near` those that a bad one nearby asks for.
 *
 * @source inspect; calculation `sampling-due`
 */
export function wantedHeads(input: SamplingDueInput): { wanted: number[]; near: Set<number> } {
  const { required, walked } = wantedPlaces(looksOf(input), input.plan, input.tighten);
  const holeAt = (place: number): number => input.order[place] ?? 0;
  return { wanted: required.map(holeAt), near: new Set([...walked].map(holeAt)) };
}

/**
 * Which heads must still be looked at: by the sampling plan, and outwards from every bad one until enough in a row are
 * good.
 *
 * @param input holes in driving order; looks in the order they were made
 * @returns `due` in driving order; `next` a neighbor of a bad one first; `open` holes whose last look is bad
 * @throws never
 * @source inspect; calculation `sampling-due`
 * @example sampling-due {"order":[4,5,6,7,8,9],"plan":{"kind":"first-then-every","first":2,"every":3},"checked":[{"hole":4,"good":true}]} -> {"due":[5,8,9],"next":5,"reason":"plan"}
 */
export function samplingDue(input: SamplingDueInput): Answer<SamplingDueResult> {
  const { order, plan, tighten } = input;
  const looks = looksOf(input);
  const { required, walked } = wantedPlaces(looks, plan, tighten);
  const bad = looks.filter(({ everBad }) => everBad);
  const holeAt = (place: number): number => order[place] ?? 0;
  const duePlaces = required.filter(
    (place) => looks[place]?.driven && looks[place].last === undefined
  );
  const near = duePlaces.find((place) => walked.has(place));
  const nextPlace = near ?? duePlaces[0];
  const looked = required.filter((place) => looks[place]?.last !== undefined).length;
  return answer(
    {
      due: duePlaces.map(holeAt),
      next: nextPlace === undefined ? null : holeAt(nextPlace),
      reason: near !== undefined ? 'near-a-bad-one' : nextPlace === undefined ? null : 'plan',
      open: order.filter((_, place) => looks[place]?.last === false),
      required: required.length,
      looked
    },
    [
      workLine(
        'required by the plan',
        plan.kind === 'all'
          ? 'all'
          : `the first ${plan.first}, then every ${plan.every}th, and the last`,
        order.filter((_, place) => byPlan(plan, place, order.length - 1)).length,
        'heads'
      ),
      workLine(
        'wanted round bad ones',
        `outwards from ${bad.length} bad until ${tighten} in a row are good`,
        walked.size,
        'heads'
      ),
      workLine('inspected', `of ${required.length} required`, looked, 'heads')
    ]
  );
}
