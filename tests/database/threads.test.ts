import { resolve } from 'node:path';
import { pathToFileURL } from 'node:url';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { newJoint } from '../../src/core/kinds/new-joint.ts';
import { plan } from '../../src/core/plan/plan.ts';
import { planCost, STEPS_AT_ONCE } from '../../src/core/plan/plan-cost.ts';
import { DEFAULT_PROFILE } from '../../src/core/rules/profile.ts';
import { definition } from '../support/joints.ts';

/** A flange of 50 spans, each divided by so many holes: three kilobytes that take a while. */
const divided = (count: string) => ({
  carries: 'attach' as const,
  dash: 4 as const,
  lengthIn: '100',
  flangeIn: '1',
  bendRadiusIn: '1/8',
  divides: Array.from({ length: 50 }, (_, at) => ({
    id: `divide-${at}`,
    fromIn: String(1 + at * 1.9),
    toIn: String(2.8 + at * 1.9),
    count
  }))
});
const large = definition('line', ['0.040', '0.040'], divided('300'));
const GIVEN = { definition: large, profile: DEFAULT_PROFILE };

/** The threads as the server has them: with the compiled tasks and a deadline. */
async function threadsWith(deadlineMs: string) {
  vi.resetModules();
  vi.stubEnv('ZANJADOR_TASKS', pathToFileURL(resolve('.build/src/lib/server/heavy/tasks.js')).href);
  vi.stubEnv('ZANJADOR_PLAN_DEADLINE_MS', deadlineMs);
  return import('../../src/lib/server/heavy/threads.ts');
}

describe('a plan that takes a while', () => {
  let end: () => Promise<void> = () => Promise.resolve();
  afterEach(async () => {
    await end();
    vi.unstubAllEnvs();
  });

  it('is made in a thread, the same as it would be here, and nobody waits for it', async () => {
    const { inThread, endThreads } = await threadsWith('60000');
    end = endThreads;
    expect(planCost(large)).toBeGreaterThan(STEPS_AT_ONCE);
    const order: string[] = [];
    const made = inThread('planned', GIVEN, planCost(large)).then((outcome) => {
      order.push('planned');
      return outcome;
    });
    await new Promise((next) => setTimeout(next, 0));
    order.push('somebody else');
    const outcome = await made;
    expect(order).toEqual(['somebody else', 'planned']);
    expect(outcome.ok && outcome.value.holes.length).toBeGreaterThan(14_000);
    const here = plan(large, DEFAULT_PROFILE);
    expect(outcome.ok && outcome.value.holes).toEqual(here.holes);
    expect(outcome.ok && outcome.value.warnings).toEqual(here.warnings);
  });

  it('is refused after the deadline, and where too many wait', async () => {
    const { inThread, endThreads } = await threadsWith('300');
    end = endThreads;
    const costly = {
      ...GIVEN,
      definition: definition('line', ['0.040', '0.040'], divided('1000'))
    };
    const outcomes = await Promise.all(
      Array.from({ length: 24 }, () => inThread('planned', costly, STEPS_AT_ONCE + 1))
    );
    const reasons = new Set(outcomes.map((outcome) => (outcome.ok ? 'made' : outcome.reason)));
    expect(reasons).toContain('busy');
    expect(reasons).toContain('too-long');
    // a small one is made at once all the same
    const small = definition('lap', ['0.040', '0.040'], {
      widthIn: '6',
      dash: 4,
      perInch: '2',
      perInchReason: 'own'
    });
    const little = await inThread(
      'planned',
      { definition: small, profile: DEFAULT_PROFILE },
      planCost(small)
    );
    expect(little.ok && little.value.holes).toHaveLength(12);
  });
});

describe('the plan of a stored joint', () => {
  it('is made once for a revision under a profile', async () => {
    vi.resetModules();
    const { planOf } = await import('../../src/lib/server/heavy/kept-plans.ts');
    const joint = {
      id: 'a joint',
      revision: 3,
      profileId: 'a profile',
      definition: {
        ...newJoint('lap'),
        widthIn: '6',
        perInch: '2',
        perInchReason: 'own',
        dash: 4 as const,
        sheets: newJoint('lap').sheets.map((sheet) => ({ ...sheet, thicknessIn: '0.040' }))
      },
      profile: DEFAULT_PROFILE
    };
    const [first, again] = await Promise.all([planOf(joint), planOf(joint)]);
    const later = await planOf(joint);
    if (!first.ok || !again.ok || !later.ok) throw new Error('not planned');
    expect(again.value).toBe(first.value);
    expect(later.value).toBe(first.value);
    expect(later.value.plan.holes).toHaveLength(12);
    const changed = await planOf({
      ...joint,
      revision: 4,
      definition: { ...joint.definition, perInch: '3' }
    });
    expect(changed.ok && changed.value.plan.holes).toHaveLength(18);
    // what cannot be read is refused, and asked again each time
    const unread = await planOf({
      ...joint,
      revision: 5,
      definition: { ...joint.definition, widthIn: 'wide' }
    });
    expect(unread).toMatchObject({ ok: false, reason: 'not-possible' });
  });
});
