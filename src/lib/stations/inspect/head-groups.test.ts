import { describe, expect, it } from 'vitest';
import type { HeadInD } from '$core/inspect/hole-events.ts';
import type { Release } from '$core/release/release.ts';
import { headGroups } from './head-groups';

const stack = (partNumber: string) => ({
  name: '',
  dash: 4 as const,
  partNumber,
  lengthIn: 0.3,
  holeIn: 0.1285,
  dimpledThrough: false,
  raisedIn: 0,
  wideIn3: 0
});
const release = {
  facts: { stacks: [stack('MS20470AD4-5'), stack('MS20470DD4-6')], gripIn: 0.1 },
  holes: [1, 2, 3].map((number) => ({ number, stack: number === 3 ? 1 : 0, dash: 4, gripIn: 0.1 }))
} as unknown as Pick<Release, 'facts' | 'holes'>;
const head = (hole: number, by: string) => ({ id: String(hole), hole, by }) as HeadInD;
const tap = (minute: number, batch: string | null) => ({
  driven: true,
  hitAt: `2031-05-02T08:${String(minute).padStart(2, '0')}:00Z`,
  batch
});

describe('heads that belong together', () => {
  const groups = headGroups({
    release,
    heads: [head(1, 'Ilse'), head(2, 'Ilse'), head(3, 'Benn')],
    driven: new Map([
      [1, tap(1, null)],
      [2, tap(30, null)],
      [3, tap(40, 'b')]
    ]),
    settings: [
      {
        id: 's',
        run: 'MS20470AD4-5',
        begunAt: '2031-05-02T08:20:00Z',
        withdrawnAt: null,
        tool: 'squeezer 2'
      }
    ],
    lots: new Map([['b', 'K-1']])
  });
  const of = (text: string) =>
    [1, 2, 3].filter((hole) =>
      groups.find((group) => group.text === text)?.has(head(hole, hole === 3 ? 'Benn' : 'Ilse'))
    );

  it('are found by person, run, setting and batch', () => {
    expect(groups.map(({ text }) => text)).toEqual([
      'measured by Ilse',
      'measured by Benn',
      'MS20470AD4-5',
      'MS20470DD4-6',
      'set: squeezer 2',
      'batch of lot K-1'
    ]);
    expect(of('MS20470AD4-5')).toEqual([1, 2]);
    expect(of('set: squeezer 2')).toEqual([2]);
    expect(of('batch of lot K-1')).toEqual([3]);
  });

  it('are no groups where all belong to one', () => {
    const same = headGroups({
      release,
      heads: [head(1, 'Ilse'), head(2, 'Ilse')],
      driven: new Map(),
      settings: [],
      lots: new Map()
    });
    expect(same).toEqual([]);
  });
});
