import { describe, expect, it } from 'vitest';
import { definition, planned } from '../../../../tests/support/joints';
import { FLANGE } from '../../../../tests/support/steps';
import { DEFAULT_PROFILE } from '../../rules/profile';
import { stepList } from '../step-list';
import { cageTasks } from './tasks';

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

  it('is nothing where all is dimpled, or nothing is flush', () => {
    expect(tasks(['0.020', '0.032']).tasks).toEqual([]);
    const plain = definition('line', ['0.063', '0.040'], { ...FLUSH, head: 'universal' });
    expect(cageTasks(plain, planned(plain), DEFAULT_PROFILE)).toEqual([]);
  });
});
