import { describe, expect, it } from 'vitest';
import { definition, layoutOf } from '../../../tests/support/joints';
import { takeUp } from './take-up';

const { lines } = layoutOf(
  definition('lap', ['0.040', '0.040'], {
    widthIn: '6',
    dash: 4,
    rows: 2,
    perInch: '3',
    perInchReason: 'test'
  })
);

describe('existing holes given to their lines', () => {
  it('goes to the nearest line with its distance off it', () => {
    const second = lines[1]?.path.path === 'straight' ? lines[1].path.yIn : 0;
    const { fixed, left } = takeUp(
      [
        { xIn: 1.25, yIn: 0.28125, diameterIn: null },
        { xIn: 2.5, yIn: second + 0.02, diameterIn: 0.1285 }
      ],
      [],
      lines,
      'old'
    );
    expect(left).toEqual([]);
    expect(fixed).toEqual([
      {
        id: 'found-1',
        kind: 'existing',
        line: 'row-1',
        name: 'old',
        atIn: '1.25',
        offIn: '',
        state: '',
        holeIn: ''
      },
      {
        id: 'found-2',
        kind: 'existing',
        line: 'row-2',
        name: 'old',
        atIn: '2.5',
        offIn: '0.02',
        state: '',
        holeIn: ''
      }
    ]);
  });

  it('leaves what lies on no line, and says how far off it is', () => {
    const { fixed, left } = takeUp(
      [
        { xIn: 3, yIn: -0.22, diameterIn: null },
        { xIn: 9, yIn: 0.3, diameterIn: null }
      ],
      [],
      lines,
      ''
    );
    expect(fixed).toEqual([]);
    expect(left[0]).toMatchObject({ line: 'row 1', offIn: expect.closeTo(-0.50125, 9) as number });
    expect(left[1]?.line).toBeNull();
  });
});
