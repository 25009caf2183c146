import { alloyFacts } from '$core/catalog/alloys.ts';
import {
  driveStream,
  type DriveEvent,
  type DriveFrozen,
  type DriveState,
  type DriveSubject,
  type HeadSeen,
  type HoleDriven
} from '$core/driving/drive-events.ts';
import { MOST_TAPS, type DriveMove, type QuickLook } from '$core/driving/drive-move.ts';
import type { DrivingAccess } from '$core/driving/access.ts';
import { drivingHolders } from '$core/driving/driving-holders.ts';
import { earliestStatedMs } from '$core/driving/stated-driving.ts';
import { onTheirWay } from '$core/driving/cold-plan.ts';
import { neighborsTooSoon, pathOf, type OrderSchool } from '$core/driving/driving-order.ts';
import { namedStill } from '$core/driving/named-still.ts';
import { releaseOrder } from '$core/driving/release-order.ts';
import { paceOf, steadyPaceS } from '$core/driving/pace.ts';
import { rivetOfHole, type HoleRivet } from '$core/driving/rivet-of-hole.ts';
import { rivetRuns, type RivetRun } from '$core/driving/rivet-runs.ts';
import type { Release, ReleasedHole } from '$core/release/release.ts';
import { drivingOf } from '$core/releases/release-now.ts';
import { heldBack, type HeldBack } from '$core/reworking/held-back.ts';
import { asReworked, type ReworkState } from '$core/reworking/rework-state.ts';
import { headGripIn } from '$core/tool-setting/run-setting.ts';
import type { UseNow } from '$core/tool-setting/tool-status.ts';
import type { ShopFigures } from '$core/prepare/shop-figures.ts';
import { told, type RefusalSaid } from '$core/refusal-said.ts';
import { cold } from '../../client/cold.svelte';
import { AskedFirst } from './asked-first.svelte.ts';
import { AskedEarlier } from './asked-earlier.svelte.ts';
import { EventStore } from '../../client/event-store.svelte';

const NONE: ReadonlyMap<string, number> = new Map();
const NOT_COUNTED: DriveFrozen = { partNumber: null, cold: null };
/** The log of driving one release: what is driven, what comes next, what is still on its way. */
export class DriveDesk {
  readonly #asReleased: Release;
  readonly #rework: () => ReworkState;
  readonly desk: EventStore<DriveSubject, DriveMove, DriveFrozen, DriveState>;
  readonly figures: () => ShopFigures;
  /** heads that were inspected before their driving is logged */
  readonly earlier = new AskedEarlier(
    (hole) => this.stateOf(hole)?.driven ?? false,
    (hole) => earliestStatedMs(this.#rework(), hole, this.#releasedMs())
  );
  readonly #releasedMs = (): number => Date.parse(this.#asReleased.issuedAt);
  readonly #subject = (): DriveSubject => ({
    ...drivingOf(this.#asReleased, this.#rework(), cold.batches),
    releasedMs: this.#releasedMs()
  });
  /** why the last tap was not taken */
  refused = $state.raw<RefusalSaid | null>(null);
  /** a hole that was pointed at instead of the next one */
  pointed = $state<number | null>(null);
  /** the batch that is driven from, where several are out */
  batch = $state<string | null>(null);
  /** who holds the gun and who the bar, while two drive */
  hands = $state.raw<{ gun: string; bar: string } | null>(null);
  /** why rivets of an expired batch are driven; forgotten with the next batch */
  late = $state('');

  constructor(
    release: Release,
    events: DriveEvent[],
    by: string,
    figures: () => ShopFigures,
    rework: () => ReworkState
  ) {
    this.#asReleased = release;
    this.#rework = rework;
    this.figures = figures;
    this.desk = new EventStore(driveStream, this.#subject, {
      subjectId: release.id,
      stored: events,
      by,
      unsent: NOT_COUNTED,
      refused: (_, message) => (this.refused = told(message))
    });
  }

  /** as released, with what was replaced since */
  readonly release = $derived.by((): Release => asReworked(this.#asReleased, this.#rework()));

  get state(): DriveState {
    return this.desk.state;
  }
  get outbox() {
    return this.desk.outbox;
  }
  readonly runs = $derived.by(() => rivetRuns(this.release));

  /** what was told last of the order: taps leave it as it is */
  readonly #told = $derived.by(() => this.state.order);
  readonly #order = $derived.by(() => releaseOrder(this.release, this.#told));
  get school(): OrderSchool {
    return this.#order.school;
  }
  get order(): readonly number[] {
    return this.#order.order;
  }
  get byHand(): boolean {
    return this.#order.byHand;
  }
  readonly path = $derived.by(() => pathOf(this.release.holes, this.order));
  /** arithmetic of the order */
  get orderWork() {
    return this.#order.work;
  }
  readonly tooSoon = $derived.by(() =>
    this.school === 'flat' && this.byHand ? neighborsTooSoon(this.release.holes, this.order) : []
  );
  readonly holders = $derived.by(() => {
    const { every, final } = this.figures().holders;
    return drivingHolders(this.release.holes, this.order, every, final);
  });

  /** rivets of cold batches that were logged here and that the server has not counted */
  readonly onTheirWay = $derived.by((): ReadonlyMap<string, number> => {
    const { waiting } = this.desk.outbox;
    if (!waiting.some((move) => move.kind === 'driven' && move.batch !== null)) return NONE;
    const stored = driveStream.project(this.#subject(), this.desk.stored);
    return onTheirWay(waiting, (hole) => stored.holes.get(hole)?.driven ?? false);
  });
  readonly toLook = $derived.by(() =>
    [...this.state.holes].filter(
      ([, hole]) => hole.driven && (hole.quick === 'again' || hole.expired)
    )
  );
  readonly pace = $derived.by(() => paceOf(this.desk.events));
  /** more blows first, then the first that is open */
  readonly next = $derived.by((): number | null => {
    const of = (number: number) => this.state.holes.get(number);
    return (
      this.order.find((number) => of(number)?.driven && of(number)?.quick === 'more') ??
      this.order.find((number) => !of(number)?.driven && !this.heldBack.has(number)) ??
      null
    );
  });
  /** what a tap logs */
  readonly here = $derived.by((): number | null => this.pointed ?? this.next);

  /** holes that no rivet goes into now, and why */
  readonly heldBack = $derived.by((): ReadonlyMap<number, HeldBack> => heldBack(this.#rework()));
  /** those of them that have none: what is not driven although nothing comes next */
  readonly waiting = $derived.by(() =>
    this.order.flatMap((number) => {
      const why = this.heldBack.get(number);
      return why === undefined || this.stateOf(number)?.driven ? [] : [{ number, why }];
    })
  );
  holeOf(number: number): ReleasedHole | undefined {
    return this.release.holes.find((hole) => hole.number === number);
  }
  rivetOf(number: number): HoleRivet | null {
    const hole = this.holeOf(number);
    return hole ? rivetOfHole(this.release.facts, hole) : null;
  }
  stateOf(number: number): HoleDriven | undefined {
    return this.state.holes.get(number);
  }
  /** what the tool of a run is about to be used for: the next rivet, where it is of that run */
  useNow(run: RivetRun): Omit<UseNow, 'turnedAt'> {
    const { here } = this;
    const hole = run.holes.find(({ number }) => number === here);
    const batch = hole
      ? cold.batches.find(({ id }) => id === this.batchFor(hole.number))
      : undefined;
    return {
      at: cold.serverNow,
      gripIn: hole ? headGripIn(this.release, hole) : null,
      lot: batch?.lot ?? this.state.lots.get(run.partNumber)?.lot ?? null
    };
  }
  /** whether a hole's rivet is driven cold */
  isCold(number: number): boolean {
    const rivet = this.rivetOf(number);
    return rivet !== null && alloyFacts(rivet.alloy).cold !== null && !this.release.facts.practice;
  }
  /** the batch that a hole's rivet comes from: the one chosen, else the oldest with rivets left */
  batchFor(number: number): string | null {
    if (!this.isCold(number)) return null;
    const before = this.stateOf(number);
    if (before?.driven) return before.batch;
    const part = this.rivetOf(number)?.partNumber;
    const fitting = cold.running.filter(({ partNumber }) => partNumber === part);
    return (
      fitting.find(({ id }) => id === this.batch)?.id ??
      fitting.find(({ now }) => now.state !== 'expired')?.id ??
      fitting[0]?.id ??
      null
    );
  }

  /** taps at which somebody is named at gun or bar and has not confirmed it */
  readonly named = $derived.by(() => namedStill(this.desk.events));
  /** Whoever is here did hold the gun or the bar there. */
  confirm(taps: readonly string[]): void {
    this.desk.add({ kind: 'confirmed', taps: taps.slice(0, MOST_TAPS) });
  }

  /** Points at a hole; one that is held open says why it gets no rivet. */
  point(number: number): void {
    const open = this.release.heldOpen.find((hole) => hole.number === number);
    const refused: RefusalSaid | null = open
      ? { code: 'held-open', hole: number, reason: open.reason }
      : this.#notNow(number);
    this.refused = refused;
    this.pointed = refused ? null : number;
  }

  /** what is answered or read before a rivet is logged */
  readonly first = new AskedFirst(
    () => this.state.objections,
    (key, given) => {
      const taken = this.desk.add({ kind: 'objected', key, ...given });
      if (!taken) this.refused = this.desk.refusal;
      return taken;
    }
  );

  /** Logs the rivet that comes next, or the one pointed at. @returns whether it was taken */
  tap(quick: QuickLook | null): boolean {
    const number = this.here;
    if (number === null) return false;
    const isIn = this.stateOf(number)?.driven ?? false;
    const drive = (stated: string | null = null) => this.#drive(number, quick, stated);
    const go = (): boolean =>
      this.earlier.ask([number], (stated) => void drive(stated)) ? false : drive();
    if (!isIn && this.first.ask(() => void go())) return false;
    return isIn ? drive() : go();
  }

  /** why no rivet goes into a hole now; null where one does, or one is in */
  #notNow(number: number): RefusalSaid | null {
    const why = this.heldBack.get(number);
    if (why === undefined || this.stateOf(number)?.driven) return null;
    return { code: why === 'empty' ? 'hole-not-ready' : 'question-open', hole: number };
  }

  #drive(number: number, quick: QuickLook | null, stated: string | null = null): boolean {
    const notNow = this.#notNow(number);
    if (notNow) {
      this.refused = notNow;
      return false;
    }
    const batch = this.batchFor(number);
    const taken = this.desk.add({
      kind: 'driven',
      hole: number,
      quick,
      batch,
      hands: this.hands,
      late: this.late.trim(),
      ...(stated === null ? {} : { stated })
    });
    this.refused = taken ? null : this.desk.refusal;
    if (taken) {
      this.#together = [];
      this.pointed = null;
      const steadyS = steadyPaceS(this.pace);
      if (steadyS !== null) cold.setPace(steadyS);
    }
    return taken;
  }

  /** What the quick look found at one that is in already. */
  look(number: number, quick: QuickLook): void {
    if (this.desk.add({ kind: 'looked', hole: number, quick })) this.pointed = null;
  }

  /** Logs a whole row that was driven already, in its order. */
  rowDone(row: number): void {
    if (this.first.ask(() => this.#rowDone(row))) return;
    this.#rowDone(row);
  }
  #rowDone(row: number): void {
    const holes = this.order.filter(
      (number) =>
        this.holeOf(number)?.row === row &&
        !this.stateOf(number)?.driven &&
        !this.heldBack.has(number)
    );
    const looked = this.earlier.lookedAt();
    const drive = (stated: string | null = null) => {
      const logged: number[] = [];
      for (const hole of holes) {
        if (!this.#drive(hole, null, looked.has(hole) ? stated : null)) break;
        logged.push(hole);
      }
      this.#together = logged;
    };
    if (!this.earlier.ask(holes, drive)) drive();
  }

  /** The last rivet that was logged, from wherever. */
  readonly last = $derived.by((): number | null => {
    let last: { at: string; hole: number } | null = null;
    for (const [hole, { driven, at }] of this.state.holes)
      if (driven && (last === null || at >= last.at)) last = { at, hole };
    return last?.hole ?? null;
  });

  /** rivets that were logged at once, while nothing was logged since */
  #together = $state.raw<readonly number[]>([]);
  /** What one press takes back: the last tap, or all that was logged with it. */
  readonly undone = $derived.by((): readonly number[] => {
    const { last } = this;
    if (last === null) return [];
    return this.#together.includes(last) ? this.#together : [last];
  });
  undo(): void {
    for (const hole of this.undone.toReversed()) this.desk.add({ kind: 'undriven', hole });
    this.#together = [];
    this.refused = null;
  }

  /** A head’s diameter as the camera sees it. */
  see(number: number, seen: Omit<HeadSeen, 'id' | 'at' | 'by'>): void {
    this.desk.add({ kind: 'seen', hole: number, ...seen });
    this.refused = this.desk.refusal;
  }

  setOrder(school: OrderSchool, order: number[] | null): void {
    this.desk.add({ kind: 'ordered', school, order });
    this.refused = this.desk.refusal;
  }

  /** Tells of which lot the rivets of a part number are from now on. @returns whether it was taken */
  load(part: string, lot: string): boolean {
    const taken = this.desk.add({ kind: 'loaded', part, lot });
    this.refused = this.desk.refusal;
    return taken;
  }

  place(access: DrivingAccess): void {
    this.desk.add({ kind: 'placed', access });
    this.refused = this.desk.refusal;
  }

  restore(): Promise<void> {
    return this.desk.restore();
  }
  stop(): void {
    this.desk.stop();
  }
}
