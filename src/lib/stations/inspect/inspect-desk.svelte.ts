import type { Clocked } from '$lib/client/outbox.svelte';
import type { Answer } from '$core/answer.ts';
import {
  isImpossible,
  readingRefused,
  type HeadReading,
  type HeadReport
} from '$core/inspect/head-report.ts';
import {
  holeStream,
  isMeasured,
  verdictNow,
  type HoleEvent,
  type HoleState,
  type HoleSubject
} from '$core/inspect/hole-events.ts';
import { expectedLooks } from '$core/inspect/expected-looks.ts';
import {
  isBad,
  looksAsked,
  type HeadVerdict,
  type Look,
  type Place,
  type SeenFlag
} from '$core/inspect/findings.ts';
import { headStanding, placesAsked, type HeadStanding } from '$core/inspect/head-standing.ts';
import type { HeadJudged } from '$core/inspect/head-judged.ts';
import { otherDatum, type TwoDatums } from '$core/inspect/height-datum.ts';
import { judgeLook, type HoleLook } from '$core/inspect/hole-look.ts';
import { headAfter, type NextHead } from '$core/inspect/next-head.ts';
import { plateUsed, type ShopPlate } from '$core/devices/shop-plate.ts';
import type { PlateUsed } from '$core/inspect/plate-look.ts';
import { drivenNow, type DrivenNow } from '$core/driving/drive-events.ts';
import { rivetOfHole } from '$core/driving/rivet-of-hole.ts';
import { holeMarks, type CountedRelease } from '$core/releases/release-count.ts';
import { dueNow, headsOf, rivetsToLookAt } from '$core/releases/release-now.ts';
import { told, type RefusalSaid } from '$core/refusal-said.ts';
import type { Release } from '$core/release/release.ts';
import { asReworked, type ReworkState } from '$core/reworking/rework-state.ts';
import type { Dash } from '$core/schema/fields.ts';
import { EventStore } from '../../client/event-store.svelte';
import type { AroundHeads, DeskState, Refused } from './desk-state';
import { reportInRow, rowsApart, type RowApart } from './row-reports.ts';
import { lookTyped, readingTyped, typedAgain, type LookWay, type TypedLook } from './typed-look.ts';
import { TypedLooks } from './typed-looks.svelte';

/** A look before it is stamped is judged as it would be now. */
export const NOT_SENT = '00000000-0000-4000-8000-000000000000';
const UNSTAMPED = { id: NOT_SENT, at: '2000-01-01T00:00:00Z' };

/** The readings of one release: what is typed, what it means, what is recorded, what is still on its way. */
export class InspectDesk {
  readonly #asReleased: Release;
  readonly #around: () => AroundHeads;
  readonly #subject = (): HoleSubject => headsOf(this.#asReleased, this.rework, this.driven);
  readonly desk: EventStore<HoleSubject, HoleLook, HeadJudged, Map<number, HoleState>>;
  readonly #typed: TypedLooks;
  /** what was typed of looks handed over: refused, it stands there again as it was */
  readonly #sent = new Map<number, TypedLook>();
  /** how heads are looked at just now */
  way = $state<LookWay>('calipers');
  /** the plate chosen, by its id; empty: the first that has the size */
  plateChosen = $state('');
  /** the shop's plates; told by whoever knows */
  plates: () => readonly ShopPlate[] = () => [];
  /** the head that was not taken */
  #refused = $state.raw<Refused | null>(null);

  constructor(release: Release, events: HoleEvent[], around: () => AroundHeads) {
    this.#asReleased = release;
    this.#around = around;
    this.#typed = new TypedLooks(release.id);
    // A head counts once the server has judged it.
    this.desk = new EventStore(holeStream, this.#subject, {
      subjectId: release.id,
      stored: events,
      by: '',
      refused: (look, message) => {
        const { hole } = look;
        this.#refused = { hole, said: told(message) };
        // what was typed there since is newer
        if (this.#typed.has(hole)) return;
        const sent = this.#sent.get(hole);
        this.type(hole, sent ?? typedAgain(look));
      }
    });
  }

  /** as released, with what was replaced since */
  readonly release = $derived.by((): Release => asReworked(this.#asReleased, this.rework));
  get rework(): ReworkState {
    return this.#around().rework;
  }
  /** what looks have to know of driving */
  readonly driven = $derived.by((): DrivenNow => drivenNow(this.#around().drive));
  get events(): HoleEvent[] {
    return this.desk.events;
  }
  /** without what was voided */
  readonly valid = $derived.by((): HoleEvent[] => {
    const { voidedLooks } = this.rework;
    return voidedLooks.size === 0
      ? this.events
      : this.events.filter(({ id }) => !voidedLooks.has(id));
  });
  get states() {
    return this.desk.state;
  }
  /** what comes of the rivet that is in a hole; null where nothing is known yet */
  verdictOf(hole: number): HeadVerdict | null {
    const state = this.states.get(hole);
    return state ? verdictNow(state) : null;
  }
  readonly state = $derived.by((): DeskState => {
    const { away, sending, refusal } = this.desk.outbox;
    if (away) return { kind: 'waiting' };
    const refused = this.#refused ?? (refusal === '' ? null : { hole: null, said: told(refusal) });
    if (refused) return { kind: 'refused', ...refused };
    return sending ? { kind: 'sending' } : { kind: 'idle' };
  });

  /** readings on their way, and what keeps them */
  get outbox(): Clocked {
    return this.desk.outbox;
  }

  get waitingToSend(): number {
    return this.desk.outbox.waiting.length;
  }

  typedFor(hole: number): TypedLook {
    return this.#typed.of(hole);
  }
  type(hole: number, change: Partial<TypedLook>): void {
    this.#typed.type(hole, change);
  }
  toggle(hole: number, flag: SeenFlag): void {
    this.#typed.toggle(hole, flag);
  }
  look(hole: number, look: Look, seen: boolean): void {
    this.#typed.look(hole, look, seen);
  }

  /** What is wrong with each reading by itself; a field that is still empty has nothing wrong. */
  problemsFor(hole: number): { diameter: RefusalSaid | null; height: RefusalSaid | null } {
    const { diameter, height } = this.typedFor(hole);
    const dash = this.dashOf(hole);
    const refused = (key: 'diameterIn' | 'heightIn', typed: string) =>
      typed.trim() === '' ? null : readingRefused(key, typed, dash);
    return { diameter: refused('diameterIn', diameter), height: refused('heightIn', height) };
  }

  /** The look that is typed, as it would be sent; null while something is missing. */
  lookFor(hole: number) {
    return lookTyped(hole, this.way, this.typedFor(hole), this.plateFor(this.dashOf(hole)));
  }

  /** What the typed look comes to; null while something is missing. */
  judgedFor(hole: number): Answer<HeadJudged> | null {
    const look = this.lookFor(hole);
    const asReleased = this.release.holes.find(({ number }) => number === hole);
    if (!look || !asReleased) return null;
    // judged as if it had been looked at on its condition: what is left of that is asked for apart
    const asked = look.kind === 'checked' ? { looked: ['straight', 'flat'] as Look[] } : {};
    return judgeLook(
      { ...look, ...asked, ...UNSTAMPED } as HoleLook,
      this.release.facts,
      asReleased
    );
  }

  /** What the head comes to with the look that is typed, and what was looked at before; null while the typed one cannot be judged. */
  expectedFor(hole: number): HeadStanding | null {
    const look = this.lookFor(hole);
    const judged = this.judgedFor(hole);
    const asReleased = this.release.holes.find(({ number }) => number === hole);
    if (!look || !judged?.ok || !asReleased) return null;
    const typed = { ...look, ...UNSTAMPED, by: '', frozen: judged.result } as HoleEvent;
    const before = this.typedFor(hole).drivenOn ? [] : (this.states.get(hole)?.counted ?? []);
    return headStanding([...before, typed], placesAsked(this.release.facts, asReleased));
  }

  /** Whether it has to be said if a bad head was driven further before this look: where no blow is logged nobody knows. */
  asksDrivenOn(hole: number): boolean {
    const standing = this.states.get(hole)?.standing;
    return !this.driven.hitAt.has(hole) && standing !== null && standing !== undefined
      ? isBad(standing.verdict)
      : false;
  }

  /** Whether the far sheet is dimpled through at a hole: heights are from the dimple there. */
  isDimpled(hole: number): boolean {
    const asReleased = this.release.holes.find(({ number }) => number === hole);
    return asReleased !== undefined && rivetOfHole(this.release.facts, asReleased).dimpledThrough;
  }

  /** A typed height that fits the sheet's flat and not the dimple, until it is said which it is. */
  datumAsked(hole: number): TwoDatums | null {
    const look = this.lookFor(hole);
    if (look?.kind !== 'checked' || this.typedFor(hole).fromDimple) return null;
    return otherDatum(look.heightIn, {
      dash: this.dashOf(hole),
      limits: this.release.facts.limits,
      dimpledThrough: this.isDimpled(hole)
    });
  }

  /** How much of the metal that there is a typed head would hold, where that cannot be and nobody has said that it was read so. */
  metalAsked(hole: number): number | null {
    const share = this.reportFor(hole)?.report.metal?.share ?? null;
    return share !== null && isImpossible(share) && !this.typedFor(hole).asRead ? share : null;
  }

  /** What must still be looked at before the typed head is recorded. */
  looksLeft(hole: number): readonly Look[] {
    const judged = this.judgedFor(hole);
    const { looked } = this.typedFor(hole);
    return judged?.ok ? looksAsked(judged.result).filter((look) => !looked.includes(look)) : [];
  }

  /** The plate that a size is held against; null where the shop has none. */
  plateFor(dash: Dash): PlateUsed | null {
    return plateUsed(this.plates(), this.plateChosen, dash);
  }

  /** The rivet size of one hole. */
  dashOf(hole: number): Dash {
    return (
      this.release.holes.find(({ number }) => number === hole)?.dash ?? this.release.facts.dash
    );
  }

  /** The typed reading judged; null while it is not complete, or one of its figures cannot be. */
  reportFor(hole: number): { report: HeadReport; reading: HeadReading } | null {
    const size = { dash: this.dashOf(hole), limits: this.release.facts.limits };
    const reading = readingTyped(this.typedFor(hole), size);
    return reading && this.#reportOf(hole, reading);
  }

  /** What the latest recorded reading of a hole means; null before there is one. */
  recordedFor(hole: number): { report: HeadReport; reading: HeadReading } | null {
    // the look that decides, where it measured
    const last = this.states.get(hole)?.standing?.decisive;
    if (!last || !isMeasured(last)) return null;
    const { limits } = this.release.facts;
    const { diameterIn, heightIn, flags } = last;
    return this.#reportOf(hole, { dash: this.dashOf(hole), limits, diameterIn, heightIn, flags });
  }

  #reportOf(hole: number, reading: HeadReading): { report: HeadReport; reading: HeadReading } {
    return { reading, report: reportInRow(this.release, this.states, hole, reading) };
  }

  /** Rows whose heads are all short or all over, each once. */
  get rowsApart(): RowApart[] {
    return rowsApart(this.release, this.states);
  }

  /** Hands a complete look over for good; it counts as recorded once the server has acknowledged it. */
  record(hole: number): void {
    const look = this.lookFor(hole);
    const judged = this.judgedFor(hole);
    if (
      !look ||
      !judged?.ok ||
      this.looksLeft(hole).length > 0 ||
      this.datumAsked(hole) ||
      this.metalAsked(hole) !== null
    )
      return;
    const asked = looksAsked(judged.result);
    const sent =
      look.kind === 'checked' && asked.length > 0 ? { ...look, looked: [...asked] } : look;
    this.#refused = null;
    if (this.desk.add(sent)) {
      this.#sent.set(hole, this.typedFor(hole));
      this.#typed.forget(hole);
    } else if (this.desk.refusal) this.#refused = { hole, said: this.desk.refusal };
  }

  /** Rivets that can be looked at from the far side. */
  inMetal(): number[] {
    return rivetsToLookAt(this);
  }

  /** Hands over that places of many rivets were looked at and are clean. @returns how many were taken */
  recordClean(holes: readonly number[], clean: readonly Place[]): number {
    this.#refused = null;
    let taken = 0;
    for (const hole of holes)
      if (this.desk.add({ kind: 'eyed', hole, flags: [], clean: [...clean] })) taken += 1;
      else if (this.desk.refusal) this.#refused = { hole, said: this.desk.refusal };
    return taken;
  }

  isOnItsWay(hole: number): boolean {
    return this.desk.outbox.waiting.some((checked) => checked.hole === hole);
  }

  #dueBy(heads: readonly HoleEvent[], states: ReadonlyMap<number, HoleState>) {
    const { release, rework, driven } = this;
    return dueNow({ release, rework, driven, order: this.#around().order, heads, states });
  }
  readonly #now = $derived.by(() => this.#dueBy(this.events, this.states));
  /** heads that stay on the data holder’s word, as they were last seen */
  get left(): ReadonlySet<number> {
    return this.#now.left;
  }
  /** what its counts follow from */
  get counted(): CountedRelease {
    const { release, states, left, rework } = this;
    return { release, states, left, rework };
  }
  /** what each of its holes comes to */
  readonly marks = $derived.by(() => holeMarks(this.counted));
  /** What is due, and what comes next. */
  get due(): NextHead {
    return this.#now.due;
  }

  /** The next head that is due and not on its way, or the next one along. */
  nextToDo(after: number): number {
    const last = this.release.holes.at(-1)?.number ?? after;
    // what was just handed over decides already where one looks next
    const events = [...this.events, ...expectedLooks(this.desk.outbox.waiting, this.release)];
    const { due } = this.#dueBy(events, holeStream.project(this.#subject(), events));
    return (
      headAfter(due, due.order, after, (hole) => !this.isOnItsWay(hole)) ??
      Math.min(after + 1, last)
    );
  }

  /** Picks up what this browser still holds from an earlier visit. */
  async restore(): Promise<void> {
    await this.#typed.restore();
    await this.desk.restore();
  }

  stop(): void {
    this.desk.stop();
  }
}
