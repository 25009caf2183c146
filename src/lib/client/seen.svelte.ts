import { z } from 'zod';
import type { Station } from '$core/plan/plan-shape.ts';
import { recalled, remember } from './remembered';

const Prints = z.record(z.string(), z.string());
/** What stands on a screen for less than this was not looked at. */
const LOOKED_MS = 700;

/**
 * Which answers of a joint this person has looked at in this browser: by station, the print of what stood there. What has
 * changed since is to be looked at again.
 */
export class Seen {
  #key: string;
  #prints = $state.raw<Record<string, string>>({});
  #looking: ReturnType<typeof setTimeout> | undefined;

  constructor(jointId: string, person: string) {
    this.#key = `seen.${person}.${jointId}`;
  }

  /** Reads what was seen on an earlier visit; only in a browser. */
  restore(): void {
    this.#prints = { ...recalled(this.#key, Prints), ...this.#prints };
  }

  has(station: Station, print: string): boolean {
    return this.#prints[station] === print;
  }

  /** It stands on the screen: seen once it has stood there for a moment. */
  look(station: Station, print: string): void {
    clearTimeout(this.#looking);
    if (this.has(station, print)) return;
    this.#looking = setTimeout(() => {
      this.#prints = { ...this.#prints, [station]: print };
      remember(this.#key, this.#prints);
    }, LOOKED_MS);
  }

  stop(): void {
    clearTimeout(this.#looking);
  }
}
