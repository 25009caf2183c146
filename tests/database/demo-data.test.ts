import { describe, expect, it } from 'vitest';
import { seedDemoData } from '../../scripts/demo-data.ts';
import { listJobs } from '../../src/lib/server/services/jobs.ts';
import { useDatabase } from './database.ts';

const database = useDatabase();

describe('the demo data', () => {
  it('fills an empty database once', async () => {
    expect(await seedDemoData(database())).toBe(true);
    expect(await seedDemoData(database())).toBe(false);
  });

  it('shows a joint in every state a bench can have', async () => {
    const joints = (await listJobs(database())).flatMap((job) => job.joints);
    expect(joints.map((joint) => joint.state).sort()).toEqual([
      'checking',
      'planned',
      'planned',
      'unreadable'
    ]);
    expect(joints.find((joint) => joint.state === 'checking')?.verdicts).toEqual({
      accept: 9,
      'drive-more': 1,
      replace: 2,
      refer: 0
    });
  });
});
