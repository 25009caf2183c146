import type { ObjectionAnswer } from '$core/driving/drive-events.ts';
import { objectionKey, type Objection } from '$core/driving/objections.ts';

type Answer = Pick<ObjectionAnswer, 'answer' | 'why'>;

/** What is answered or read before a rivet is logged: what is not met, once for a release, and what can hurt, once a day. */
export class AskedFirst {
  /** what stands against driving the next rivet; set by the page that knows it */
  objections = $state.raw<() => readonly Objection[]>(() => []);
  /** whether the person at the bench has read today what can hurt; set by the page that knows it */
  safetyRead: () => boolean = () => true;
  /** what is logged once that is answered */
  pending = $state.raw<(() => void) | null>(null);

  /**
   * @param answered what has been answered in this release, by its key
   * @param log records one answer; false where it was not taken
   */
  constructor(
    private readonly answered: () => ReadonlyMap<string, unknown>,
    private readonly log: (key: string, answer: Answer) => boolean
  ) {}

  /** of the objections, what nobody has answered in this release */
  readonly unmet = $derived.by(() =>
    this.objections().filter((said) => !this.answered().has(objectionKey(said)))
  );

  /** @returns whether something is asked: then nothing is logged yet */
  ask(then: () => void): boolean {
    this.pending = this.unmet.length > 0 || !this.safetyRead() ? then : null;
    return this.pending !== null;
  }

  /** Records why everything that is not met is driven all the same, and logs what was pressed. */
  answer(answers: ReadonlyMap<string, Answer>): void {
    for (const said of this.unmet) {
      const key = objectionKey(said);
      const given = answers.get(key);
      if (!given || !this.log(key, given)) return;
    }
    const then = this.pending;
    this.pending = null;
    then?.();
  }
}
