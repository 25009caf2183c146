import { describe, expect, it } from 'vitest';
import { DEFAULT_PROFILE } from '../rules/profile';
import { NO_WIDE_HOLES } from './wide-holes';
import { candidateLengths } from './candidate-lengths';
import { arithmetic, lengthVerdictInWords } from '../../../tests/support/words';

const asked = {
  dash: 4,
  head: 'universal',
  alloy: 'AD',
  gripIn: 0.08,
  dimpledThrough: false,
  namedFromIn: 0,
  holeIn: 0.1285,
  wide: NO_WIDE_HOLES,
  pickedIn: 0.28125
} as const;

describe('lengths round the ideal', () => {
  it('are weighed by protrusion and predicted head, the school’s one picked', () => {
    const lengths = candidateLengths(asked, DEFAULT_PROFILE);
    expect(
      lengths.map(({ lengthDash, protrusionD, verdict, picked }) => [
        lengthDash,
        Number(protrusionD.toFixed(2)),
        verdict,
        picked
      ])
    ).toEqual([
      ['3', 0.86, 'stop', false],
      ['3.5', 1.11, 'good', false],
      ['4', 1.36, 'good', false],
      ['4.5', 1.61, 'good', true],
      ['5', 1.86, 'good', false],
      ['5.5', 2.11, 'stop', false]
    ]);
    // head metal in π/4·D³: protrusion less 0.00088725 × 0.08 / 0.125³; over 1.75² and 1.3²
    const bands = lengths.map(({ head }) => (head.ok ? head.result.heightBandD : null));
    expect(bands[1]).toEqual({ low: 0.38, high: expect.closeTo(1.07366 / 1.69, 4) as number });
    expect(bands[4]).toEqual({ low: expect.closeTo(1.82366 / 3.0625, 4) as number, high: 0.65 });
    expect(lengths[0] && lengthVerdictInWords(lengths[0])).toMatch(
      /^0.86 D, must be over 1 and under 2 D; short/
    );
    expect(lengths[5] && lengthVerdictInWords(lengths[5])).toMatch(/clinches/);
  });

  it('are called out where their volume makes no good head', () => {
    const tight = candidateLengths(asked, { ...DEFAULT_PROFILE, headLimits: 'tight' });
    // -4.5: 1.57366 / 1.56² = 0.647 D, over the 0.55 D that is allowed
    expect(tight.find(({ picked }) => picked)).toMatchObject({
      verdict: 'attention',
      against: { code: 'no-height', diameterD: { low: 1.45, high: 1.56 } }
    });
    // -4: 1.32366 / 1.56² = 0.5439, within
    expect(tight.find(({ lengthDash }) => lengthDash === '4')?.verdict).toBe('good');
  });

  it('come in sixteenths where no half sizes are stocked, and never shorter than -2', () => {
    const whole = candidateLengths(asked, { ...DEFAULT_PROFILE, increments: 'sixteenth' });
    expect(whole.map(({ lengthDash }) => lengthDash)).toEqual(['2', '3', '4', '5', '6', '7']);
    const thin = candidateLengths(
      { ...asked, dash: 3, gripIn: 0.032, holeIn: 0.098, pickedIn: null },
      DEFAULT_PROFILE
    );
    expect(thin[0]?.lengthDash).toBe('2');
    expect(thin.some(({ picked }) => picked)).toBe(false);
  });

  it('risk being short or long against the ideal, and nothing at it', () => {
    // 0.0625 + 0.1875 is a quarter of an inch
    const lengths = candidateLengths({ ...asked, gripIn: 0.0625, pickedIn: 0.25 }, DEFAULT_PROFILE);
    expect(lengths.map(({ lengthDash, risk, picked }) => [lengthDash, risk, picked])).toEqual([
      ['3', 'short', false],
      ['3.5', 'short', false],
      ['4', 'none', true],
      ['4.5', 'long', false],
      ['5', 'long', false],
      ['5.5', 'long', false]
    ]);
    expect(
      candidateLengths({ ...asked, pickedIn: null }, DEFAULT_PROFILE).some((one) => one.picked)
    ).toBe(false);
  });

  it('stand past the sheets, and end at -32', () => {
    // 0.2 + 0.140625 = 5.45/16: -3 is 0.1875, inside the metal
    const sixteenths = { ...DEFAULT_PROFILE, increments: 'sixteenth' } as const;
    const short = candidateLengths({ ...asked, dash: 3, gripIn: 0.2, holeIn: 0.098 }, sixteenths);
    expect(short.map(({ lengthDash }) => lengthDash)).toEqual(['4', '5', '6', '7', '8']);
    const even = candidateLengths({ ...asked, dash: 3, gripIn: 0.1875, holeIn: 0.098 }, sixteenths);
    expect(even[0]?.lengthDash).toBe('4');
    // 1.7 + 0.1875 = 30.2/16
    const long = candidateLengths({ ...asked, gripIn: 1.7 }, sixteenths);
    expect(long.map(({ lengthDash }) => lengthDash)).toEqual(['28', '29', '30', '31', '32']);
  });

  it('show their arithmetic, from the sheet or from the dimple', () => {
    const at = (change: object) =>
      arithmetic(
        candidateLengths({ ...asked, ...change }, DEFAULT_PROFILE).find(
          ({ lengthDash }) => lengthDash === '4'
        )?.work ?? []
      );
    const flat = at({});
    expect(flat.slice(0, 3)).toEqual([
      'protrusion: L − G = 0.25 − 0.08 = 0.17 in',
      'protrusion in D: 0.17 / 0.125 = 1.36 D',
      'metal past the sheets: π/4·D²·(L−G) = π/4 × 0.125² × (0.25 − 0.08) = 0.002086 in³'
    ]);
    const dimple = {
      head: 'countersunk',
      gripIn: 0.057,
      dimpledThrough: true,
      namedFromIn: 0.042,
      pickedIn: null
    };
    // 0.057 + 0.042 + 0.1875 = 9.2/32, so lengths from 7/32 to 12/32
    expect(
      candidateLengths({ ...asked, ...dimple } as never, DEFAULT_PROFILE).map(
        ({ lengthDash }) => lengthDash
      )
    ).toEqual(['3.5', '4', '4.5', '5', '5.5', '6']);
    expect(at(dimple)[0]).toBe(
      'protrusion: L − G − head, from the dimple = 0.25 − 0.057 − 0.042 = 0.151 in'
    );
    // a head that cannot be made has no arithmetic of its own
    expect(at({ holeIn: 0.2 })).toHaveLength(2);
  });

  it('make a head of the metal beyond the dimple, whichever school names the protrusion', () => {
    const thin = {
      ...asked,
      dash: 3,
      head: 'countersunk',
      gripIn: 0.057,
      dimpledThrough: true,
      holeIn: 0.098,
      pickedIn: 0.1875
    } as const;
    const lengths = candidateLengths(thin, DEFAULT_PROFILE);
    const by = (dash: string) => lengths.find(({ lengthDash }) => lengthDash === dash);
    // -2.5 stands 1.06 D past the flat sheet, but 0.063 of it lies beyond the dimple:
    // at 0.38 D high it would be √(4·0.000398/(π·0.035625)) = 0.119 wide, 1.27 D
    expect(by('2.5')).toMatchObject({ verdict: 'attention', against: { code: 'no-height' } });
    expect(by('3')).toMatchObject({ verdict: 'good', picked: true });
    const raised = candidateLengths({ ...thin, namedFromIn: 0.036 }, DEFAULT_PROFILE);
    const same = raised.find(({ lengthDash }) => lengthDash === '3');
    expect(same?.head).toEqual(by('3')?.head);
    expect(same?.protrusionIn).toBeCloseTo((by('3')?.protrusionIn ?? 0) - 0.036, 12);
  });
});
