import { gaugeLinesAt } from '$lib/api/devices.ts';
import { call } from '../call';

/** Whatever carries the lines of an instrument, both ways. A real gauge brings its own; the rest stays as it is. */
export interface LinePort {
  /** @param onopen true once lines can come, false when they cannot */
  open(online: (line: string) => void, onopen: (open: boolean) => void): void;
  /** @returns whether the lines went out */
  write(lines: string[]): Promise<boolean>;
  close(): void;
}

/** The simulated instrument that the application serves: lines come as server-sent events, go as posts. */
export class ServedPort implements LinePort {
  #source: EventSource | null = null;

  constructor(private readonly cage: string) {}

  open(online: (line: string) => void, onopen: (open: boolean) => void): void {
    this.#source = new EventSource(gaugeLinesAt.path({ cage: this.cage }));
    this.#source.onopen = () => onopen(true);
    // The browser goes on trying by itself.
    this.#source.onerror = () => onopen(false);
    this.#source.onmessage = ({ data }) => online(String(data));
  }

  async write(lines: string[]): Promise<boolean> {
    const reply = await call(gaugeLinesAt, { cage: this.cage }, { lines });
    return reply.reached && reply.ok;
  }

  close(): void {
    this.#source?.close();
    this.#source = null;
  }
}
