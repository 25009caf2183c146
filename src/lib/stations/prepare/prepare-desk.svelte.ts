import { CONNECTION } from '$lib/words/connection.ts';
import { getContext, setContext } from 'svelte';
import { SvelteMap } from 'svelte/reactivity';
import { z } from 'zod';
import type { Joint } from '$core/kinds/joint.ts';
import type { Plan } from '$core/plan/plan-shape.ts';
import type { TimedWork } from '$core/prepare/operations.ts';
import {
  LONGEST_WORK_S,
  readyProgress,
  stepStream,
  type ReadyEvent,
  type ReadyMove,
  type StepStandings
} from '$core/prepare/progress.ts';
import type { RuleProfile } from '$core/rules/profile.ts';
import type { ShopFigures } from '$core/prepare/shop-figures.ts';
import type { ReadyStep } from '$core/prepare/step-list.ts';
import type { StepCageLine } from '$lib/setting-view';
import { setShopFiguresAt } from '$lib/api/shop.ts';
import { call } from '../../client/call';
import { EventStore } from '../../client/event-store.svelte';
import { Kept } from '../../client/kept';

/** A joint whose steps are counted. */
interface CountedJoint {
  definition: Joint;
  plan: Plan;
  profile: RuleProfile;
}

/** Typing pauses for less than this between two keys. */
const STILL_MS = 300;

const Begun = z.record(z.string(), z.number());
const worksOf = (moves: readonly ReadyMove[]): TimedWork[] =>
  moves.flatMap(({ timed, done }) => (done && timed ? [timed] : []));

/** Ticks of one joint before driving: those stored, and those still on their way. */
export class PrepareDesk {
  figures = $state.raw<ShopFigures>() as ShopFigures;
  /** why the shop's figures were not kept */
  figuresRefusal = $state('');
  readonly desk: EventStore<unknown, ReadyMove, null, StepStandings>;
  /** when someone began to time a step, in milliseconds; kept over a reload */
  readonly begun = new SvelteMap<string, number>();
  #keptBegun: Kept<typeof Begun>;
  #counting: ReturnType<typeof setTimeout> | undefined;
  #counted = $state.raw<readonly ReadyStep[] | null>(null);
  /** steps as counted last, and how many of them are done; null where the joint is not planned */
  readonly told = $derived.by(() => {
    const steps = this.#counted;
    return steps && { steps: steps.length, done: readyProgress(steps, this.state).doneSteps };
  });
  #othersRecorded: TimedWork[];
  #since: (events: readonly ReadyEvent[]) => ReadyEvent[];
  /** settings of cages for this joint, the latest first */
  readonly cages: readonly StepCageLine[];

  constructor(
    jointId: string,
    ready: {
      events: ReadyEvent[];
      figures: ShopFigures;
      recorded: TimedWork[];
      cages: StepCageLine[];
    },
    by: string
  ) {
    this.figures = ready.figures;
    this.#othersRecorded = ready.recorded;
    this.cages = ready.cages;
    this.#keptBegun = new Kept(`timing.${jointId}`, Begun);
    const before = new Set(ready.events.map(({ id }) => id));
    this.desk = new EventStore(stepStream, () => null, {
      subjectId: jointId,
      stored: ready.events,
      by,
      unsent: null
    });
    this.#since = (events) => events.filter(({ id }) => !before.has(id));
  }

  get outbox() {
    return this.desk.outbox;
  }
  get state(): StepStandings {
    return this.desk.state;
  }
  /** Times taken by anyone, and in this browser since it was opened. */
  readonly recorded = $derived.by((): TimedWork[] => [
    ...this.#othersRecorded,
    ...worksOf(this.#since(this.desk.events))
  ]);

  /**
   * Counts the steps of a joint as it is now, once it has stood still for a moment: the station line wants no more, and
   * nobody at another station is to wait for it.
   */
  count(joint: CountedJoint | null): void {
    clearTimeout(this.#counting);
    if (joint === null) this.#counted = null;
    else
      this.#counting = setTimeout(() => {
        // without its code, while the server is away, nothing is counted
        void import('$core/prepare/ready-plan.ts').then(
          ({ readyPlan }) => {
            this.#counted = readyPlan(
              joint.definition,
              joint.plan,
              joint.profile,
              this.figures,
              this.recorded
            ).steps;
          },
          () => (this.#counted = null)
        );
      }, STILL_MS);
  }

  /** Begins to time a step. */
  begin(step: ReadyStep): void {
    this.begun.set(step.key, Date.now());
    this.#storeBegun();
  }

  /** Ticks a step, or one hole of it; a step that was being timed ends with that. */
  tick(step: ReadyStep, hole: number | null, done: boolean): void {
    const begun = hole === null ? this.begun.get(step.key) : undefined;
    if (begun !== undefined) {
      this.begun.delete(step.key);
      this.#storeBegun();
    }
    const seconds = begun === undefined ? 0 : (Date.now() - begun) / 1000;
    this.desk.add({
      kind: 'ticked',
      step: step.key,
      hole,
      of: step.count,
      done,
      rests: hole === null ? step.rests.whole : (step.rests.holes.get(hole) ?? ''),
      timed:
        // a watch that was left running over night tells nothing
        done && seconds > 0 && seconds <= LONGEST_WORK_S && step.count > 0
          ? { op: step.said.op, count: step.count, seconds }
          : null
    });
  }

  async setFigures(figures: Omit<ShopFigures, 'tools' | 'plates'>): Promise<boolean> {
    const { times, holders, recheckEvery } = this.figures;
    const was = { times, holders, recheckEvery };
    const reply = await call(setShopFiguresAt, undefined, { was, now: figures });
    if (reply.reached && reply.ok) {
      this.figures = reply.value;
      this.figuresRefusal = '';
      return true;
    }
    this.figuresRefusal = reply.reached ? reply.message : CONNECTION.offline;
    return false;
  }

  /** Picks up what this browser still holds from an earlier visit. */
  async restore(): Promise<void> {
    for (const begun of await this.#keptBegun.found())
      for (const [step, at] of Object.entries(begun))
        if (!this.begun.has(step)) this.begun.set(step, at);
    this.#storeBegun();
    await this.desk.restore();
  }

  stop(): void {
    clearTimeout(this.#counting);
    this.desk.stop();
  }

  #storeBegun(): void {
    if (this.begun.size === 0) this.#keptBegun.forget();
    else this.#keptBegun.write(Object.fromEntries(this.begun));
  }
}

const KEY = Symbol('ready desk');
export const providePrepareDesk = (desk: PrepareDesk): PrepareDesk => setContext(KEY, desk);
export const usePrepareDesk = (): PrepareDesk => getContext<PrepareDesk>(KEY);
