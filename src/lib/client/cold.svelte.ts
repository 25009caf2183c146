import { z } from 'zod';
import { GUIDANCE_TIMES, windowOf, type IceboxRule } from '$core/rules/icebox.ts';
import { CLOCK_SLACK_MS } from '$core/events/clock-slack.ts';
import { coldBatch, type ColdBatchResult } from '$core/drive/cold-batch.ts';
import { partNumber } from '$core/stack/part-number.ts';
import { coldAt, takeOutAt } from '$lib/api/cold.ts';
import type { ColdBatchView, ColdView } from '$lib/cold-view';
import { call } from './call';
import { Once } from './once';
import { recalled, remember } from './remembered';
import { COMMON } from '$lib/words/pages/common.ts';
import { heardNow, pageSays } from './server-clock';

/** Nobody waits longer than this between two rivets; before a pace is known, this is assumed and said. */
export const ASSUMED_PER_RIVET_S = 45;
const PACE_KEY = 'pace';
const SOUND_KEY = 'cold-sound';
const REFRESH_MS = 20_000;
const MINUTE_MS = 60_000;
const EXPIRED_SHOWN_MS = 30 * MINUTE_MS;

/** A batch as it stands at this second. */
export interface RunningBatch extends ColdBatchView {
  now: ColdBatchResult;
  /** a clock was set back: how long it is out is not known */
  untold: boolean;
  /** how many of what is left can still be driven */
  canDrive: number;
}

/** Batches out of the cold, one clock each. Every clock runs on the server's time. */
class ColdClocks {
  #batches = $state.raw<readonly ColdBatchView[]>([]);
  /** the shop's times for what is taken out now */
  icebox = $state.raw<IceboxRule>(GUIDANCE_TIMES);
  /** what this device's clock must be put on by to be the server's */
  #offMs = $state(0);
  #nowMs = $state(Date.now());
  #timer: ReturnType<typeof setInterval> | undefined;
  #asked = 0;
  #last: ColdView | null = null;
  #takingOut = new Once<string>();
  #onTheirWay = $state.raw<ReadonlyMap<string, number>>(new Map());
  /** a batch that falls due is heard: asked for, never assumed */
  sound = $state(false);
  /** one's own pace as last measured in this browser; null before there is one */
  perRivetS = $state<number | null>(null);

  get batches(): readonly ColdBatchView[] {
    return this.#batches;
  }
  /** The server's time. */
  get serverNow(): string {
    return new Date(this.#nowMs + this.#offMs).toISOString();
  }
  /** How far this device's clock is from the server's, in seconds; a page says so where it matters. */
  get deviceOffS(): number {
    return -this.#offMs / 1000;
  }

  /** Those that still have rivets, or ran out a little while ago. */
  readonly running = $derived.by((): RunningBatch[] =>
    this.#batches.flatMap((counted) => {
      const batch = { ...counted, left: counted.left - (this.#onTheirWay.get(counted.id) ?? 0) };
      const read = partNumber({ text: batch.partNumber });
      const window = read.ok ? windowOf(read.result.alloy, batch.times) : null;
      if (!read.ok || !window || batch.left <= 0) return [];
      const removedMs = Date.parse(batch.removedAt);
      // a clock was set back since: how long they are out cannot be told, so they count as out too long
      const untold = removedMs - Date.parse(this.serverNow) > CLOCK_SLACK_MS;
      const now = untold
        ? new Date(removedMs + window.limitMinutes * MINUTE_MS).toISOString()
        : this.serverNow < batch.removedAt
          ? batch.removedAt
          : this.serverNow;
      const stands = coldBatch(
        {
          alloy: read.result.alloy,
          removedAt: batch.removedAt,
          now,
          perRivetS: this.perRivetS ?? ASSUMED_PER_RIVET_S
        },
        batch.times
      );
      if (!stands.ok) return [];
      const overMs = Date.parse(now) - Date.parse(stands.result.limitAt ?? now);
      return overMs > EXPIRED_SHOWN_MS
        ? []
        : [
            {
              ...batch,
              untold,
              now: stands.result,
              canDrive: Math.min(batch.left, stands.result.canDrive ?? 0)
            }
          ];
    })
  );

  /** Takes what a page says, once: told again later, its instant would be an old one. */
  set(view: ColdView): void {
    if (view === this.#last) return;
    this.#last = view;
    this.#batches = view.batches;
    this.icebox = view.icebox;
    this.#offMs = pageSays(view.serverAt);
  }

  /** Rivets driven here that the server has not counted yet: gone from their batch already. */
  setOnTheirWay(counts: ReadonlyMap<string, number>): void {
    this.#onTheirWay = counts;
  }

  /** Whether a batch that falls due may be heard. */
  allowSound(allowed: boolean): void {
    this.sound = allowed;
    remember(SOUND_KEY, allowed);
  }

  async refresh(): Promise<void> {
    const asked = (this.#asked += 1);
    const reply = await call(coldAt, {}, undefined);
    if (!reply.reached || !reply.ok || asked !== this.#asked) return;
    this.#batches = reply.value.batches;
    this.icebox = reply.value.icebox;
    this.#offMs = heardNow(reply.value.serverAt);
  }

  /** @returns what was wrong, or an empty text */
  async takeOut(binId: string, count: number, jobId: string | null): Promise<string> {
    const asked = { binId, count, jobId };
    const id = this.#takingOut.of(asked, () => crypto.randomUUID());
    const reply = await call(takeOutAt, {}, { id, ...asked });
    this.#takingOut.answered(reply);
    if (!reply.reached) return COMMON.theServerCannotBeReached;
    if (!reply.ok) return reply.message;
    await this.refresh();
    return '';
  }

  setPace(perRivetS: number): void {
    if (perRivetS === this.perRivetS) return;
    this.perRivetS = perRivetS;
    remember(PACE_KEY, perRivetS);
  }

  /** Runs while a page is open. */
  run(): () => void {
    this.perRivetS = recalled(PACE_KEY, z.number().positive());
    this.sound = recalled(SOUND_KEY, z.boolean()) ?? false;
    // a page takes its time to come; an answer of its own is nearer to the server's clock
    if (this.#batches.length > 0) void this.refresh();
    let last = Date.now();
    this.#timer = setInterval(() => {
      this.#nowMs = Date.now();
      if (this.#batches.length > 0 && this.#nowMs - last >= REFRESH_MS) {
        last = this.#nowMs;
        void this.refresh();
      }
    }, 1000);
    return () => clearInterval(this.#timer);
  }
}

export const cold = new ColdClocks();
