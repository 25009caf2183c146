import { describe, expect, it } from 'vitest';
import { arithmetic, refusal, written } from '../../../tests/support/words';
import { resultOf } from '../../../tests/support/cases';
import { definition, planned } from '../../../tests/support/joints';
import { DEFAULT_MULTIPLIERS } from '../rules/multipliers';
import { heldAt, layersOf } from './layers';
import { measuredProtrusion, type CauseSaid } from './measured-protrusion';
import { whyNot } from '../../../tests/support/why-not.ts';

const sheets = heldAt(
  layersOf(
    [
      { name: 'upper skin', thicknessIn: 0.04, film: true },
      { name: 'lower skin', thicknessIn: 0.032 }
    ],
    null
  ),
  0
);
const stack = { gripIn: 0.072, sheets };
const measure = (protrusionIn: number, of = stack, fromDimple = false) =>
  measuredProtrusion(
    { dash: 4, lengthIn: 0.28125, protrusionIn, fromDimple },
    of,
    DEFAULT_MULTIPLIERS
  );

describe('a rivet put in and measured', () => {
  it('agrees within what a depth gauge repeats', () => {
    expect(resultOf(measure(0.20725))).toMatchObject({ agrees: true, causes: [] });
    const found = resultOf(measure(0.206));
    expect(found.gripIn).toBeCloseTo(0.07525, 12);
    expect(found.differenceIn).toBeCloseTo(0.00325, 12);
    expect(found.protrusionD).toBeCloseTo(1.648, 12);
  });

  it.each([
    [0.19825, 0.011, { code: 'film', sheets: 1 }],
    [0.176, 0.03325, { code: 'other-length', byIn: 1 / 32, shorter: true }],
    [0.24625, -0.037, { code: 'not-here', name: 'upper skin' }],
    [0.2225, -0.01325, { code: 'thinner' }]
  ])('that stands out %s in is off by %s in', (protrusionIn, differenceIn, cause) => {
    const found = resultOf(measure(protrusionIn));
    expect(found.agrees).toBe(false);
    expect(found.differenceIn).toBeCloseTo(differenceIn, 12);
    expect(found.causes[0]).toMatchObject(cause);
  });

  it.each<[number, CauseSaid[]]>([
    // 0.031 over: half a step of length, one more skin like the 0.032 one, film under one of two
    [
      0.17825,
      [
        { code: 'other-length', byIn: 1 / 32, shorter: true },
        { code: 'film', sheets: 1, upToIn: 0.002 },
        { code: 'between' },
        { code: 'one-more', like: 'lower skin' },
        { code: 'sealant' }
      ]
    ],
    // 0.062 under: a whole sixteenth longer; no sheet is like it
    [
      0.27125,
      [
        { code: 'other-length', byIn: 1 / 16, shorter: false },
        { code: 'thinner' },
        { code: 'head-off' }
      ]
    ],
    // 0.012 over: none of the lengths, none of the sheets
    [
      0.19725,
      [{ code: 'film', sheets: 1, upToIn: 0.002 }, { code: 'between' }, { code: 'sealant' }]
    ]
  ])('that stands out %s in is explained, the likeliest first', (protrusionIn, causes) => {
    expect(resultOf(measure(protrusionIn)).causes).toEqual(
      causes.map((cause) =>
        'byIn' in cause ? { ...cause, byIn: expect.closeTo(cause.byIn, 12) as number } : cause
      )
    );
  });

  it('takes a reading at the gauge’s own repeat as agreeing, and not one past it', () => {
    const whole = { gripIn: 0.0625, sheets };
    // 0.28125 − 0.0625 = 0.21875
    expect(resultOf(measure(0.21475, whole)).agrees).toBe(true);
    expect(resultOf(measure(0.21425, whole)).agrees).toBe(false);
  });

  it('shows its arithmetic from the sheet and from the dimple', () => {
    const flat = measure(0.206);
    expect(flat.ok && arithmetic(flat.work)).toEqual([
      'grip present: L − measured = 0.28125 − 0.206 = 0.07525 in',
      'more than the stack: 0.07525 − 0.072 = 0.00325 in'
    ]);
    const raised = measure(0.17, stack, true);
    expect(raised.ok && arithmetic(raised.work)).toEqual([
      'grip present: L − head − measured at the dimple = 0.28125 − 0.042 − 0.17 = 0.06925 in',
      'less than the stack: 0.06925 − 0.072 = -0.00275 in'
    ]);
  });

  it('names chips and gaps first where no film is on', () => {
    const bare = { gripIn: 0.072, sheets: sheets.map((sheet) => ({ ...sheet, film: false })) };
    expect(resultOf(measure(0.19825, bare)).causes[0]).toEqual({ code: 'between' });
  });

  it('shows one head height less from the raised dimple', () => {
    // a 100° head of dash 4 is 0.042 high
    const flat = resultOf(measure(0.20725));
    const raised = resultOf(measure(0.20725 - 0.042, stack, true));
    expect(raised.gripIn).toBeCloseTo(flat.gripIn, 12);
    expect(raised.agrees).toBe(true);
    expect(resultOf(measure(0.20725 - 0.042)).agrees).toBe(false);
  });

  it('is refused where no such rivet can stand out so far', () => {
    const over = measure(0.3);
    expect(over).toMatchObject({ ok: false, error: { code: 'not-possible' } });
    expect(over.ok ? '' : refusal(over.error)).toMatch(/0\.3 in/);
    expect(whyNot(measure(0))).toBe('protrusion-outside');
    // the whole shank: nothing would be held
    expect(whyNot(measure(0.28125))).toBe('protrusion-outside');
    expect(measure(0.28).ok).toBe(true);
  });
});

describe('in a joint', () => {
  it('is held against the grip at its own hole, and warned of', () => {
    const joint = definition('lap', ['0.040', '0.032'], {
      widthIn: '6',
      dash: 4,
      tries: [
        {
          id: 'try-1',
          hole: 2,
          partNumber: 'MS20470AD4-4.5',
          protrusionIn: '0.19825',
          from: 'sheet'
        },
        { id: 'try-2', hole: 3, partNumber: 'MS20470AD4-4.5', protrusionIn: '', from: 'sheet' },
        { id: 'try-3', hole: 900, partNumber: 'MS20470AD4-4.5', protrusionIn: '0.2', from: 'sheet' }
      ]
    });
    const plan = planned(joint);
    const { tries } = plan;
    expect(tries.map(({ hole, found }) => [hole, found?.ok])).toEqual([
      [2, true],
      [900, undefined]
    ]);
    expect(written(plan).find(({ title }) => title.startsWith('Hole 2:'))).toMatchObject({
      station: 'stack-up',
      level: 'attention',
      title: 'Hole 2: 0.011 in more grip than the stack-up',
      holes: [2]
    });
  });
});
