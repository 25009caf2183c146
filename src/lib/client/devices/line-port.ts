import { deviceLinesAt, type DevicePlace } from '$lib/api/devices.ts';
import { call } from '../call';
import { whileInFront } from './while-in-front';

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
  #leave: (() => void) | null = null;

  constructor(private readonly at: DevicePlace) {}

  open(online: (line: string) => void, onopen: (open: boolean) => void): void {
    this.#leave = whileInFront(() => {
      const source = new EventSource(deviceLinesAt.path(this.at));
      source.onopen = () => onopen(true);
      // The browser goes on trying by itself.
      source.onerror = () => onopen(false);
      source.onmessage = ({ data }) => online(String(data));
      return () => {
        source.close();
        onopen(false);
      };
    });
  }

  async write(lines: string[]): Promise<boolean> {
    const reply = await call(deviceLinesAt, this.at, { lines });
    return reply.reached && reply.ok;
  }

  close(): void {
    this.#leave?.();
    this.#leave = null;
  }
}
