import { describe, expect, it } from 'vitest';
import { definition, planned } from '../../../tests/support/joints';
import type { Answer, WorkLine } from '../../core/answer';
import { by, cubic, len, unitLen } from '../../core/notation';
import { metalSteps } from '../../core/plan/metal-steps';
import { substitutions } from '../../core/plan/substitutions';
import type { Joint } from '../../core/kinds/joint';
import { readyPlan } from '../../core/prepare/ready-plan';
import { STARTING_FIGURES } from '../../core/prepare/shop-figures';
import { DEFAULT_PROFILE } from '../../core/rules/profile';
import { calc } from '../../core/calc';
import { answerInWords, notationInWords, workInWords } from './arithmetic';
import { exactDecimal } from './writing';
import { refusalInWords } from './refusals';
import { stepInWords } from './ready-steps';
import { substitutionInWords } from './substitutions';
import { warningInWords } from './warnings';
import { inStyle } from './writing';

const mm = inStyle('mm');
const INCHES = /\d in\b/;

describe('a line of arithmetic', () => {
  const line: WorkLine = {
    label: 'protrusion',
    formula: by`L − G = ${len(0.25)} − ${len(0.08)}, of ${unitLen(0.25)}`,
    value: 0.17,
    unit: 'in'
  };

  it('is written in the unit of whoever reads it, to the last place', () => {
    expect(workInWords(line, 'mm')).toMatchObject({
      formula: 'L − G = 6.35 − 2.032, of 6.35 mm',
      unit: 'mm'
    });
    expect(workInWords(line, 'mm').value).toBeCloseTo(4.318, 12);
    expect(workInWords(line, 'thou').formula).toBe('L − G = 250 − 80, of 250 thou');
    expect(workInWords(line, '1/64').formula).toBe('L − G = 0.25 − 0.08, of 0.25 in');
  });

  it('keeps to one unit within itself: a volume goes with its lengths', () => {
    const volume: WorkLine = {
      label: 'head volume',
      formula: by`${cubic(0.002)} − ${cubic(0.0005)}; D = ${len(0.125)}`,
      value: 0.0015,
      unit: 'in³'
    };
    // 0.002 in³ × 25.4³ = 32.7741 mm³
    expect(workInWords(volume, 'mm')).toMatchObject({
      formula: '32.7741 − 8.1935; D = 3.175',
      unit: 'mm³'
    });
    // cubic thou tell nobody anything
    expect(workInWords(volume, 'thou')).toMatchObject({
      formula: '0.002 − 0.0005; D = 0.125',
      unit: 'in³'
    });
  });

  it('leaves loads and rivets an inch as the guidance is printed', () => {
    const load: WorkLine = { label: 'shear', formula: '30 ksi × 0.013', value: 389, unit: 'lb' };
    expect(workInWords(load, 'mm')).toEqual(load);
  });
});

it('is answered in inches and English where a program asks', () => {
  const told = answerInWords(calc('rivets-required', { thicknessIn: '0.32', dash: 4, widthIn: 9 }));
  expect(told).toMatchObject({ ok: false, error: { code: 'invalid-input' } });
  const grip = answerInWords(
    calc('rivet-length', { sheetsIn: [0.04, 0.05], dash: 4, head: 'universal' })
  );
  expect(grip.ok && grip.work[0]).toEqual({
    label: 'grip',
    formula: '0.04 + 0.05',
    value: 0.09,
    unit: 'in'
  });
});

describe('someone who works in millimetres', () => {
  const flush = {
    head: 'countersunk',
    dash: 4,
    widthIn: '150 mm',
    perInch: '2',
    perInchReason: 'x'
  } as const;
  const JOINTS: [string, Joint][] = [
    ['a flush lap', definition('lap', ['0.063', '0.040'], flush)],
    ['a dimpled lap', definition('lap', ['0.025', '0.032'], flush)],
    [
      'a patch',
      definition('patch', ['0.032', '0.040'], {
        carries: 'attach',
        dash: 4,
        edgeIn: '8 mm',
        cornerRadiusIn: '1/2',
        cutoutWIn: '100 mm',
        cutoutHIn: '76 mm'
      })
    ],
    [
      'a panel',
      definition('panel', ['0.040', '0.125', '0.050'], {
        widthIn: '500 mm',
        heightIn: '300 mm',
        frameIn: '25 mm',
        dash: 4
      })
    ]
  ];

  it.each(JOINTS)('reads no inch in any step, warning, figure or line of %s', (_, joint) => {
    const plan = planned(joint);
    if (!plan.layout.ok) throw new Error('the joint is laid out');
    const layout = plan.layout.result;
    const [stack] = plan.stacks;
    if (!stack) throw new Error('a stack');
    const work = (answer: Answer<unknown>) => (answer.ok ? answer.work : []);
    const lines = [
      ...layout.figures.flatMap((figure) => figure.work),
      ...layout.work,
      ...work(stack.length),
      ...work(stack.head),
      ...stack.hole.work,
      ...(stack.flush ? work(stack.flush) : [])
    ].filter(({ unit }) => !['lb', '/in', 'ksi'].includes(unit));
    const { steps } = readyPlan(joint, plan, DEFAULT_PROFILE, STARTING_FIGURES, []);
    const read = [
      ...lines.map((line) => {
        const { formula, value, unit } = workInWords(line, 'mm');
        return `${formula} = ${value} ${unit}`;
      }),
      ...layout.figures.map(({ note, text }) => notationInWords(note ?? text ?? '', 'mm')),
      ...plan.warnings.map((warning) => Object.values(warningInWords(warning, mm)).join(' ')),
      ...steps.flatMap((step) => Object.values(stepInWords(step, mm))),
      ...substitutions({ joint, plan, stack, profile: DEFAULT_PROFILE }).flatMap((other) =>
        other.lines.flatMap(({ said }) => Object.values(substitutionInWords(said, mm)))
      )
    ];
    expect(read.length).toBeGreaterThan(40);
    expect(metalSteps(layout).length).toBeGreaterThan(3);
    expect(read.filter((text) => INCHES.test(text))).toEqual([]);
  });

  it.each([
    [{ code: 'line-too-short', spanIn: -0.25 } as const, /^-6\.35 mm is left/],
    [
      { code: 'no-room-between-edges', widthIn: 0.5, edgeIn: 0.28125 } as const,
      /^a width of 12\.7 mm .* over 14\.29 mm$/
    ],
    [
      {
        code: 'slipped-sheet',
        valueIn: 0.32,
        must: 'over',
        limitIn: 0.25,
        meantIn: 0.032
      } as const,
      /^a sheet of 8\.13 mm is over 6\.35 mm\. .* Was 0\.81 mm meant\?$/
    ]
  ])('reads millimetres where something cannot be: %j', (said, text) => {
    expect(refusalInWords(said, mm)).toMatch(text);
  });
});

describe('the exact decimal', () => {
  it.each([
    ['1/64', '0.40625 in'],
    ['decimal', '0.40625 in'],
    ['thou', '406.25 thou'],
    // 13/32 × 25.4
    ['mm', '10.31875 mm']
  ] as const)('in %s is %s', (style, text) => {
    expect(exactDecimal(13 / 32, style)).toBe(text);
  });
});
