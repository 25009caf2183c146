import { z } from 'zod';
import { headReport, HeadReading, type HeadReport } from '$core/check/head-report.ts';
import {
  holeStates,
  lastVolumesIn3,
  CheckedHead,
  type HoleEvent
} from '$core/check/hole-events.ts';
import { SeenFlag } from '$core/check/findings.ts';
import { problemsOf } from '$core/schema/read.ts';
import { predictedHeadIn3, type Issue } from '$core/joint/issue.ts';
import type { Dash } from '$core/schema/fields.ts';
import { Kept } from './kept';
import { messageOf, send } from './send';

const Typed = z.object({
  diameter: z.string(),
  height: z.string(),
  flags: z.array(SeenFlag)
});
/** A reading as typed; nothing is lost by looking at another hole meanwhile. */
type Typed = z.infer<typeof Typed>;

const KeptReadings = z.object({
  outbox: z.array(CheckedHead),
  typed: z.record(z.string(), Typed)
});

const NOTHING: Typed = { diameter: '', height: '', flags: [] };
const RETRY_MS = 3000;
const Answered = z.object({ id: z.string(), hole: z.int() });

export type DeskState =
  | { kind: 'idle' }
  | { kind: 'sending' }
  | { kind: 'waiting' }
  | { kind: 'refused'; message: string };

/** The readings of one issue: what is typed, what it means, what is recorded, what is still on its way. */
export class CheckDesk {
  readonly issue: Issue;
  events = $state.raw<HoleEvent[]>([]);
  state = $state.raw<DeskState>({ kind: 'idle' });

  #typed = $state.raw<Record<string, Typed>>({});
  #outbox = $state.raw<CheckedHead[]>([]);
  #timer: ReturnType<typeof setTimeout> | undefined;
  #sending = false;
  #kept: Kept<typeof KeptReadings>;

  readonly states = $derived.by(() =>
    holeStates(
      this.issue.holes.map((hole) => hole.number),
      this.events
    )
  );

  constructor(issue: Issue, events: HoleEvent[]) {
    this.issue = issue;
    this.#kept = new Kept(`readings.${issue.id}`, KeptReadings);
    this.events = events;
  }

  get waitingToSend(): number {
    return this.#outbox.length;
  }

  typedFor(hole: number): Typed {
    return this.#typed[hole] ?? NOTHING;
  }

  type(hole: number, change: Partial<Typed>): void {
    this.#typed = { ...this.#typed, [hole]: { ...this.typedFor(hole), ...change } };
    this.#store();
  }

  toggle(hole: number, flag: SeenFlag): void {
    const { flags } = this.typedFor(hole);
    this.type(hole, {
      flags: flags.includes(flag) ? flags.filter((seen) => seen !== flag) : [...flags, flag]
    });
  }

  /** The rivet size of one hole. */
  dashOf(hole: number): Dash {
    return this.issue.holes.find(({ number }) => number === hole)?.dash ?? this.issue.facts.dash;
  }

  /** The typed reading judged, or what is wrong with it; null while it is not complete. */
  reportFor(
    hole: number
  ): { report: HeadReport; reading: HeadReading } | { problems: Record<string, string> } | null {
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
    if (!read.success)
      return {
        problems: Object.fromEntries(
          problemsOf(read.error).map(({ path, message }) => [path, message])
        )
      };
    return this.#reportOf(hole, read.data);
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
    const others = this.issue.holes
      .filter((other) => other.row === row && other.number !== hole)
      .map(({ number }) => number);
    return {
      reading,
      report: headReport(
        reading,
        own ? predictedHeadIn3(this.issue.facts, own) : null,
        lastVolumesIn3(this.states, others)
      )
    };
  }

  /** Hands a complete reading over for good; it counts as recorded once the server has acknowledged it. */
  record(hole: number): void {
    const judged = this.reportFor(hole);
    if (!judged || !('reading' in judged)) return;
    const { diameterIn, heightIn, flags } = judged.reading;
    const checked: CheckedHead = {
      id: crypto.randomUUID(),
      hole,
      at: new Date().toISOString(),
      diameterIn,
      heightIn,
      flags
    };
    this.#outbox = [...this.#outbox, checked];
    this.#forgetTyped(hole);
    void this.sendAll();
  }

  isOnItsWay(hole: number): boolean {
    return this.#outbox.some((checked) => checked.hole === hole);
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

  /** Sends what waits, oldest first; keeps it and tries again while the server cannot be reached. */
  async sendAll(): Promise<void> {
    if (this.#sending) return;
    clearTimeout(this.#timer);
    this.#sending = true;
    let refused: DeskState | null = null;
    for (let next = this.#outbox[0]; next; next = this.#outbox[0]) {
      this.state = { kind: 'sending' };
      const reply = await send('POST', `/api/issues/${this.issue.id}/events`, next);
      if (reply.reached && reply.ok && Answered.safeParse(reply.body).success) {
        this.#acknowledge(reply.body as HoleEvent);
        continue;
      }
      if (reply.reached && reply.status < 500) {
        refused = { kind: 'refused', message: `Head ${next.hole}: ${messageOf(reply)}` };
        // 401 goes away when someone says who they are; anything else goes back to be corrected.
        if (reply.status !== 401) {
          this.#giveBack(next);
          continue;
        }
        this.state = refused;
      } else {
        this.state = { kind: 'waiting' };
        this.#timer = setTimeout(() => void this.sendAll(), RETRY_MS);
      }
      this.#sending = false;
      return;
    }
    this.#sending = false;
    this.state = refused ?? { kind: 'idle' };
  }

  /** Picks up what this browser still holds from an earlier visit. */
  async restore(): Promise<void> {
    for (const { outbox, typed } of await this.#kept.found()) {
      const known = new Set(this.#outbox.map(({ id }) => id));
      this.#outbox = [...this.#outbox, ...outbox.filter(({ id }) => !known.has(id))];
      this.#typed = { ...typed, ...this.#typed };
    }
    this.#store();
    if (this.#outbox.length > 0) void this.sendAll();
  }

  stop(): void {
    clearTimeout(this.#timer);
  }

  #acknowledge(event: HoleEvent): void {
    this.events = [...this.events.filter(({ id }) => id !== event.id), event];
    this.#drop(event.id);
  }

  #giveBack(checked: CheckedHead): void {
    const { hole, diameterIn, heightIn, flags } = checked;
    this.#drop(checked.id);
    // what was typed there since is newer
    if (this.#typed[hole]) return;
    this.type(hole, { diameter: String(diameterIn), height: String(heightIn), flags });
  }

  #forgetTyped(hole: number): void {
    this.#typed = Object.fromEntries(
      Object.entries(this.#typed).filter(([number]) => Number(number) !== hole)
    );
    this.#store();
  }

  #drop(id: string): void {
    this.#outbox = this.#outbox.filter((checked) => checked.id !== id);
    this.#store();
  }

  #store(): void {
    if (this.#outbox.length === 0 && Object.keys(this.#typed).length === 0) this.#kept.forget();
    else this.#kept.write({ outbox: this.#outbox, typed: this.#typed });
  }
}
