import { describe, expect, it } from 'vitest';
import { JOINT_KINDS } from '../../src/core/kinds/new-joint.ts';
import { seedDemoData } from '../../scripts/demo-data.ts';
import { listJobs } from '../../src/lib/server/services/jobs.ts';
import { useDatabase } from './database.ts';

const database = useDatabase();

describe('the demo data', () => {
  it('fills an empty database once', async () => {
    expect(await seedDemoData(database())).toBe(true);
    expect(await seedDemoData(database())).toBe(false);
  });

  it('has every kind of joint, each as it can be laid out', async () => {
    const joints = (await listJobs(database())).flatMap((job) => job.joints);
    expect(new Set(joints.map(({ kind }) => kind))).toEqual(new Set(JOINT_KINDS));
    for (const joint of joints.filter(({ state }) => state === 'planned'))
      expect(joint.attention, joint.title).toEqual([]);
  });

  it('shows a joint in every state a bench can have', async () => {
    const joints = (await listJobs(database())).flatMap((job) => job.joints);
    const states = joints.map((joint) => joint.state);
    expect(states.filter((state) => state === 'checking')).toHaveLength(1);
    expect(states.filter((state) => state === 'unreadable')).toHaveLength(1);
    expect(states.filter((state) => state === 'planned')).toHaveLength(10);
    expect(joints.find((joint) => joint.state === 'checking')?.verdicts).toEqual({
      accept: 9,
      'drive-more': 1,
      replace: 2,
      refer: 0
    });
  });
});
