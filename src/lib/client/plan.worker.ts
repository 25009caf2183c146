import { expose } from 'comlink';
import type { Joint } from '$core/kinds/joint.ts';
import type { Plan } from '$core/plan/plan-shape.ts';
import { plan } from '$core/plan/plan.ts';
import type { RuleProfile } from '$core/rules/profile.ts';

/** No more often than the eye sees. */
const SAY_EVERY_MS = 60;

const planner = {
  plan(joint: Joint, profile: RuleProfile, onProgress: (done: number) => void): Plan {
    let said = 0;
    return plan(joint, profile, (done) => {
      const now = performance.now();
      if (now - said < SAY_EVERY_MS) return;
      said = now;
      onProgress(done);
    });
  }
};
export type Planner = typeof planner;

expose(planner);
