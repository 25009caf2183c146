import { afterEach, expect, it, vi } from 'vitest';
import { entered } from '../../../../tests/support/joints.ts';
import { DEFAULT_PROFILE } from '../../../core/rules/profile.ts';
import { planOf } from './kept-plans.ts';

const JOINT = {
  id: 'a joint',
  revision: 1,
  profileId: 'its rules',
  definition: entered('lap', ['0.050', '0.063'], { widthIn: '5' }),
  profile: DEFAULT_PROFILE
};
const unheard = vi.fn();
process.on('unhandledRejection', unheard);
afterEach(() => process.off('unhandledRejection', unheard));

it('a plan that fails is told to everyone who waits, is asked for anew, and ends nothing where nobody waits', async () => {
  const broken = { ...JOINT, profile: null as never };
  const [one, other] = [planOf(broken), planOf(broken)];
  await expect(one).rejects.toThrow();
  await expect(other).rejects.toThrow();
  void planOf(broken);
  await new Promise((resolve) => setTimeout(resolve, 10));
  expect(unheard).not.toHaveBeenCalled();
  const made = await planOf(JOINT);
  expect(made.ok && made.value.plan.holes.length).toBeGreaterThan(3);
});
