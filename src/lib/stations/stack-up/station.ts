import type { Plan } from '$core/plan/plan-shape.ts';
import { defineStation, done, open } from '../station';

const partsOf = ({ stacks }: Plan): string => {
  const parts = new Set(
    stacks.flatMap(({ length }) => (length.ok ? [length.result.partNumber] : []))
  );
  return parts.size === 1 ? ([...parts][0] ?? '') : `${parts.size} rivet lengths`;
};

export const stackUp = defineStation({
  key: 'stack-up',
  name: 'Stack-up',
  asks: 'Grip, rivet length, flushness',
  logs: 'plan',
  page: () => import('./StackUpStation.svelte'),
  status: ({ workspace }) => {
    if (!workspace.now) return open('—');
    const { plan } = workspace.now;
    if (plan.stacks.some(({ length }) => !length.ok)) return open('not feasible');
    return done(partsOf(plan));
  }
});
