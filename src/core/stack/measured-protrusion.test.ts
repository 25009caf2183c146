import { describe, expect, it } from 'vitest';
import { written } from '../../../tests/support/words';
import { resultOf } from '../../../tests/support/cases';
import { definition, planned } from '../../../tests/support/joints';
import { DEFAULT_MULTIPLIERS } from '../rules/multipliers';
import { heldAt, layersOf } from './layers';
import { measuredProtrusion } from './measured-protrusion';

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
    expect(measure(0.3)).toMatchObject({ ok: false, error: { code: 'not-possible' } });
    expect(measure(0).ok).toBe(false);
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
      station: 'stack',
      level: 'attention',
      title: 'Hole 2: 0.011 in more in the grip than the stack says',
      holes: [2]
    });
  });
});
