import { describe, expect, it } from 'vitest';
import { nextOf, type Standing } from './standings';
import { STATIONS, type StationKey } from './stations';

/** Every station as told, the rest with nothing to say. */
const standing = (marks: Partial<Record<StationKey, Standing['mark']>>) =>
  Object.fromEntries(
    STATIONS.map(({ key }) => [key, { mark: marks[key] ?? null, text: '' }])
  ) as Record<StationKey, Standing>;
const SEEN = { size: 'done', layout: 'done', 'stack-up': 'done' } as const;

describe('where to go on', () => {
  it.each<[string, Partial<Record<StationKey, Standing['mark']>>, StationKey, string | null]>([
    ['to what was not inspected', { ...SEEN, 'stack-up': 'unseen' }, 'size', 'Next: Stack-up'],
    ['back to what has changed', { ...SEEN, layout: 'unseen' }, 'stack-up', 'Review Layout'],
    ['to the next work', SEEN, 'stack-up', 'Next: Prepare'],
    ['to driving', { ...SEEN, prepare: 'done' }, 'prepare', 'Next: Drive'],
    ['to signing after looking', SEEN, 'inspect', 'Next: Sign'],
    ['back to what is left', { ...SEEN, sign: 'done' }, 'sign', 'Review Prepare'],
    [
      'to what stops it',
      { size: 'done', 'stack-up': 'stop', inspect: 'waits' },
      'size',
      'Fix in Stack-up'
    ],
    ['nowhere, where it is mended here', { 'stack-up': 'stop' }, 'stack-up', null],
    [
      'nowhere by itself, where a stop stands above',
      { 'stack-up': 'stop', inspect: 'waits' },
      'inspect',
      null
    ],
    [
      'nowhere, all being done',
      { ...SEEN, prepare: 'done', drive: 'done', inspect: 'done', sign: 'done' },
      'inspect',
      null
    ]
  ])('%s', (_, marks, current, text) => {
    expect(nextOf(standing(marks), current, true)).toBeNull();
    expect(nextOf(standing(marks), current, false)?.text ?? null).toBe(text);
  });
});
