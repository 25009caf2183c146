import type { Remote } from 'comlink';
import type { Joint } from '$core/kinds/joint.ts';
import type { Plan } from '$core/plan/plan-shape.ts';
import type { RuleProfile } from '$core/rules/profile.ts';
import type { Planner } from './plan.worker';

/** How far a row that takes long to solve is. */
export type Solving =
  { kind: 'idle' } | { kind: 'solving'; done: number } | { kind: 'cancelled' } | { kind: 'failed' };

/** Plans in a worker, one joint at a time: a newer one ends the older. */
export class Solver {
  state = $state.raw<Solving>({ kind: 'idle' });
  /** the last plan solved, and for which definition */
  solved = $state.raw<{ joint: Joint; plan: Plan } | null>(null);
  #worker: Worker | null = null;
  #wanted: Joint | null = null;

  /** Solves a joint; the answer appears in `solved`. */
  async solve(joint: Joint, profile: RuleProfile): Promise<void> {
    this.#end();
    this.#wanted = joint;
    this.state = { kind: 'solving', done: 0 };
    // most joints are planned at once and never ask for it
    const comlink = await import('comlink').catch(() => null);
    if (this.#wanted !== joint) return;
    if (!comlink) {
      this.state = { kind: 'failed' };
      return;
    }
    this.#worker = new Worker(new URL('./plan.worker.ts', import.meta.url), { type: 'module' });
    const planner: Remote<Planner> = comlink.wrap<Planner>(this.#worker);
    this.#worker.onerror = () => {
      if (this.#wanted === joint) this.state = { kind: 'failed' };
    };
    const plan = await planner.plan(
      joint,
      profile,
      comlink.proxy((done: number) => {
        if (this.#wanted === joint && this.state.kind === 'solving')
          this.state = { kind: 'solving', done };
      })
    );
    if (this.#wanted !== joint) return;
    this.solved = { joint, plan };
    this.state = { kind: 'idle' };
    this.#end();
  }

  /** Gives up; what was drawn before stays. */
  cancel(): void {
    this.#end();
    this.state = { kind: 'cancelled' };
  }

  /** Nothing to solve any more. */
  rest(): void {
    this.#end();
    this.state = { kind: 'idle' };
  }

  #end(): void {
    this.#worker?.terminate();
    this.#worker = null;
    this.#wanted = null;
  }
}
