import { describe, expect, it } from 'vitest';
import type { PlanSummary } from '../release/summary';
import { markCounts } from './release-count';
import { stagesSoFar } from './stages-so-far';

const plan = (changes: Partial<PlanSummary> = {}): PlanSummary => ({
  kind: 'lap',
  state: 'planned',
  stoppedAt: null,
  holes: 4,
  parts: [],
  attention: [],
  ...changes
});
const LETTERS = { done: 'd', begun: 'b', blocked: 'x', 'not-begun': '-' } as const;
const written = (...of: Parameters<typeof stagesSoFar>) =>
  stagesSoFar(...of)
    .map((mark) => LETTERS[mark])
    .join('');
const released = {
  holes: 4,
  driven: 4,
  marks: markCounts({ accept: 4 }),
  questions: 0,
  signed: false
};

describe('how far a joint is at each stage', () => {
  it.each<[string, string, Parameters<typeof stagesSoFar>]>([
    ['fields are missing', 'b------', [plan({ state: 'unreadable' }), false, null]],
    ['it cannot be read at all', 'b------', [null, false, null]],
    ['it is planned', 'ddd----', [plan(), false, null]],
    ['something stops it', 'dx-----', [plan({ stoppedAt: 'layout' }), false, null]],
    ['steps were done before the release', 'dddb---', [plan(), true, null]],
    [
      'half is driven',
      'dddbb--',
      [plan(), true, { ...released, driven: 2, marks: markCounts({}) }]
    ],
    ['all is driven and inspected', 'ddd-dd-', [plan(), false, released]],
    [
      'one is bad',
      'ddd-dx-',
      [plan(), false, { ...released, marks: markCounts({ accept: 3, replace: 1 }) }]
    ],
    ['a question is open', 'ddd-dx-', [plan(), false, { ...released, questions: 1 }]],
    ['it is signed', 'ddd-ddd', [plan(), false, { ...released, signed: true }]]
  ])('%s', (_, marks, of) => {
    expect(written(...of)).toBe(marks);
  });
});
