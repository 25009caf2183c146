const DEEPEST = 200;
const SAME_FIELD_MS = 900;

/** A line of past and future versions of one value; typing on in one field is one step. */
export class Undo<T> {
  #past = $state.raw<T[]>([]);
  #future = $state.raw<T[]>([]);
  #lastField = '';
  #lastAtMs = -Infinity;
  #lastHold: number | undefined;

  get canUndo(): boolean {
    return this.#past.length > 0;
  }
  get canRedo(): boolean {
    return this.#future.length > 0;
  }

  /**
   * Remembers the version before a change.
   *
   * @param before the version left behind
   * @param field what is being changed; quick changes of one field make one step
   * @param nowMs a clock that only goes forward
   * @param hold numbers the hold of a drag, all of which makes one step
   */
  remember(before: T, field: string, nowMs: number, hold?: number): void {
    const inTime = hold === undefined && nowMs - this.#lastAtMs < SAME_FIELD_MS;
    const held = hold !== undefined && hold === this.#lastHold;
    const goesOn = field === this.#lastField && (inTime || held);
    this.#lastHold = hold;
    this.#lastField = field;
    this.#lastAtMs = nowMs;
    this.#future = [];
    if (!goesOn) this.#past = [...this.#past, before].slice(-DEEPEST);
  }

  /** @returns the version to go back to, or null */
  undo(current: T): T | null {
    const back = this.#past.at(-1);
    if (back === undefined) return null;
    this.#past = this.#past.slice(0, -1);
    this.#future = [...this.#future, current];
    this.#lastField = '';
    return back;
  }

  /** @returns the version to go on to, or null */
  redo(current: T): T | null {
    const on = this.#future.at(-1);
    if (on === undefined) return null;
    this.#future = this.#future.slice(0, -1);
    this.#past = [...this.#past, current];
    this.#lastField = '';
    return on;
  }
}
