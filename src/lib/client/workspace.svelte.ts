import { getContext, setContext } from 'svelte';
import type { EnteredLap, LapJoint } from '$core/joint/lap.ts';
import { differences } from '$core/joint/differences.ts';
import { readEntered, type EntryProblem } from '$core/joint/read-entered.ts';
import type { Plan, Station } from '$core/plan-shape.ts';
import { plan } from '$core/plan.ts';
import type { RuleProfile } from '$core/rules/profile.ts';
import { writeDecimal } from '$core/units/format-length.ts';
import { waysOut, type WayOut } from '$core/ways-out.ts';
import { Autosave, type Stale } from './autosave.svelte';
import { Undo } from './undo.svelte';

interface OpenedJoint {
  id: string;
  title: string;
  definition: EnteredLap;
  revision: number;
  savedAt: string;
  savedBy: string | null;
  profile: RuleProfile;
}

/** A plan together with the definition it was made from. */
export interface ShownPlan {
  definition: LapJoint;
  plan: Plan;
}

/** One joint being worked on: what is typed, what follows from it, and whether it is saved. */
export class Workspace {
  readonly id: string;
  readonly profile: RuleProfile;
  readonly save: Autosave;
  title = $state('');
  entered = $state.raw<EnteredLap>() as EnteredLap;
  picked = $state(1);
  arithmetic = $state(false);

  /** the last name that was one: an emptied field must not hold up every other save */
  #named = '';
  #history = new Undo<EnteredLap>();
  #lastGood: ShownPlan | null = null;

  readonly read = $derived(readEntered(this.entered));
  /** null while a field cannot be read */
  readonly now: ShownPlan | null = $derived.by(() => {
    if (!this.read.ok) return null;
    const { definition } = this.read;
    return { definition, plan: plan(definition, this.profile) };
  });
  /** what the drawing may still show, dimmed, while a field is being retyped */
  readonly shown: ShownPlan | null = $derived.by(() => {
    if (this.now) this.#lastGood = this.now;
    return this.#lastGood;
  });
  readonly problems: EntryProblem[] = $derived(this.read.ok ? [] : this.read.problems);
  readonly ways: WayOut[] = $derived.by(() =>
    this.now ? waysOut(this.now.definition, this.profile, this.now.plan) : []
  );

  constructor(joint: OpenedJoint) {
    this.id = joint.id;
    this.profile = joint.profile;
    this.title = joint.title;
    this.#named = joint.title;
    this.entered = joint.definition;
    this.save = new Autosave(joint.id, joint.revision, joint.savedAt, () => ({
      title: this.#named,
      definition: this.entered
    }));
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
    if (changes.length === 0) return;
    this.title = this.#named = kept.title;
    this.entered = kept.definition;
    if (kept.baseRevision === joint.revision) {
      this.save.touch();
      return;
    }
    const { revision, title, definition, savedBy } = joint;
    const theirs = changes.map(({ path, was, now }) => ({ path, was: now, now: was }));
    this.save.markStale({ revision, title, definition, savedBy, changes: theirs });
  }

  /** Changes some fields. `field` names what is typed in, so that typing on is one undo step. */
  edit(change: Partial<EnteredLap>, field: string): void {
    this.#history.remember(this.entered, field, performance.now());
    this.entered = { ...this.entered, ...change };
    this.save.touch();
  }

  editSheet(index: number, change: Partial<EnteredLap['sheets'][number]>): void {
    const sheets = this.entered.sheets.map((sheet, at) =>
      at === index ? { ...sheet, ...change } : sheet
    );
    this.edit({ sheets }, `sheets.${index}.${Object.keys(change).join()}`);
  }

  rename(title: string): void {
    this.title = title;
    if (this.nameMissing) return;
    this.#named = title;
    this.save.touch();
  }

  /** Takes one of the plan's own suggestions. */
  take({ change }: WayOut): void {
    const { widthIn, edgeIn, ...picked } = change;
    this.edit(
      {
        ...picked,
        ...(widthIn === undefined ? {} : { widthIn: writeDecimal(widthIn, 0, 6) }),
        ...(edgeIn === undefined
          ? {}
          : { edgeIn: edgeIn === null ? '' : writeDecimal(edgeIn, 0, 6) })
      },
      'way out'
    );
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
  keepMine(theirs: Stale): void {
    this.save.resolve(theirs, true);
  }

  problemAt(path: string): EntryProblem | undefined {
    return this.problems.find((problem) => problem.path === path);
  }

  /** Picks the hole `by` further on, staying on the layout. */
  step(by: number, holes: number): void {
    this.picked = Math.min(Math.max(1, this.picked + by), Math.max(1, holes));
  }

  warningsAt(station: Station) {
    return this.now?.plan.warnings.filter((warning) => warning.station === station) ?? [];
  }

  #goTo(version: EnteredLap | null): void {
    if (!version) return;
    this.entered = version;
    this.save.touch();
  }
}

const KEY = Symbol('workspace');
export const provideWorkspace = (workspace: Workspace): Workspace => setContext(KEY, workspace);
export const useWorkspace = (): Workspace => getContext<Workspace>(KEY);
