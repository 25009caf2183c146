import { describe, expect, it } from 'vitest';
import { formula, written } from '../../../tests/support/words';
import { definition, planned } from '../../../tests/support/joints';
import { DEFAULT_PROFILE } from '../rules/profile';
import { sizeZones } from '../kinds/tapered/size-zones';
import { strengthView } from './strength-view';

const lap = (change = {}) =>
  definition('lap', ['0.040', '0.040'], { widthIn: '10 3/4', dash: 4, ...change });

describe('the job’s own rivets-per-inch figure', () => {
  it('stands with its reason beside what the guidance gives', () => {
    const plan = planned(
      lap({ perInch: '4.5', perInchReason: 'repair sheet QR-31, table 2', location: 'single-lap' })
    );
    const { required } = plan;
    // ⌈4.5 × 10.75 × 0.75⌉ = ⌈36.28⌉
    expect(required).toMatchObject({
      ok: true,
      result: { required: 37, basis: 'own-data', critical: null }
    });
    expect(required?.ok && required.work.map(({ formula }) => formula).join()).toContain(
      'QR-31, table 2'
    );
    expect(required?.ok && required.work[0]?.value).toBe(6.2);
    expect(written(plan).find(({ title }) => title.includes('job data'))?.text).toContain('QR-31');
  });

  it('may stand where the guidance gives nothing', () => {
    const { required } = planned(
      definition('lap', ['0.016', '0.016'], {
        widthIn: '10',
        dash: 5,
        perInch: '3',
        perInchReason: 'sheet 4'
      })
    );
    expect(required).toMatchObject({ ok: true, result: { required: 30 } });
    expect(required?.ok && formula(required.work[0])).toMatch(/too large/);
  });

  it('is asked for its reason', () => {
    expect(() => lap({ perInch: '4.5' })).toThrow(/enter the source/);
  });
});

describe('size zones', () => {
  it('run from end to end; the rest takes the joint’s size', () => {
    expect(
      sizeZones(
        {
          lengthIn: 40,
          zones: [
            { dash: 6, toIn: 10 },
            { dash: 5, toIn: 25 }
          ]
        },
        4
      )
    ).toEqual([
      { fromIn: 0, toIn: 10, dash: 6 },
      { fromIn: 10, toIn: 25, dash: 5 },
      { fromIn: 25, toIn: 40, dash: 4 }
    ]);
  });

  it('may end with a size of their own', () => {
    expect(sizeZones({ lengthIn: 40, zones: [{ dash: 5, toIn: 40 }] }, 4)).toEqual([
      { fromIn: 0, toIn: 40, dash: 5 }
    ]);
  });
});

describe('strength over pitch', () => {
  it('is of the thinner sheet and the weakest of the family', () => {
    const joint = definition('lap', ['0.063', '0.040'], {
      widthIn: '10 3/4',
      dash: 5,
      location: 'single-lap'
    });
    const view = strengthView(joint, planned(joint), DEFAULT_PROFILE);
    expect(view).toMatchObject({ sheet: '2024-T3 clad', thicknessIn: 0.04, sheetChosen: false });
    expect(view?.at.ok).toBe(true);
    expect(view?.curve[0]?.pitchD).toBe(3);
    expect(view?.curve.at(-1)?.pitchD).toBe(12);
  });

  it('says what governs where the joint stands', () => {
    // dash 4, two rows at 0.4245: shear 2 × 30 ksi × π/4 × 0.1285² = 778 lb; sheet 58 × 0.04 × (0.4245 − 0.1285) = 687 lb
    const view = strengthView(
      lap({ location: 'single-lap' }),
      planned(lap({ location: 'single-lap' })),
      DEFAULT_PROFILE
    );
    expect(view?.at).toMatchObject({ ok: true, result: { governs: 'net-tension' } });
    expect(view?.at.ok && view.at.result.efficiency).toBeCloseTo((0.42448 - 0.1285) / 0.42448, 3);
  });
});
