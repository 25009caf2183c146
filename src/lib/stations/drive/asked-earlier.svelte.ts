const NEVER: ReadonlyMap<number, string> = new Map();

/** Heads that were inspected before their driving is logged: it is asked first when they were driven. */
export class AskedEarlier {
  /** when the head of each hole was first looked at, of the rivet in it now; told by whoever knows */
  lookedAt: () => ReadonlyMap<number, string> = () => NEVER;
  /** the heads that are asked about, and what is logged once that is answered; null while nothing is asked */
  asked = $state.raw<{ holes: number[]; go: (stated: string | null) => void } | null>(null);

  /**
   * @param isDriven whether a rivet is logged in a hole
   * @param earliestOfMs the earliest time that may be stated for the rivet in a hole, ms
   */
  constructor(
    private readonly isDriven: (hole: number) => boolean,
    private readonly earliestOfMs: (hole: number) => number
  ) {}

  /** The earliest time that may be stated for all these holes, ms. */
  earliestMs(holes: readonly number[]): number {
    return Math.max(...holes.map((hole) => this.earliestOfMs(hole)));
  }

  /** Asks, where a rivet that is about to be logged has an inspected head. @returns whether it asks */
  ask(holes: readonly number[], go: (stated: string | null) => void): boolean {
    const looked = this.lookedAt();
    const before = holes.filter((hole) => looked.has(hole) && !this.isDriven(hole));
    this.asked = before.length > 0 ? { holes: before, go } : null;
    return before.length > 0;
  }

  /** The answer: the time at which they were driven, or null: they are logged now and inspected again. */
  answer(stated: string | null): void {
    const { asked } = this;
    this.asked = null;
    asked?.go(stated);
  }
}
