import fc, { type Arbitrary } from 'fast-check';
import { SHEET_KEYS } from '../../src/core/catalog/strengths.ts';
import { SeenFlag } from '../../src/core/inspect/findings.ts';
import {
  Alloy,
  Dash,
  DiameterSchool,
  DrillSchool,
  Family,
  Head,
  HeadLimitsKey,
  Increments,
  Lean,
  Location
} from '../../src/core/schema/fields.ts';
import { RulerScale } from '../../src/core/units/ruler.ts';

/** A length in inches, now as a number, now as a text with a unit. */
const length = (min: number, max: number): Arbitrary<number | string> =>
  fc.oneof(
    fc.double({ min, max, noNaN: true }),
    fc.integer({ min: Math.ceil(min * 64), max: Math.floor(max * 64) }).map((n) => n / 64),
    fc.double({ min, max, noNaN: true }).map((inches) => `${(inches * 25.4).toFixed(3)} mm`),
    fc.double({ min, max, noNaN: true }).map((inches) => `${(inches * 1000).toFixed(2)}thou`)
  );
const gauge = fc.oneof(
  length(0.011, 0.249),
  fc.constantFrom(0.016, '0.020', 0.032, '.040', 0.05, 0.063, '2mm', 0.125, 0.01, 0.25)
);
const sheets = fc.array(gauge, { minLength: 1, maxLength: 6 });
const dash = fc.constantFrom(...Dash.values);
const head = fc.constantFrom(...Head.options);
const alloy = fc.constantFrom(...Alloy.options);
const limits = fc.constantFrom(...HeadLimitsKey.options);
const whole = (min: number, max: number) => fc.integer({ min, max });
const optional = { requiredKeys: [] as never[] };
const some = <T extends object>(
  required: { [K in keyof T]: Arbitrary<T[K]> },
  more: Record<string, Arbitrary<unknown>>
) =>
  fc
    .tuple(fc.record(required), fc.record(more, optional))
    .map(([must, may]) => ({ ...must, ...may }));

/** Schema-valid input of every calculation, defaults now given, now left out. */
export const ANY_INPUT: Record<string, Arbitrary<object>> = {
  'rivet-diameter': some(
    { sheetsIn: sheets },
    { school: fc.constantFrom(...DiameterSchool.options) }
  ),
  'part-number': fc
    .record({
      basic: fc.constantFrom('MS20470', 'an470', 'MS 20426', 'AN426', 'MS20615'),
      alloy: fc.constantFrom('A', 'ad', 'D', 'DD', 'B', 'E', 'M'),
      size: whole(2, 8),
      length: fc.oneof(
        whole(0, 40),
        whole(0, 80).map((halves) => halves / 2)
      ),
      gap: fc.constantFrom('', ' ', '  ')
    })
    .map((part) => ({
      text: `${part.basic}${part.gap}${part.alloy}${part.size}-${part.gap}${part.length}`
    })),
  'rivets-required': some(
    {
      family: fc.constantFrom(...Family.options),
      thicknessIn: gauge,
      dash,
      widthIn: length(0.02, 1200)
    },
    { location: fc.constantFrom(...Location.options), head }
  ),
  'joint-strength': some(
    {
      sheet: fc.constantFrom(...SHEET_KEYS),
      thicknessIn: gauge,
      dash,
      rows: whole(1, 5),
      pitchIn: length(0.05, 4),
      edgeIn: length(0.05, 2)
    },
    { alloy }
  ),
  'row-layout': some(
    {
      widthIn: length(0.1, 40),
      dash,
      head,
      required: whole(1, 150),
      nearPitchIn: length(0.05, 4)
    },
    {
      rows: fc.constantFrom(1, 2, 3, 'auto'),
      pattern: fc.constantFrom('in-line', 'staggered'),
      edgeIn: length(0.05, 1.2),
      prefer: fc.constantFrom('fewest', 'near'),
      scale: fc.constantFrom(...RulerScale.options)
    }
  ),
  'constrained-row': some(
    {
      startIn: length(-1, 1),
      endIn: length(1.5, 6),
      minPitchIn: length(0.1, 0.6),
      maxPitchIn: length(0.7, 2),
      gridIn: length(0.02, 0.3)
    },
    {
      fixedIn: fc.array(length(-1, 6), { maxLength: 3 }),
      keepOut: fc.array(fc.record({ fromIn: length(-1, 3), toIn: length(3.1, 6) }), {
        maxLength: 3
      })
    }
  ),
  'patch-layout': some(
    {
      cutoutIn: fc.record({ w: length(1, 20), h: length(1, 20) }),
      size: dash,
      head,
      edgeD: fc.double({ min: 1.9, max: 4.1, noNaN: true })
    },
    {
      cornerRadiusIn: length(0.2, 0.6),
      clearanceIn: length(0, 0.2),
      insert: fc.boolean(),
      prefer: fc.constant('fewest'),
      leastW: whole(2, 8),
      leastH: whole(2, 8)
    }
  ).map(({ size, edgeD, ...patch }) => ({ ...patch, dash: size, edgeIn: (edgeD * size) / 32 })),
  'rivet-length': some(
    { sheetsIn: sheets, dash, head: fc.constant('countersunk') },
    {
      head,
      alloy,
      increments: fc.constantFrom(...Increments.options),
      lean: fc.constantFrom(...Lean.options)
    }
  ),
  'predict-head': some(
    {
      size: dash,
      head,
      gripIn: length(0.02, 2),
      lengthIn: length(0.1, 3),
      holeD: fc.double({ min: 1, max: 1.2, noNaN: true })
    },
    { limits, dimpled: fc.boolean() }
  ).map(({ size, holeD, ...rivet }) => ({ ...rivet, dash: size, holeIn: (holeD * size) / 32 })),
  'flush-method': some({ sheetsIn: sheets, dash }, {}),
  'dimple-nest': some({ skinIn: gauge, dash }, {}),
  'countersink-next': fc
    .record({
      low: fc.double({ min: -0.004, max: 0.001, noNaN: true }),
      window: fc.double({ min: 0, max: 0.004, noNaN: true }),
      share: fc.double({ min: 0, max: 1, noNaN: true }),
      filmIn: length(0, 0.004),
      filmCut: fc.boolean(),
      filmRead: fc.boolean(),
      filmWork: fc.boolean(),
      trials: fc.array(fc.record({ clicks: whole(-50, 200), flushnessIn: length(-0.02, 0.06) }), {
        minLength: 1,
        maxLength: 8
      })
    })
    .map(({ low, window, share, ...film }) => ({
      targetIn: low + share * window,
      limits: { lowIn: low, highIn: low + window },
      ...film
    })),
  'driven-head': some(
    { dash, diameterIn: length(0.02, 0.8), heightIn: length(0.01, 0.4) },
    { limits, flags: fc.array(fc.constantFrom(...SeenFlag.options), { maxLength: 5 }) }
  ),
  'squeezer-gap': some(
    { dash, head, gripIn: length(0.02, 3) },
    { shopHeightD: fc.double({ min: 0.1, max: 1, noNaN: true }) }
  ),
  removal: some({ dash }, { school: fc.constantFrom('under-shank', 'hole-drill') }),
  oversize: some(
    {
      dash,
      head,
      holeIn: length(0.25, 0.4),
      edgeIn: length(0.1, 1.2),
      pitchesIn: fc.array(length(0.1, 3), { maxLength: 3 }),
      sheetsIn: sheets
    },
    {
      increments: fc.constantFrom(...Increments.options),
      school: fc.constantFrom(...DrillSchool.options)
    }
  ),
  'cold-batch': fc
    .record({
      alloy,
      removed: whole(0, 2_000_000_000),
      later: whole(0, 8000),
      perRivetS: fc.double({ min: 0.5, max: 600, noNaN: true }),
      offset: fc.constantFrom('Z', '+02:00', '-05:30')
    })
    .map(({ alloy: code, removed, later, perRivetS, offset }) => ({
      alloy: code,
      removedAt: new Date(removed * 1000).toISOString().replace('.000Z', offset),
      now: new Date((removed + later) * 1000).toISOString().replace('.000Z', offset),
      perRivetS
    })),
  'clear-panel-hole': some(
    {
      panel: fc.constantFrom('polycarbonate', 'acrylic'),
      spanIn: length(0.1, 120),
      deltaTC: fc.double({ min: -90, max: 90, noNaN: true }),
      dash
    },
    {}
  ),
  'squeezer-next': fc
    .record({
      low: fc.double({ min: 0.03, max: 0.06, noNaN: true }),
      window: fc.double({ min: 0, max: 0.05, noNaN: true }),
      share: fc.double({ min: 0, max: 1, noNaN: true }),
      turnIn: length(0.01, 0.25),
      divisionsPerTurn: whole(1, 40),
      trials: fc.array(fc.record({ divisions: whole(-20, 60), heightIn: length(0.02, 0.4) }), {
        minLength: 1,
        maxLength: 8
      })
    })
    .map(({ low, window, share, ...rest }) => ({
      targetIn: low + share * window,
      limits: { lowIn: low, highIn: low + window },
      ...rest
    })),
  'wedge-bar': some(
    {
      size: dash,
      protrusionD: fc.double({ min: 1, max: 2, noNaN: true }),
      barIn: length(0.4, 1.5),
      spareIn: length(0, 1),
      risePerIn: fc.double({ min: 0.01, max: 0.5, noNaN: true }),
      travelIn: length(0.5, 12)
    },
    { shimIn: length(0, 0.5), shopHeightD: fc.double({ min: 0.38, max: 0.65, noNaN: true }) }
  ).map(({ size, protrusionD, spareIn, ...bar }) => ({
    ...bar,
    dash: size,
    protrusionIn: (protrusionD * size) / 32,
    insideIn: typeof spareIn === 'number' ? spareIn + 1.2 : '1.8'
  })),
  'gauge-verdict': some(
    { size: dash, fitsOver: fc.boolean(), touchesSheet: fc.boolean() },
    {
      plateD: fc.record({
        hole: fc.double({ min: 1.3, max: 1.5, noNaN: true }),
        notch: fc.double({ min: 0.38, max: 0.5, noNaN: true })
      })
    }
  ).map(
    ({ size, plateD, ...seen }: { size: number; plateD?: { hole: number; notch: number } }) => ({
      ...seen,
      dash: size,
      ...(plateD
        ? { plate: { headHoleIn: (plateD.hole * size) / 32, notchIn: (plateD.notch * size) / 32 } }
        : {})
    })
  ),
  'sampling-due': fc
    .record({
      order: fc.uniqueArray(whole(1, 60), { minLength: 1, maxLength: 30 }),
      plan: fc.oneof(
        fc.constant({ kind: 'all' }),
        fc.record({
          kind: fc.constant('first-then-every'),
          first: whole(1, 5),
          every: whole(2, 9)
        })
      ),
      looks: fc.array(fc.record({ place: whole(0, 40), good: fc.boolean() }), { maxLength: 30 }),
      driven: fc.double({ min: 0, max: 1, noNaN: true }),
      tighten: whole(1, 6)
    })
    .map(({ order, plan, looks, driven, tighten }) => {
      const done = order.slice(0, Math.ceil(driven * order.length));
      return {
        order,
        plan,
        tighten,
        driven: done,
        checked:
          done.length === 0
            ? []
            : looks.map(({ place, good }) => ({ hole: done[place % done.length] ?? 0, good }))
      };
    }),
  'hole-plan': some(
    { holes: whole(1, 100_000), layers: whole(1, 10), dash },
    { school: fc.constantFrom(...DrillSchool.options) }
  )
};
