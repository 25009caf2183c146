import { describe, expect, it } from 'vitest';
import { stops, written } from '../../../tests/support/words';
import { definition, entered, planned } from '../../../tests/support/joints';
import { DEFAULT_PROFILE } from '../rules/profile';
import { newSheet } from '../joint/sheets';
import { layersOf, thicknessAt, varies } from './layers';
import { readEntered } from '../kinds/read-entered';

const skin = newSheet('skin', '0.032');
const strip = newSheet('strip', '0.040');
const lap = (sheets: (typeof skin)[], change = {}) =>
  definition('lap', ['', ''], {
    sheets,
    widthIn: '10',
    dash: 4,
    perInch: '2',
    perInchReason: 'own sheet',
    ...change
  });
const parts = (plan: ReturnType<typeof planned>) =>
  plan.stacks.map(({ length }) => length.ok && length.result.lengthDash);

describe('a layer at a place', () => {
  const tapered = { fromIn: 2, toIn: 6, thicknessAtFromIn: 0.08, thicknessAtToIn: 0.04 };
  it.each([
    [1.9, null],
    [2, 0.08],
    [3, 0.07],
    [6, 0.04],
    [6.1, null]
  ])('at %s in is %s in thick', (atIn, thickIn) => {
    const found = thicknessAt(tapered, atIn);
    expect(found === null ? null : Number(found.toFixed(9))).toBe(thickIn);
  });

  const [bare] = layersOf([{ name: 'skin', thicknessIn: 0.05 }], null);
  it('lies everywhere in a joint whose layers cannot end', () => {
    expect(bare).toEqual({
      name: 'skin',
      sheet: null,
      fromIn: -Infinity,
      toIn: Infinity,
      thicknessAtFromIn: 0.05,
      thicknessAtToIn: 0.05,
      coatIn: 0,
      material: '',
      film: false,
      holeIn: null
    });
    expect(bare && thicknessAt(bare, -4)).toBe(0.05);
  });

  it('is as its sheet was typed', () => {
    const given = {
      name: 'strip',
      thicknessIn: 0.05,
      id: 'sheet-3',
      fromIn: 1,
      toIn: 7,
      endThicknessIn: 0.04,
      coatIn: 0.003,
      material: '2024-T3 clad',
      film: true
    } as const;
    expect(layersOf([given], 10)[0]).toEqual({
      name: 'strip',
      sheet: 'sheet-3',
      fromIn: 1,
      toIn: 7,
      thicknessAtFromIn: 0.05,
      thicknessAtToIn: 0.04,
      coatIn: 0.003,
      material: '2024-T3 clad',
      film: true,
      holeIn: null
    });
    expect(layersOf([{ name: 'skin', thicknessIn: 0.05 }], 10)[0]).toMatchObject({
      fromIn: 0,
      toIn: 10
    });
  });

  it.each([
    ['full length and even', {}, false],
    ['begins later', { fromIn: 0.5 }, true],
    ['ends sooner', { toIn: 9.5 }, true],
    ['thins out', { endThicknessIn: 0.032 }, true],
    ['goes on past both ends', { fromIn: -1, toIn: 11 }, false]
  ])('%s: whether the stack varies is %s', (_, change, expected) => {
    const whole = { name: 'skin', thicknessIn: 0.05 };
    expect(varies(layersOf([whole, { ...whole, ...change }], 10), 10)).toBe(expected);
  });
});

describe('layers of any straight joint', () => {
  it('change the rivet where they begin, on every line, half way between two holes', () => {
    const line = definition('line', ['', ''], {
      sheets: [skin, { ...newSheet('doubler', '0.063'), toIn: '5' }, strip],
      lengthIn: '10',
      flangeIn: '1',
      bendRadiusIn: '1/8',
      carries: 'attach',
      dash: 4
    });
    const plan = planned(line);
    // 8 holes from 9/32 to 9 23/32, 1.348 in apart: the fifth is past 5 in
    expect(
      plan.lengthRuns.map(({ fromHole, toHole, partNumber }) => [fromHole, toHole, partNumber])
    ).toEqual([
      [1, 4, 'MS20470AD4-5'],
      [5, 8, 'MS20470AD4-4']
    ]);
    expect(plan.lengthChanges).toMatchObject([
      { afterHole: 4, beforeHole: 5, from: 'MS20470AD4-5', to: 'MS20470AD4-4' }
    ]);
    expect(plan.lengthChanges[0]?.xIn).toBeCloseTo(5, 9);
  });

  it('stop the joint where fewer than two lie at a hole, and point there', () => {
    const plan = planned(lap([skin, { ...strip, toIn: '6' }]));
    expect(stops(plan)).toContain('Hole through fewer than two sheets');
    const warning = written(plan).find(({ title }) => title.startsWith('Hole through fewer'));
    const beyond = plan.holes.filter(({ xIn }) => xIn > 6).map(({ number }) => number);
    expect(warning?.holes).toEqual(beyond);
    expect(beyond.length).toBeGreaterThan(3);
  });

  it('that lie under no hole are named', () => {
    const plan = planned(lap([skin, strip, { ...newSheet('shim', '0.016'), fromIn: '11' }]));
    expect(written(plan).map(({ title }) => title)).toContain('shim lies under no hole');
  });

  it('count sealant into the grip, and never into a sheet', () => {
    const plain = planned(lap([skin, strip]));
    const coated = planned(lap([{ ...skin, coatIn: '0.020' }, strip]));
    // 0.072 + 1.5 × 0.125 = 0.2595 → -4; with 0.020 more, 0.2795 → -4.5
    expect([parts(plain), parts(coated)]).toEqual([['4'], ['4.5']]);
    expect(coated.holes[0]?.gripIn).toBeCloseTo(0.092, 12);
    expect(coated.required).toEqual(plain.required);
  });

  it('with film are warned of, and film is not counted', () => {
    const plan = planned(lap([{ ...skin, film: true }, strip]));
    expect(written(plan).map(({ title }) => title)).toContain('Protective film still on skin');
    expect(plan.holes[0]?.gripIn).toBeCloseTo(0.072, 12);
  });

  it('hold a run to its window at both its ends', () => {
    // grip 0.072 to 0.142 under one length: sixteenths, leaning long, dash 3
    const plan = planned(lap([skin, { ...strip, endThicknessIn: '0.110' }], { dash: 3 }), {
      ...DEFAULT_PROFILE,
      increments: 'sixteenth',
      lean: 'long'
    });
    const worst = plan.stacks.flatMap(({ length, gripMinIn }) =>
      length.ok ? [(length.result.lengthIn - gripMinIn) / 0.09375] : []
    );
    expect(Math.max(...worst)).toBeGreaterThan(2);
    expect(stops(plan).some((title) => title.startsWith('Protrusion out of'))).toBe(true);
  });

  it('do not begin or end in a patch', () => {
    const typed = entered('patch', ['0.032', '0.040'], { cutoutWIn: '3', cutoutHIn: '2' });
    const [first, second] = typed.sheets;
    if (!first || !second) throw new Error('two sheets');
    const read = readEntered({ ...typed, sheets: [first, { ...second, toIn: '2' }] });
    expect(read.ok ? [] : read.problems.map(({ path }) => path)).toEqual(['sheets.sheet-2.fromIn']);
  });

  it('of harder temper are to be dimpled hot; of another family, the guidance is asked about', () => {
    const plan = planned(
      lap(
        [{ ...newSheet('skin', '0.025'), material: '7075-T6 clad' }, newSheet('strip', '0.032')],
        {
          head: 'countersunk',
          perInch: '',
          perInchReason: ''
        }
      )
    );
    expect(written(plan).map(({ title }) => title)).toEqual(
      expect.arrayContaining(['Dimple hot', 'skin is 7075-T6 clad'])
    );
    const way = written(plan).find(({ title }) => title === 'skin is 7075-T6 clad')?.ways?.[0];
    expect(way?.change).toEqual({ family: 'high-strength' });
  });
});
