import { writeGaugeLine } from '../../../core/devices/gauge-lines.ts';
import { seedOf } from '../../../core/devices/random.ts';
import { simulatedBench } from '../../../core/devices/simulated-bench.ts';
import { simulatedCaliper } from '../../../core/devices/simulated-caliper.ts';
import type { GaugeLine } from '../../../core/devices/gauge-lines.ts';

type Listener = (line: string) => void;

/** An instrument that does not exist: takes one line, gives the lines it answers with. */
interface SimulatedDevice {
  say(line: string): GaugeLine[];
}

interface Held {
  device: SimulatedDevice;
  listeners: Set<Listener>;
}

/** So many simulated devices of a kind are kept; the one that nobody listens to goes first. */
const MOST_BENCHES = 50;

/** The simulated devices of one kind in this process: one a place, with whoever listens to it. */
export class BenchHub {
  #benches = new Map<string, Held>();
  #closers = new Set<() => void>();
  #closing = false;

  /** @param make a device of its own for each place, by its seed */
  constructor(private readonly make: (seed: number) => SimulatedDevice = simulatedBench) {}

  /** @param close ends what listens, when the process is to end; @returns how to stop listening */
  listen(place: string, listener: Listener, close: () => void): () => void {
    // A browser whose stream has just ended asks for another at once.
    if (this.#closing) {
      queueMicrotask(close);
      return () => undefined;
    }
    const held = this.#bench(place);
    held.listeners.add(listener);
    this.#closers.add(close);
    return () => {
      held.listeners.delete(listener);
      this.#closers.delete(close);
    };
  }

  /** Hands a line to the device of a place; everyone who listens gets the answers. */
  say(place: string, line: string): void {
    const { device, listeners } = this.#bench(place);
    for (const said of device.say(line))
      for (const listener of listeners) listener(writeGaugeLine(said));
  }

  /** Ends every stream, so that a server that was told to stop need not wait for them. */
  closeAll(): void {
    this.#closing = true;
    for (const close of [...this.#closers]) close();
  }

  #bench(place: string): Held {
    const known = this.#benches.get(place);
    if (known) return known;
    const made = { device: this.make(seedOf(place)), listeners: new Set<Listener>() };
    this.#benches.set(place, made);
    const idle = [...this.#benches].filter(([, { listeners }]) => listeners.size === 0);
    for (const [id] of idle.slice(0, Math.max(0, this.#benches.size - MOST_BENCHES)))
      if (id !== place) this.#benches.delete(id);
    return made;
  }
}

/** Benches with a depth gauge, one a cage. */
export const benches = new BenchHub();
/** Calipers, one a release whose heads are measured. */
export const calipers = new BenchHub(simulatedCaliper);
