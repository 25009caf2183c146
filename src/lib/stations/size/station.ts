import type { Plan } from '$core/plan/plan-shape.ts';
import { defineStation, done, open } from '../station';

/** How many rivets, and where they are counted when that is not the whole joint. */
function neededIn({ needs }: Plan): string {
  const counts = needs.flatMap(({ required }) => (required.ok ? [required.result.required] : []));
  const [first] = needs;
  if (needs.length === 1 && first?.where.at === 'each-side') return `${counts[0]} on each side`;
  if (needs.length === 1 && first?.where.at === 'each-half') return `${counts[0]} on each half`;
  return `${counts.join(' and ')} rivets needed`;
}

export const size = defineStation({
  key: 'size',
  name: 'Size',
  asks: 'Which rivet, and how many?',
  logs: 'plan',
  page: () => import('./SizeStation.svelte'),
  status: ({ workspace: { now } }) => {
    if (!now) return open('input missing');
    const { plan } = now;
    if (plan.required === null) return done('attachment only');
    return plan.required.ok ? done(neededIn(plan)) : open('not feasible');
  }
});
