import { isPractice } from '$core/joint/practice.ts';
import { getContext, setContext, untrack } from 'svelte';
import type { EnteredJoint, Joint } from '$core/kinds/joint.ts';
import type { EnteredSheet } from '$core/joint/sheets.ts';
import { differences } from '$core/joint/differences.ts';
import { valueAt, withValueAt } from '$core/joint/paths.ts';
import { readEntered, type EntryProblem } from '$core/kinds/read-entered.ts';
import type { Plan, Station } from '$core/plan/plan-shape.ts';
import { planCost, STEPS_AT_ONCE } from '$core/plan/plan-cost.ts';
import { blocksOf, type Block } from '$core/plan/blocks.ts';
import { plan } from '$core/plan/plan.ts';
import type { RuleProfile } from '$core/rules/profile.ts';
import type { WayOut } from '$core/joint/way-out.ts';
import { attempt, type Attempt } from '$core/plan/attempt.ts';
import { reworkMargin, type ReworkMargin } from '$core/plan/rework-margin.ts';
import { waysOut } from '$core/plan/ways-out.ts';
import { Autosave, type JointDocument, type Stale } from './autosave.svelte';
import { Solver } from './solver.svelte';
import { Undo } from './undo.svelte';

interface OpenedJoint {
  id: string;
  job: { number: string };
  title: string;
  definition: EnteredJoint;
  revision: number;
  savedAt: string;
  savedBy: string | null;
  profile: RuleProfile;
}

/** A plan together with the definition it was made from. */
export interface ShownPlan {
  definition: Joint;
  plan: Plan;
}

type Without<T> = T extends unknown ? Partial<Omit<T, 'kind'>> : never;
/** Some fields of a joint of any kind. */
export type Change = Without<EnteredJoint>;

/** One joint being worked on: what is typed, what follows from it, and whether it is saved. */
export class Workspace {
  readonly id: string;
  /** it is for no aircraft */
  readonly practice: boolean;
  readonly profile: RuleProfile;
  readonly save: Autosave;
  title = $state('');
  entered = $state.raw<EnteredJoint>() as EnteredJoint;
  #picked = $state(1);
  /** somebody picked it: what is proposed after does not take it away */
  #chosen = false;
  get picked(): number {
    return this.#picked;
  }
  set picked(hole: number) {
    this.#picked = hole;
    this.#chosen = true;
  }
  /** Picks a hole where nobody has picked one yet. */
  propose(hole: number): void {
    if (!this.#chosen) this.#picked = hole;
  }
  arithmetic = $state(false);

  /** the last name that was one: an emptied field must not hold up every other save */
  #named = '';
  #history = new Undo<EnteredJoint>();
  #lastGood: ShownPlan | null = null;

  readonly solver = new Solver();
  readonly read = $derived(readEntered(this.entered));
  /** a row with so much in its way that a worker solves it */
  readonly slow: Joint | null = $derived.by(() =>
    this.read.ok && planCost(this.read.definition) > STEPS_AT_ONCE ? this.read.definition : null
  );
  /** null while a field cannot be read, or a worker is solving */
  readonly now: ShownPlan | null = $derived.by(() => {
    if (!this.read.ok) return null;
    const { definition } = this.read;
    if (!this.slow) return { definition, plan: plan(definition, this.profile) };
    const { solved } = this.solver;
    return solved?.joint === definition ? { definition, plan: solved.plan } : null;
  });
  /** what the drawing may still show, dimmed, while a field is being retyped */
  readonly shown: ShownPlan | null = $derived.by(() => {
    if (this.now) this.#lastGood = this.now;
    return this.#lastGood;
  });
  /** what keeps the joint from going on, in the order of the work */
  readonly blocks: Block[] = $derived(this.now ? blocksOf(this.now.plan) : []);
  readonly problems: EntryProblem[] = $derived(this.read.ok ? [] : this.read.problems);
  readonly ways: WayOut[] = $derived.by(() =>
    this.now && !this.slow ? waysOut(this.now.definition, this.profile, this.now.plan) : []
  );
  /** a joint that cannot be laid out, for the eye */
  readonly attempt: Attempt | null = $derived.by(() =>
    this.now && !this.slow ? attempt(this.now.definition, this.profile, this.now.plan) : null
  );

  /** the rework margin before anything was changed here */
  readonly marginAtOpening: ReworkMargin | null;

  constructor(joint: OpenedJoint) {
    this.id = joint.id;
    this.practice = isPractice(joint.job);
    this.profile = joint.profile;
    this.title = joint.title;
    this.#named = joint.title;
    this.entered = joint.definition;
    this.save = new Autosave(joint.id, joint.revision, joint.savedAt, () => ({
      title: this.#named,
      definition: this.entered
    }));
    this.marginAtOpening = this.now ? reworkMargin(this.now.plan) : null;
    $effect(() => {
      const joint = this.slow;
      untrack(() => (joint ? void this.solver.solve(joint, this.profile) : this.solver.rest()));
    });
  }

  get nameMissing(): boolean {
    return this.title.trim() === '';
  }

  get canUndo(): boolean {
    return this.#history.canUndo;
  }
  get canRedo(): boolean {
    return this.#history.canRedo;
  }

  /** Brings back typing that this browser holds and the server never acknowledged. */
  async restoreKept(joint: OpenedJoint): Promise<void> {
    const kept = await this.save.keptTyping();
    if (!kept) return;
    const changes = differences(
      { title: joint.title, definition: joint.definition },
      { title: kept.title, definition: kept.definition }
    );
    if (changes.length === 0) return this.save.dropKept();
    this.title = this.#named = kept.title;
    this.entered = kept.definition;
    if (kept.baseRevision === joint.revision) {
      this.save.touch();
      return;
    }
    const { revision, title, definition, savedBy } = joint;
    const theirs = changes.map(({ path, was, now }) => ({ path, was: now, now: was }));
    this.save.markStale(
      { saved: false, revision, title, definition, savedBy, changes: theirs },
      kept.base
    );
  }

  /**
   * Changes some fields. `field` names what is typed in, so that typing on is one undo step.
   *
   * @param hold which time it was taken hold of, when it is dragged: however slow, one hold is one step
   */
  edit(change: Change, field: string, hold?: number): void {
    this.#history.remember(this.entered, field, performance.now(), hold);
    this.entered = { ...this.entered, ...change } as EnteredJoint;
    this.save.touch();
  }

  editSheet(id: string, change: Partial<EnteredSheet>): void {
    const sheets = this.entered.sheets.map((sheet) =>
      sheet.id === id ? { ...sheet, ...change } : sheet
    );
    this.edit({ sheets } as Change, `sheets.${id}.${Object.keys(change).join()}`);
  }

  /** Another definition in this one's place, one step of undo. */
  replace(definition: EnteredJoint): void {
    this.#history.remember(this.entered, 'replace', performance.now());
    this.entered = definition;
    this.save.touch();
  }

  /** Writes one field by its path, items by their ids. */
  setAt(path: string, text: string): void {
    const [key = ''] = path.split('.');
    const changed = withValueAt(this.entered, path, text) as unknown as Record<string, unknown>;
    this.edit({ [key]: changed[key] } as Change, path);
  }

  /** A thick part is meant as it is typed; another text asks again. */
  mean(path: string): void {
    const text = String(valueAt(this.entered, path) ?? '');
    this.edit({ thickMeant: { ...this.entered.thickMeant, [path]: text } }, `thickMeant ${path}`);
  }

  /** Solves the rows past what is in the way once more. */
  solveAgain(): void {
    if (this.slow) void this.solver.solve(this.slow, this.profile);
  }

  rename(title: string): void {
    this.title = title;
    if (this.nameMissing) return;
    this.#named = title;
    this.save.touch();
  }

  /** Takes one of the plan's own suggestions. */
  take({ change }: Pick<WayOut, 'change'>): void {
    this.edit(change as Change, 'way out');
  }

  undo(): void {
    this.#goTo(this.#history.undo(this.entered));
  }
  redo(): void {
    this.#goTo(this.#history.redo(this.entered));
  }

  takeTheirs(theirs: Stale): void {
    this.#history.remember(this.entered, 'theirs', performance.now());
    this.title = this.#named = theirs.title;
    this.entered = theirs.definition;
    this.save.resolve(theirs, false);
  }
  /** Both hands' changes together, saved on top of theirs. */
  takeBoth(theirs: Stale, { title, definition }: JointDocument): void {
    this.#history.remember(this.entered, 'both', performance.now());
    this.title = this.#named = title;
    this.entered = definition;
    this.save.resolve(theirs, true);
  }
  keepMine(theirs: Stale): void {
    this.save.resolve(theirs, true);
  }

  problemAt(path: string): EntryProblem | undefined {
    return this.problems.find((problem) => problem.path === path);
  }

  /** Picks the hole `by` further on among those there are. */
  step(by: number, numbers: readonly number[]): void {
    const at = numbers.indexOf(this.picked);
    const next = numbers[Math.min(Math.max(0, at + by), numbers.length - 1)];
    if (next !== undefined) this.picked = at === -1 ? (numbers[0] ?? 1) : next;
  }

  warningsAt(station: Station) {
    return this.now?.plan.warnings.filter((warning) => warning.station === station) ?? [];
  }

  #goTo(version: EnteredJoint | null): void {
    if (!version) return;
    this.entered = version;
    this.save.touch();
  }
}

const KEY = Symbol('workspace');
export const provideWorkspace = (workspace: Workspace): Workspace => setContext(KEY, workspace);
export const useWorkspace = (): Workspace => getContext<Workspace>(KEY);
