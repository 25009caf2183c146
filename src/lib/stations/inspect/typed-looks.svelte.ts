import { z } from 'zod';
import type { Look, SeenFlag } from '$core/inspect/findings.ts';
import { Kept } from '../../client/kept';
import { isTyped, NOTHING_TYPED, TypedLook } from './typed-look.ts';

const KeptTyping = z.record(z.string(), TypedLook);

/** What is typed of the heads of one release and not handed over yet, by hole; kept in this browser until it is. */
export class TypedLooks {
  #typed = $state.raw<Record<string, TypedLook>>({});
  readonly #kept: Kept<typeof KeptTyping>;

  constructor(releaseId: string) {
    this.#kept = new Kept(`typed-heads.${releaseId}`, KeptTyping);
  }

  has(hole: number): boolean {
    return this.#typed[hole] !== undefined;
  }

  of(hole: number): TypedLook {
    return this.#typed[hole] ?? NOTHING_TYPED;
  }

  type(hole: number, change: Partial<TypedLook>): void {
    // what was looked at belongs to the figures it was asked for
    const looked = change.looked ?? [];
    const before = this.of(hole);
    const fromDimple =
      change.fromDimple ?? (change.height === undefined ? before.fromDimple : false);
    const figures = change.height !== undefined || change.diameter !== undefined;
    const asRead = change.asRead ?? (figures ? false : before.asRead);
    this.#typed = { ...this.#typed, [hole]: { ...before, ...change, looked, fromDimple, asRead } };
    this.#store();
  }

  toggle(hole: number, flag: SeenFlag): void {
    const { flags } = this.of(hole);
    this.type(hole, {
      flags: flags.includes(flag) ? flags.filter((seen) => seen !== flag) : [...flags, flag]
    });
  }

  /** Ticks that it was looked at, or takes that back. */
  look(hole: number, look: Look, seen: boolean): void {
    const { looked } = this.of(hole);
    const others = looked.filter((one) => one !== look);
    this.type(hole, { looked: seen ? [...others, look] : others });
  }

  forget(hole: number): void {
    this.#typed = Object.fromEntries(
      Object.entries(this.#typed).filter(([number]) => Number(number) !== hole)
    );
    this.#store();
  }

  /** Picks up what this browser still holds from an earlier visit. */
  async restore(): Promise<void> {
    for (const typed of await this.#kept.found()) this.#typed = { ...typed, ...this.#typed };
    this.#store();
  }

  #store(): void {
    const kept = Object.fromEntries(
      Object.entries(this.#typed).filter(([, typed]) => isTyped(typed))
    );
    if (Object.keys(kept).length === 0) this.#kept.forget();
    else this.#kept.write(kept);
  }
}
