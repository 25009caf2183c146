import { describe, expect, it } from 'vitest';
import { driveStream } from './drive-events';
import { DriveMove } from './drive-move';
import { objectionKey, objections } from './objections';

const PART = 'MS20470AD4-5';
const RIGHT = { part: PART, hasWay: true, setting: { tool: 'air squeezer', released: true } };
const ALL = { done: 13, of: 13 };

describe('what stands against driving', () => {
  it('is nothing where all is met, and where nothing is left to drive', () => {
    expect(objections(ALL, [RIGHT])).toEqual([]);
    expect(objections(ALL, [])).toEqual([]);
    // a joint that has changed since: its steps are not counted here
    expect(objections(null, [RIGHT])).toEqual([]);
  });

  it.each([
    [{ hasWay: false }, { code: 'no-way', part: PART }, `no-way ${PART}`],
    [
      { setting: { tool: 'air squeezer', released: false } },
      { code: 'setting', part: PART, tool: 'air squeezer' },
      // another tool for it is another matter
      `setting ${PART}, air squeezer`
    ],
    [{ setting: null }, { code: 'setting', part: PART, tool: null }, `setting ${PART}`]
  ])('with %j is %j', (change, said, key) => {
    const found = objections(ALL, [{ ...RIGHT, ...change }]);
    expect(found).toEqual([said]);
    expect(found.map(objectionKey)).toEqual([key]);
  });

  it('is all of it at once, each once: steps, and every run that is not driven', () => {
    const other = { ...RIGHT, part: 'MS20470AD4-6', setting: null };
    expect(
      objections({ done: 12, of: 13 }, [RIGHT, { ...RIGHT, setting: null }, other, other]).map(
        objectionKey
      )
    ).toEqual(['steps', `setting ${PART}`, 'setting MS20470AD4-6']);
  });
});

describe('an answer to it', () => {
  const move = (rest: object) =>
    DriveMove.safeParse({
      id: '00000000-0000-4000-8000-000000000001',
      at: '2031-05-02T08:00:00Z',
      kind: 'objected',
      key: 'steps',
      ...rest
    });

  it('is done, not needed, or a reason; a reason says why', () => {
    expect(move({ answer: 'done' }).success).toBe(true);
    expect(move({ answer: 'not-needed' }).success).toBe(true);
    expect(move({ answer: 'reason', why: 'drawing 12 drills later' }).success).toBe(true);
    expect(move({ answer: 'reason', why: ' ' }).success).toBe(false);
    expect(move({ answer: 'yes' }).success).toBe(false);
  });

  it('stays in the log, the last one for each', () => {
    const said = (at: string, answer: 'done' | 'not-needed') => {
      const read = move({ id: crypto.randomUUID(), at, answer });
      if (!read.success) throw read.error;
      return { ...read.data, by: 'Ilse', frozen: { partNumber: null, cold: null } };
    };
    const { objections: answered } = driveStream.project(
      { facts: {} as never, holes: [], heldOpen: [], batches: [] },
      [said('2031-05-02T08:05:00Z', 'done'), said('2031-05-02T08:01:00Z', 'not-needed')]
    );
    expect([...answered]).toEqual([
      ['steps', { answer: 'done', why: '', by: 'Ilse', at: '2031-05-02T08:05:00Z' }]
    ]);
  });
});
