import { describe, expect, it } from 'vitest';
import { chipDigits, type Chip, type JobLine } from '$lib/api/job-lines.ts';
import { jobsShown, openAtFirst, type JobsAsked } from './jobs-shown';

const joint = (title: string, savedMs = 0, chips: Chip[] = []) => ({
  id: title,
  title,
  parts: '12 × MS20470AD4-5',
  stages: 'ddd----',
  chips: chipDigits(chips),
  far: '',
  needs: [],
  savedMs
});
const job = (number: string, title: string, joints: JobLine['joints'], practice = false) => ({
  ...{ id: number, number, title, place: 'hull 9', data: 'sheet', practice, joints }
});
const JOBS: JobLine[] = [
  job('12', 'Wing', [joint('Rib 3', 5, ['mine']), joint('Tip lap', 1, ['bad', 'mine'])]),
  job('9', 'Hull', [joint('Keel strap', 9, ['signed'])]),
  job('practice', 'Practice', [joint('Practice, Ilse', 20)], true),
  job('30', 'Empty', [])
];
const shown = (asked: Partial<JobsAsked>) =>
  jobsShown(JOBS, { text: '', chips: [], order: 'number', ...asked }).map(
    ({ number, joints }) => `${number}: ${joints.map(({ title }) => title).join(', ')}`
  );

describe('the list of jobs', () => {
  it('has every job, the newest number first and practice last', () => {
    expect(shown({})).toEqual([
      '30: ',
      '12: Rib 3, Tip lap',
      '9: Keel strap',
      'practice: Practice, Ilse'
    ]);
  });

  it.each<[string, Partial<JobsAsked>, string[]]>([
    ['words of joint and job together', { text: 'WING  rib' }, ['12: Rib 3']],
    ['a part number', { text: 'ad4-5 keel' }, ['9: Keel strap']],
    ['a chip', { chips: ['mine'] }, ['12: Rib 3, Tip lap']],
    ['two chips at once', { chips: ['mine', 'bad'] }, ['12: Tip lap']],
    ['nothing that there is', { text: 'zz' }, []]
  ])('shows by %s', (_, asked, lines) => {
    expect(shown(asked)).toEqual(lines);
  });

  it('goes by what was saved last, practice last all the same', () => {
    expect(shown({ order: 'saved' }).map((line) => line.split(':')[0])).toEqual([
      '9',
      '12',
      '30',
      'practice'
    ]);
  });

  it('opens jobs from the top until enough joints stand there, and always the first', () => {
    const many = Array.from({ length: 20 }, (_, at) => joint(`J${at}`));
    expect([...openAtFirst([job('a', 'A', many), job('b', 'B', many)])]).toEqual(['a']);
    expect([...openAtFirst(JOBS)]).toEqual(['12', '9', 'practice', '30']);
  });
});
