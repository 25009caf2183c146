import { nominalHead } from '$core/catalog/head-limits.ts';
import { rivetSize } from '$core/catalog/rivets.ts';
import {
  CRITERIA,
  EnteredCoupon,
  readCoupon,
  type CouponProblem,
  type Criterion
} from '$core/grading/coupon.ts';
import { gradeCoupon, type GradedCoupon } from '$core/grading/grade-coupon.ts';
import { writeDecimal } from '$core/units/format-length.ts';
import { keepCouponAt, type KeptCoupon } from '$lib/api/grading.ts';
import { call } from '$lib/client/call';
import { KeptFields } from '$lib/client/kept-fields.svelte';
import { COUPON_PROBLEMS, couponPath } from '$lib/words/grading';

type EnteredCriterion = EnteredCoupon['criteria'][number];

const USUAL_POINTS: Record<Criterion, string> = {
  edge: '20',
  pitch: '20',
  diameter: '20',
  height: '20',
  flushness: '20'
};
const inches = (valueIn: number) => writeDecimal(valueIn, 3, 4);

function blankCriterion(key: Criterion, dash: EnteredCoupon['dash']): EnteredCriterion {
  const { wideIn, highIn } = nominalHead(rivetSize(dash).diameterIn);
  const expected = {
    edge: '',
    pitch: '',
    diameter: inches(wideIn),
    height: inches(highIn),
    flushness: '0'
  };
  return { key, expected: expected[key], limit: '', points: USUAL_POINTS[key], readings: [] };
}

const blank = (): EnteredCoupon => ({
  name: '',
  student: '',
  head: 'universal',
  dash: 4,
  places: 6,
  criteria: [blankCriterion('diameter', 4), blankCriterion('height', 4)],
  agreeWithin: '0.002',
  measuringPoints: '10'
});

/** One coupon on the page: as typed, graded as far as it can be, kept in this browser until the server has it. */
export class CouponDesk {
  entered = $state.raw<EnteredCoupon>(blank());
  refusal = $state('');
  /** somebody else has kept it meanwhile */
  stale = $state(false);
  saving = $state(false);
  saved = $state(true);
  #revision = $state(0);
  readonly #draft: KeptFields;

  constructor(
    readonly id: string,
    kept: KeptCoupon | null
  ) {
    this.#revision = kept?.revision ?? 0;
    if (kept) this.entered = kept.coupon;
    this.#draft = new KeptFields(`coupon.${id}`);
  }

  /** is there anything of it on the server */
  get isKept(): boolean {
    return this.#revision > 0;
  }
  readonly read = $derived.by(() => readCoupon(this.entered));
  readonly graded = $derived.by((): GradedCoupon | null =>
    this.read.ok ? gradeCoupon(this.read.coupon) : null
  );
  /** what keeps it from being graded, in words */
  readonly problems = $derived.by((): string[] =>
    this.read.ok
      ? []
      : [...this.read.problems].map(
          ([path, problem]) => `${couponPath(path)}: ${COUPON_PROBLEMS[problem]}`
        )
  );
  problemAt(path: string): CouponProblem | undefined {
    return this.read.ok ? undefined : this.read.problems.get(path);
  }

  edit(change: Partial<EnteredCoupon>): void {
    this.entered = { ...this.entered, ...change };
    this.saved = false;
    this.#draft.type('coupon', JSON.stringify(this.entered));
    this.#draft.type('revision', String(this.#revision));
  }
  /** Another size: what is expected of its heads follows, where nobody typed anything else. */
  resize(dash: EnteredCoupon['dash']): void {
    const usual = (key: Criterion, of: EnteredCoupon['dash']) => blankCriterion(key, of).expected;
    this.edit({
      dash,
      criteria: this.entered.criteria.map((one) =>
        one.expected === usual(one.key, this.entered.dash)
          ? { ...one, expected: usual(one.key, dash) }
          : one
      )
    });
  }
  editCriterion(key: Criterion, change: Partial<EnteredCriterion>): void {
    this.edit({
      criteria: this.entered.criteria.map((one) => (one.key === key ? { ...one, ...change } : one))
    });
  }
  /** what was typed of criteria that were taken out: chosen again they stand as they were */
  readonly #aside = new Map<Criterion, EnteredCriterion>();

  /** Graded by these and no others. */
  choose(keys: readonly Criterion[]): void {
    const { criteria, dash } = this.entered;
    for (const one of criteria) this.#aside.set(one.key, one);
    this.edit({
      criteria: CRITERIA.filter((key) => keys.includes(key)).map(
        (key) =>
          criteria.find((one) => one.key === key) ??
          this.#aside.get(key) ??
          blankCriterion(key, dash)
      )
    });
  }
  reading(key: Criterion, at: number, who: 'student' | 'instructor', text: string): void {
    const criterion = this.entered.criteria.find((one) => one.key === key);
    if (!criterion) return;
    const readings = Array.from(
      { length: Math.max(at + 1, criterion.readings.length) },
      (_, place) => criterion.readings[place] ?? { student: '', instructor: '' }
    );
    const before = readings[at] ?? { student: '', instructor: '' };
    readings[at] = { ...before, [who]: text };
    this.editCriterion(key, { readings });
  }

  /** What this browser still has of it from before. */
  async restore(): Promise<void> {
    await this.#draft.restore();
    const draft = this.#draft.of('coupon');
    if (draft === undefined) return;
    try {
      this.entered = draftOf(draft);
      this.saved = false;
      // somebody may have kept another since: that is found when this one is kept
      this.#revision = Number(this.#draft.of('revision') ?? this.#revision);
    } catch {
      this.refusal = 'The saved copy of this coupon in this browser cannot be read.';
    }
  }

  /** Lets go of what was typed here, for what somebody else has kept. */
  forget(): void {
    this.#draft.clear('coupon', 'revision');
  }

  async save(): Promise<void> {
    this.saving = true;
    this.refusal = '';
    const sent = this.entered;
    const reply = await call(
      keepCouponAt,
      { coupon: this.id },
      { revision: this.#revision, coupon: sent }
    );
    this.saving = false;
    if (!reply.reached) this.refusal = 'Offline. Kept in this browser; save again later.';
    else if (!reply.ok) {
      this.refusal = reply.message;
      this.stale = reply.status === 409;
    } else {
      this.#revision = reply.value.revision;
      if (this.entered === sent) {
        this.saved = true;
        this.#draft.clear('coupon', 'revision');
      }
    }
  }
}

/** A draft has no name perhaps: it is no coupon that could be kept, and yet what was typed. */
const Draft = EnteredCoupon.extend({
  name: EnteredCoupon.shape.name.or(EnteredCoupon.shape.agreeWithin),
  student: EnteredCoupon.shape.student.or(EnteredCoupon.shape.agreeWithin)
});
const draftOf = (text: string): EnteredCoupon => Draft.parse(JSON.parse(text));
