import type { Clocked } from '$lib/client/outbox.svelte';
import { z } from 'zod';
import {
  headReport,
  HeadReading,
  readingRefused,
  rowMeaning,
  type HeadReport
} from '$core/check/head-report.ts';
import { holeStream, lastShares, type HoleEvent } from '$core/check/hole-events.ts';
import { Look, looksAsked, SeenFlag } from '$core/check/findings.ts';
import { told, type RefusalSaid } from '$core/refusal-said.ts';
import { predictedHeadIn3, type Issue } from '$core/issue/issue.ts';
import type { Dash } from '$core/schema/fields.ts';
import { Desk } from '../../client/desk.svelte';
import { Kept } from '../../client/kept';

const Typed = z.object({
  diameter: z.string(),
  height: z.string(),
  flags: z.array(SeenFlag),
  looked: z.array(Look).default([])
});
/** A reading as typed; nothing is lost by looking at another hole meanwhile. */
type Typed = z.infer<typeof Typed>;

const KeptTyping = z.record(z.string(), Typed);

const NOTHING: Typed = { diameter: '', height: '', flags: [], looked: [] };

export type DeskState =
  { kind: 'idle' } | { kind: 'sending' } | { kind: 'waiting' } | ({ kind: 'refused' } & Refused);

/** A head that was not taken; null where it is not known which. */
interface Refused {
  hole: number | null;
  said: RefusalSaid;
}

/** The readings of one issue: what is typed, what it means, what is recorded, what is still on its way. */
export class CheckDesk {
  readonly issue: Issue;
  readonly desk;
  #typed = $state.raw<Record<string, Typed>>({});
  #kept: Kept<typeof KeptTyping>;
  /** the head that was not taken */
  #refused = $state.raw<Refused | null>(null);

  constructor(issue: Issue, events: HoleEvent[]) {
    this.issue = issue;
    this.#kept = new Kept(`typed-heads.${issue.id}`, KeptTyping);
    // A head counts once the server has judged it.
    this.desk = new Desk(holeStream, issue, {
      subjectId: issue.id,
      stored: events,
      by: '',
      refused: (checked, message) => {
        this.#refused = { hole: checked.hole, said: told(message) };
        const { hole, diameterIn, heightIn, flags } = checked;
        // what was typed there since is newer
        if (!this.#typed[hole])
          this.type(hole, {
            diameter: String(diameterIn),
            height: String(heightIn),
            flags,
            looked: []
          });
      }
    });
  }

  get events(): HoleEvent[] {
    return this.desk.events;
  }
  get states() {
    return this.desk.state;
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

  typedFor(hole: number): Typed {
    return this.#typed[hole] ?? NOTHING;
  }

  type(hole: number, change: Partial<Typed>): void {
    // what was looked at belongs to the figures it was asked for
    const looked = change.looked ?? [];
    this.#typed = { ...this.#typed, [hole]: { ...this.typedFor(hole), ...change, looked } };
    this.#store();
  }

  toggle(hole: number, flag: SeenFlag): void {
    const { flags } = this.typedFor(hole);
    this.type(hole, {
      flags: flags.includes(flag) ? flags.filter((seen) => seen !== flag) : [...flags, flag]
    });
  }

  /** Ticks that it was looked at, or takes that back. */
  look(hole: number, look: Look, seen: boolean): void {
    const { looked } = this.typedFor(hole);
    const others = looked.filter((one) => one !== look);
    this.type(hole, { looked: seen ? [...others, look] : others });
  }

  /** What is wrong with each reading by itself; a field that is still empty has nothing wrong. */
  problemsFor(hole: number): { diameter: RefusalSaid | null; height: RefusalSaid | null } {
    const { diameter, height } = this.typedFor(hole);
    const dash = this.dashOf(hole);
    const refused = (key: 'diameterIn' | 'heightIn', typed: string) =>
      typed.trim() === '' ? null : readingRefused(key, typed, dash);
    return { diameter: refused('diameterIn', diameter), height: refused('heightIn', height) };
  }

  /** What must still be looked at before the typed head is recorded. */
  looksLeft(hole: number): readonly Look[] {
    const judged = this.reportFor(hole)?.report.judged;
    const { looked } = this.typedFor(hole);
    return judged?.ok ? looksAsked(judged.result).filter((look) => !looked.includes(look)) : [];
  }

  /** The rivet size of one hole. */
  dashOf(hole: number): Dash {
    return this.issue.holes.find(({ number }) => number === hole)?.dash ?? this.issue.facts.dash;
  }

  /** The typed reading judged; null while it is not complete, or one of its figures cannot be. */
  reportFor(hole: number): { report: HeadReport; reading: HeadReading } | null {
    const { diameter, height, flags } = this.typedFor(hole);
    if (diameter.trim() === '' || height.trim() === '') return null;
    const { limits } = this.issue.facts;
    const dash = this.dashOf(hole);
    const read = HeadReading.safeParse({
      dash,
      limits,
      diameterIn: diameter,
      heightIn: height,
      flags
    });
    return read.success ? this.#reportOf(hole, read.data) : null;
  }

  /** What the latest recorded reading of a hole means; null before there is one. */
  recordedFor(hole: number): { report: HeadReport; reading: HeadReading } | null {
    const last = this.states.get(hole)?.last;
    if (!last) return null;
    const { limits } = this.issue.facts;
    const { diameterIn, heightIn, flags } = last;
    return this.#reportOf(hole, { dash: this.dashOf(hole), limits, diameterIn, heightIn, flags });
  }

  #reportOf(hole: number, reading: HeadReading): { report: HeadReport; reading: HeadReading } {
    const own = this.issue.holes.find(({ number }) => number === hole);
    const row = own?.row;
    const others = this.issue.holes.filter((other) => other.row === row && other.number !== hole);
    return {
      reading,
      report: headReport(
        reading,
        own ? predictedHeadIn3(this.issue.facts, own) : null,
        lastShares(this.states, others, this.issue.facts)
      )
    };
  }

  /** Rows whose heads are all short or all over, each once. */
  get rowsApart(): { row: number; share: number; meaning: 'row-lost' | 'row-longer' }[] {
    const rows = [...new Set(this.issue.holes.map(({ row }) => row))];
    return rows.flatMap((row) => {
      const holes = this.issue.holes.filter((hole) => hole.row === row);
      const found = rowMeaning(lastShares(this.states, holes, this.issue.facts));
      return found === null || found.meaning === 'ordinary'
        ? []
        : [{ row, share: found.share, meaning: found.meaning }];
    });
  }

  /** Hands a complete reading over for good; it counts as recorded once the server has acknowledged it. */
  record(hole: number): void {
    const judged = this.reportFor(hole);
    if (!judged || this.looksLeft(hole).length > 0) return;
    const { diameterIn, heightIn, flags } = judged.reading;
    const asked = judged.report.judged.ok ? looksAsked(judged.report.judged.result) : [];
    const looked = asked.length > 0 ? { looked: [...asked] } : {};
    this.#refused = null;
    if (this.desk.add({ kind: 'checked', hole, diameterIn, heightIn, flags, ...looked }))
      this.#forgetTyped(hole);
    else if (this.desk.refusal) this.#refused = { hole, said: this.desk.refusal };
  }

  isOnItsWay(hole: number): boolean {
    return this.desk.outbox.waiting.some((checked) => checked.hole === hole);
  }

  /** The first hole after this one that nobody has looked at, or the next one. */
  nextToDo(after: number): number {
    const numbers = this.issue.holes.map((hole) => hole.number);
    const open = (number: number) => !this.states.get(number)?.last && !this.isOnItsWay(number);
    return (
      numbers.find((number) => number > after && open(number)) ??
      numbers.find((number) => number !== after && open(number)) ??
      Math.min(after + 1, numbers.at(-1) ?? after)
    );
  }

  /** Picks up what this browser still holds from an earlier visit. */
  async restore(): Promise<void> {
    for (const typed of await this.#kept.found()) this.#typed = { ...typed, ...this.#typed };
    this.#store();
    await this.desk.restore();
  }

  stop(): void {
    this.desk.stop();
  }

  #forgetTyped(hole: number): void {
    this.#typed = Object.fromEntries(
      Object.entries(this.#typed).filter(([number]) => Number(number) !== hole)
    );
    this.#store();
  }

  #store(): void {
    if (Object.keys(this.#typed).length === 0) this.#kept.forget();
    else this.#kept.write(this.#typed);
  }
}
