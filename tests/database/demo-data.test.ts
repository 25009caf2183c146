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
    const count = (wanted: string) => states.filter((state) => state === wanted).length;
    expect(['checking', 'unreadable', 'planned', 'signed'].map(count)).toEqual([2, 1, 9, 1]);
    const at = (title: string) => joints.find((joint) => joint.title === title);
    expect(at('Bottom skin lap, bay 9')?.marks).toMatchObject({
      accept: 7,
      'not-complete': 2,
      measure: 0,
      'drive-more': 1,
      replace: 2,
      refer: 0,
      out: 0,
      left: 0
    });
    // one replaced and good by now, one hole empty, one left on the data holder's word, one question open
    expect(at('Tip float, closing strip')).toMatchObject({
      inspected: 9,
      driven: 36,
      marks: { accept: 5, 'drive-more': 1, replace: 1, refer: 1, left: 1, out: 1 },
      attention: expect.arrayContaining(['1 empty hole', '1 question open']) as string[]
    });
    expect(at('Float stringer 6, broken')).toMatchObject({ signedBy: 'Tomas Ekbrand' });
  });
});
