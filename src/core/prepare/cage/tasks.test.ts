import { describe, expect, it } from 'vitest';
import { definition, planned } from '../../../../tests/support/joints';
import { FLANGE } from '../../../../tests/support/steps';
import { DEFAULT_PROFILE } from '../../rules/profile';
import { stepList } from '../step-list';
import { newSheet } from '../../joint/sheets';
import { cageTasks, settingChanges } from './tasks';

const FLUSH = { ...FLANGE, head: 'countersunk' } as const;
const tasks = (thick: string[], school: 'stepped' | 'all-100' = 'stepped') => {
  const joint = definition('line', thick, FLUSH);
  const profile = { ...DEFAULT_PROFILE, dimpleAngles: school };
  const plan = planned(joint, profile);
  return {
    tasks: cageTasks(joint, plan, profile),
    steps: stepList(joint, plan, profile, null, () => ({
      secondsEach: 1,
      from: 'starting',
      records: 0
    }))
  };
};

describe('what a cage must be set for', () => {
  it('is the top sheet of a countersunk lap, with a rivet in the cut', () => {
    const { tasks: found, steps } = tasks(['0.063', '0.040']);
    expect(found).toMatchObject([
      {
        cutDeg: 100,
        setup: {
          dash: 4,
          seat: 'rivet',
          sheetIn: 0.063,
          skinIn: null,
          holeIn: 0.1285,
          school: 'two-proud'
        }
      }
    ]);
    // the step of the list has the same key and holes
    const step = steps.find(({ said }) => said.op === 'countersink');
    expect(found[0]).toMatchObject({ key: step?.key, holes: step?.holes });
  });

  it('is the sheet under a dimple: by trial with stepped angles, by the nest with one', () => {
    expect(tasks(['0.032', '0.063']).tasks).toMatchObject([
      { cutDeg: 110, setup: { seat: 'dimpled-scrap', sheetIn: 0.063, skinIn: 0.032 } }
    ]);
    expect(tasks(['0.032', '0.063'], 'all-100').tasks).toMatchObject([
      { cutDeg: 100, setup: { seat: 'rivet', sheetIn: 0.063, skinIn: 0.032 } }
    ]);
  });

  it('is told apart by its stack where there are several', () => {
    const joint = definition('line', ['0.063', '0.040'], {
      ...FLUSH,
      sheets: [
        { ...newSheet('skin', '0.063'), material: '2024-T3 clad', film: true },
        newSheet('doubler', '0.050'),
        { ...newSheet('strip', '0.040'), toIn: '5' }
      ]
    });
    const plan = planned(joint);
    expect(plan.stacks.length).toBeGreaterThan(1);
    const found = cageTasks(joint, plan, DEFAULT_PROFILE);
    expect(found).toHaveLength(plan.stacks.length);
    expect(found.map(({ name }) => name)).toEqual(plan.stacks.map(({ name }) => `skin, ${name}`));
    expect(found[0]?.setup.material).toBe('2024-T3 clad');
    // one stack only: the sheet's own name
    expect(tasks(['0.063', '0.040']).tasks[0]?.name).toBe('skin');
  });

  it('is nothing while the joint is stopped', () => {
    const short = definition('line', ['0.063', '0.040'], FLUSH);
    const plan = planned(short);
    const stopped = {
      ...plan,
      warnings: [{ ...(plan.warnings[0] ?? {}), level: 'stop' }]
    } as typeof plan;
    expect(cageTasks(short, stopped, DEFAULT_PROFILE)).toEqual([]);
  });

  it('is nothing where all is dimpled, or nothing is flush', () => {
    expect(tasks(['0.020', '0.032']).tasks).toEqual([]);
    const plain = definition('line', ['0.063', '0.040'], { ...FLUSH, head: 'universal' });
    expect(cageTasks(plain, planned(plain), DEFAULT_PROFILE)).toEqual([]);
  });
});

describe('what a setting rested on and is another now', () => {
  const restsOf = (change: object, profile = DEFAULT_PROFILE) => {
    const joint = definition('line', ['0.063', '0.040'], { ...FLUSH, ...change });
    return cageTasks(joint, planned(joint, profile), profile)[0]?.rests ?? '';
  };
  const skin = newSheet('skin', '0.063');
  const strip = newSheet('strip', '0.040');
  const rests = (change: object) => restsOf({ sheets: [{ ...skin, ...change }, strip] });

  it.each([
    ['nothing', {}, []],
    ['its name', { name: 'outer skin' }, []],
    ['its thickness', { thicknessIn: '0.080' }, [{ what: 'sheet', was: 0.063, now: 0.08 }]],
    [
      'its alloy',
      { material: '7075-T6 clad' },
      [{ what: 'material', was: '', now: '7075-T6 clad' }]
    ],
    ['its film', { film: true }, [{ what: 'film', was: false, now: true }]]
  ])('%s of the sheet', (_, change, expected) => {
    expect(settingChanges(rests({}), rests(change))).toEqual(expected);
  });

  it('is the rivet with its hole, and how flush heads are wanted', () => {
    expect(settingChanges(restsOf({}), restsOf({ dash: 3 }))).toEqual([
      { what: 'dash', was: 4, now: 3 },
      { what: 'hole', was: 0.1285, now: 0.098 }
    ]);
    expect(
      settingChanges(restsOf({}), restsOf({}, { ...DEFAULT_PROFILE, flushness: 'three-proud' }))
    ).toEqual([{ what: 'school', was: 'two-proud', now: 'three-proud' }]);
  });

  it('cannot be compared where one of them is of an older kind, but for being the same', () => {
    expect(settingChanges('as it was', 'as it was')).toEqual([]);
    expect(settingChanges('as it was', rests({}))).toBeNull();
    expect(settingChanges(rests({}), 'as it was')).toBeNull();
    expect(settingChanges('[{}]', rests({}))).toBeNull();
    // what an older one did not rest on is no change
    expect(settingChanges(JSON.stringify([4, 'rivet', 0.063]), rests({}))).toEqual([]);
  });
});
