import { z } from 'zod';
import { Kept } from './kept';

const Typed = z.record(z.string(), z.string());

/** What is typed in the fields of a form, by their names; kept in this browser until it is sent. */
export class KeptFields {
  #typed = $state.raw<Record<string, string>>({});
  #kept: Kept<typeof Typed>;

  constructor(name: string) {
    this.#kept = new Kept(name, Typed);
  }

  /** Everything typed. */
  get all(): Readonly<Record<string, string>> {
    return this.#typed;
  }

  /** What is typed in a field; undefined while nobody has typed there. */
  of(field: string): string | undefined {
    return this.#typed[field];
  }

  type(field: string, text: string): void {
    this.#typed = { ...this.#typed, [field]: text };
    this.#kept.write(this.#typed);
  }

  /** What was typed there is kept elsewhere now. */
  clear(...fields: string[]): void {
    this.#typed = Object.fromEntries(
      Object.entries(this.#typed).filter(([field]) => !fields.includes(field))
    );
    if (Object.keys(this.#typed).length === 0) this.#kept.forget();
    else this.#kept.write(this.#typed);
  }

  /** All of it is kept elsewhere now. */
  forget(): void {
    this.#kept.forget();
  }

  /**
   * Picks up what this browser still holds from an earlier visit; what was typed meanwhile is newer.
   *
   * @param most of how many tabs it is taken
   */
  async restore(most = Infinity): Promise<void> {
    for (const typed of await this.#kept.found(most)) this.#typed = { ...typed, ...this.#typed };
    if (Object.keys(this.#typed).length > 0) this.#kept.write(this.#typed);
  }
}
