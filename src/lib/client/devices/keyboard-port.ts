import { plainWidth, type PlainUnit } from '$core/devices/plain-reading.ts';
import type { LinePort } from './line-port';

/** An instrument that types its figure as a keyboard would and ends it with Enter: its panel hands over what was typed. */
export class KeyboardPort implements LinePort {
  #online: ((line: string) => void) | null = null;

  /** @param unit what its display shows */
  constructor(private readonly unit: () => PlainUnit) {}

  open(online: (line: string) => void, onopen: (open: boolean) => void): void {
    this.#online = online;
    onopen(true);
  }

  /** It hears nothing; that nobody answers is no fault of it. */
  write(lines: string[]): Promise<boolean> {
    if (lines.includes('ID?')) this.#online?.('ID types its own readings');
    return Promise.resolve(true);
  }

  /** @returns whether that was a reading */
  typed(text: string): boolean {
    const line = plainWidth(text, this.unit());
    if (line !== null) this.#online?.(line);
    return line !== null;
  }

  close(): void {
    this.#online = null;
  }
}
