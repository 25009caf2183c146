import { expect, it } from 'vitest';
import { happened, idOf, instant } from '../../../tests/support/histories.ts';
import { smallRelease } from '../../../tests/support/small-release.ts';
import { reworkStream } from '../reworking/rework-events.ts';
import { rivetsToLookAt } from './release-now.ts';

const release = smallRelease();
const all = release.holes.map(({ number }) => number);
const out = reworkStream.project(
  release,
  happened(reworkStream, release, [
    { kind: 'out', hole: 2, school: 'under-shank', how: 'plain', id: idOf(1), at: instant(1) }
  ])
);

it('looks at every rivet that is not out, while nobody logs driving', () => {
  const driven = { hitAt: new Map<number, number>(), logged: false };
  expect(rivetsToLookAt({ release, rework: out, driven })).toEqual(all.filter((n) => n !== 2));
});

it('looks at what was driven and is not out, once driving is logged', () => {
  const hitAt = new Map([
    [3, 1],
    [2, 2],
    [1, 3]
  ]);
  expect(rivetsToLookAt({ release, rework: out, driven: { hitAt, logged: true } })).toEqual([1, 3]);
});
