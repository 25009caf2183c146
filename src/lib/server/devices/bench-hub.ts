import { writeGaugeLine } from '../../../core/devices/gauge-lines.ts';
import { seedOf } from '../../../core/devices/random.ts';
import { simulatedBench, type SimulatedBench } from '../../../core/devices/simulated-bench.ts';

type Listener = (line: string) => void;

interface Held {
  bench: SimulatedBench;
  listeners: Set<Listener>;
}

/** So many simulated benches are kept; the one that nobody listens to goes first. */
const MOST_BENCHES = 50;

/** The simulated benches of this process: one a cage, with whoever listens to its gauge. */
export class BenchHub {
  #benches = new Map<string, Held>();
  #closers = new Set<() => void>();
  #closing = false;

  /** @param close ends what listens, when the process is to end; @returns how to stop listening */
  listen(cageId: string, listener: Listener, close: () => void): () => void {
    // A browser whose stream has just ended asks for another at once.
    if (this.#closing) {
      queueMicrotask(close);
      return () => undefined;
    }
    const held = this.#bench(cageId);
    held.listeners.add(listener);
    this.#closers.add(close);
    return () => {
      held.listeners.delete(listener);
      this.#closers.delete(close);
    };
  }

  /** Hands a line to a cage's bench; everyone who listens gets the answers. */
  say(cageId: string, line: string): void {
    const { bench, listeners } = this.#bench(cageId);
    for (const said of bench.say(line))
      for (const listener of listeners) listener(writeGaugeLine(said));
  }

  /** Ends every stream, so that a server that was told to stop need not wait for them. */
  closeAll(): void {
    this.#closing = true;
    for (const close of [...this.#closers]) close();
  }

  #bench(cageId: string): Held {
    const known = this.#benches.get(cageId);
    if (known) return known;
    const made = { bench: simulatedBench(seedOf(cageId)), listeners: new Set<Listener>() };
    this.#benches.set(cageId, made);
    const idle = [...this.#benches].filter(([, { listeners }]) => listeners.size === 0);
    for (const [id] of idle.slice(0, Math.max(0, this.#benches.size - MOST_BENCHES)))
      if (id !== cageId) this.#benches.delete(id);
    return made;
  }
}

export const benches = new BenchHub();
