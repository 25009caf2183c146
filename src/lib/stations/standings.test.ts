import { describe, expect, it } from 'vitest';
import { nextOf, type Standing } from './standings';
import { STATIONS, type StationKey } from './stations';

/** Every station as told, the rest with nothing to say. */
const standing = (marks: Partial<Record<StationKey, Standing['mark']>>) =>
  Object.fromEntries(
    STATIONS.map(({ key }) => [key, { mark: marks[key] ?? null, text: '' }])
  ) as Record<StationKey, Standing>;
const SEEN = { carry: 'done', 'lay-out': 'done', stack: 'done' } as const;

describe('where to go on', () => {
  it.each<[string, Partial<Record<StationKey, Standing['mark']>>, StationKey, string | null]>([
    ['to what was not inspected', { ...SEEN, stack: 'unseen' }, 'carry', 'Next: Stack-up'],
    ['back to what has changed', { ...SEEN, 'lay-out': 'unseen' }, 'stack', 'Review Layout'],
    ['to the next work', SEEN, 'stack', 'Next: Prepare'],
    ['to driving', { ...SEEN, 'make-ready': 'done' }, 'make-ready', 'Next: Drive'],
    ['to signing after looking', SEEN, 'check', 'Next: Sign'],
    ['back to what is left', { ...SEEN, sign: 'done' }, 'sign', 'Review Prepare'],
    [
      'to what stops it',
      { carry: 'done', stack: 'stop', check: 'waits' },
      'carry',
      'Fix in Stack-up'
    ],
    ['nowhere, where it is mended here', { stack: 'stop' }, 'stack', null],
    [
      'nowhere by itself, where a stop stands above',
      { stack: 'stop', check: 'waits' },
      'check',
      null
    ],
    [
      'nowhere, all being done',
      { ...SEEN, 'make-ready': 'done', drive: 'done', check: 'done', sign: 'done' },
      'check',
      null
    ]
  ])('%s', (_, marks, current, text) => {
    expect(nextOf(standing(marks), current, true)).toBeNull();
    expect(nextOf(standing(marks), current, false)?.text ?? null).toBe(text);
  });
});
