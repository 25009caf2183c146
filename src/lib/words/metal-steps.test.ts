import { expect, it } from 'vitest';
import { definition, layoutOf } from '../../../tests/support/joints.ts';
import { runningMarkIn } from '../../core/plan/holes.ts';
import { metalSteps } from '../../core/plan/metal-steps.ts';
import { metalStepInWords } from './metal-steps.ts';

const layout = layoutOf(
  definition('patch', ['0.040', '0.040'], {
    carries: 'attach',
    dash: 4,
    edgeIn: '3/8',
    cutoutWIn: '2',
    cutoutHIn: '2'
  })
);
const plain = (words: ReturnType<typeof metalStepInWords>): string =>
  [words.title, ...words.say.map((part) => (typeof part === 'string' ? part : '…'))].join(' ');
const divides = metalSteps(layout)
  .filter(({ code }) => code === 'divide')
  .map((step) => plain(metalStepInWords(step)));

it('names holes as they lie along a line, and runs only where they are one', () => {
  const byKey = new Map(layout.lines.map((line) => [line.key, line]));
  const left = byKey.get('skin-left');
  const top = byKey.get('skin-top');
  const said = (name = '') => divides.find((words) => words.includes(name)) ?? '';
  expect(said(top?.name)).toContain(`mark holes 1 to ${top?.holes.at(-1)} from`);
  // a side's corners are numbered on the lines across
  const [first, ...rest] = left?.holes ?? [];
  expect(rest.every((hole, at) => hole === (first ?? 0) + at + 1)).toBe(false);
  expect(said(left?.name)).toContain(`mark holes ${left?.holes.join(', ')} from`);
});

it('has each hole’s mark along the line it is read in', () => {
  const left = layout.lines.find(({ key }) => key === 'skin-left');
  if (!left) throw new Error('no left line');
  const marks = left.holes.map((number) => {
    const hole = layout.holes.find((one) => one.number === number);
    return hole ? runningMarkIn(left, hole) : NaN;
  });
  // from the upper edge down: the lower corner lies an edge distance above the lower edge
  expect(marks[0]).toBeCloseTo(0.375, 9);
  expect(marks.at(-1)).toBeCloseTo(layout.heightIn - 0.375, 9);
  expect([...marks].sort((a, b) => a - b)).toEqual(marks);
});
