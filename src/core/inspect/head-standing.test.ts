import { describe, expect, it } from 'vitest';
import type { ReleasedFacts, ReleasedHole } from '../release/release';
import { DEFAULT_PROFILE } from '../rules/profile';
import type { InspectionPlace } from '../rules/inspection';
import { headStanding, placesAsked } from './head-standing';
import type { HoleEvent } from './hole-events';
import { HoleLook, judgeLook } from './hole-look';

const facts = { limits: 'standard', head: 'universal', rules: null } as ReleasedFacts;
const flush: ReleasedFacts = { ...facts, head: 'countersunk', rules: DEFAULT_PROFILE };
/** dash 4: 0.125 in; a good head is 0.1625 to 0.21875 wide, 0.0475 to 0.0825 high */
const hole = {
  number: 7,
  dash: 4,
  room: { edgeIn: 0.3, pitchIn: 1, betweenRowsIn: null, sheetsIn: [0.064, 0.064] }
} as unknown as ReleasedHole;
const THREE: InspectionPlace[] = ['shop', 'manufactured', 'sheet'];

let made = 0;
const look = (move: object, of: ReleasedFacts = facts): HoleEvent => {
  const parsed = HoleLook.parse({
    id: `00000000-0000-4000-8000-${String((made += 1)).padStart(12, '0')}`,
    at: '2031-05-02T09:00:00Z',
    hole: 7,
    flags: [],
    ...move
  });
  const judged = judgeLook(parsed, of, hole);
  if (!judged.ok) throw new Error(judged.error.said.code);
  return { ...parsed, by: 'Ilse', frozen: judged.result };
};
const calipers = (diameterIn: number, heightIn: number, more: object = {}, of = facts) =>
  look({ kind: 'checked', diameterIn, heightIn, ...more }, of);
const eye = (more: object, of = facts) => look({ kind: 'eyed', ...more }, of);
const GOOD = () => calipers(0.188, 0.062);
const says = (looks: HoleEvent[], asked: InspectionPlace[] = THREE) => {
  const standing = headStanding(looks, asked);
  return standing && [standing.verdict, standing.missing.join(' ')];
};

describe('looks at one rivet', () => {
  it('are nothing where nobody looked', () => {
    expect(headStanding([], THREE)).toBeNull();
  });

  it('add up, whoever takes them and in whatever order', () => {
    expect(says([GOOD()])).toEqual(['not-complete', 'manufactured sheet']);
    const far = eye({ clean: ['manufactured'] });
    expect(says([GOOD(), far])).toEqual(['not-complete', 'sheet']);
    expect(says([far])).toEqual(['not-complete', 'shop sheet']);
    expect(says([far, eye({ clean: ['sheet'] }), GOOD()])).toEqual(['accept', '']);
    expect(says([calipers(0.188, 0.062, { clean: ['manufactured', 'shop', 'sheet'] })])).toEqual([
      'accept',
      ''
    ]);
  });

  it('never make a shop head good by the eye alone', () => {
    expect(says([eye({ clean: ['manufactured', 'shop', 'sheet'] })])).toEqual([
      'not-complete',
      'shop'
    ]);
  });

  it('are no better than the worst of them, whichever came last', () => {
    const low = calipers(0.2, 0.04);
    const short = calipers(0.15, 0.1);
    for (const looks of [
      [low, GOOD()],
      [GOOD(), low]
    ])
      expect(headStanding(looks, ['shop'])).toMatchObject({ verdict: 'replace', decisive: low });
    expect(headStanding([short, GOOD()], ['shop'])).toMatchObject({
      verdict: 'drive-more',
      findings: ['under-driven']
    });
    const cracked = eye({ flags: ['cracked'] });
    const ring = eye({ flags: ['ring-mark'] });
    const standing = headStanding([ring, cracked, GOOD()], THREE);
    expect(standing).toMatchObject({ verdict: 'refer', decisive: ring });
    expect(standing?.findings).toEqual(['ring-mark', 'cracked']);
  });

  it('are measured again where none tells on which side of a limit it is, and settled by one that does', () => {
    const print = calipers(0.1635, 0.062, {
      how: 'print',
      plusMinus: { diameterIn: 0.004, heightIn: 0.004 }
    });
    expect(print.frozen.verdict).toBe('measure');
    expect(says([print], ['shop'])).toEqual(['measure', 'shop']);
    expect(says([print, calipers(0.165, 0.062)], ['shop'])).toEqual(['accept', '']);
    expect(says([calipers(0.165, 0.062), print], ['shop'])).toEqual(['accept', '']);
    // what is seen from the other side settles nothing of its size
    expect(says([print, eye({ clean: ['manufactured', 'sheet'] })])).toEqual(['measure', 'shop']);
  });

  it('by a plate leave open what the plate cannot tell, until calipers do', () => {
    const plate = (answers: object) =>
      look({
        kind: 'gauged',
        plate: { name: 'A', headHoleIn: 0.1625, notchIn: 0.0475 },
        ...answers
      });
    const inside = plate({ fitsOver: false, touchesSheet: false });
    expect(says([inside], ['shop'])).toEqual(['accept', '']);
    expect(headStanding([inside], ['shop'])?.cannotTell).toEqual(['too-wide', 'too-high']);
    expect(headStanding([inside, GOOD()], ['shop'])?.cannotTell).toEqual([]);
    expect(says([plate({ fitsOver: true, touchesSheet: false }), GOOD()], ['shop'])).toEqual([
      'drive-more',
      ''
    ]);
  });

  it('at a flush head want its flushness, and a slip that does not tell is no look at it', () => {
    const asked = [...placesAsked(flush, hole)];
    expect(asked).toEqual(['shop', 'manufactured', 'sheet', 'flush']);
    const sides = eye({ clean: ['manufactured', 'sheet'] }, flush);
    const good = calipers(0.188, 0.062, {}, flush);
    expect(says([good, sides], asked)).toEqual(['not-complete', 'flush']);
    const thick = eye({ flush: { by: 'slip', slipIn: 0.006, catches: false } }, flush);
    expect(says([good, sides, thick], asked)).toEqual(['measure', 'flush']);
    const number = eye({ flush: { by: 'number', offIn: 0.001 } }, flush);
    expect(says([good, sides, thick, number], asked)).toEqual(['accept', '']);
    const proud = eye({ flush: { by: 'number', offIn: 0.003 } }, flush);
    expect(says([good, sides, proud, number], asked)).toEqual(['replace', '']);
  });
});

describe('what makes an inspection complete', () => {
  it('is the shop’s rule; the shop head always, flushness of flush heads only', () => {
    const under = (inspect: InspectionPlace[], head: ReleasedFacts['head'] = 'universal') =>
      placesAsked({ head, rules: { ...DEFAULT_PROFILE, inspect } as ReleasedFacts['rules'] }, hole);
    expect(under(['manufactured', 'sheet', 'flush'])).toEqual(THREE);
    expect(under([])).toEqual(['shop']);
    expect(under(['flush'], 'countersunk')).toEqual(['shop', 'flush']);
    // a release that does not hold its rules promised the shop head
    expect(placesAsked(facts, hole)).toEqual(['shop']);
  });
});
