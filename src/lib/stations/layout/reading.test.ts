import { describe, expect, it } from 'vitest';
import { datumOptions } from './datums';
import { fromFarEdge, readingOrder, spoken } from './reading';

describe('reading marks out', () => {
  it('goes line by line and says a shared corner once', () => {
    expect(
      readingOrder([
        { key: 'top', holes: [1, 2, 3] },
        { key: 'left', holes: [1, 4, 5] }
      ]).map(({ hole }) => hole)
    ).toEqual([1, 2, 3, 4, 5]);
  });

  it.each([
    ['1 3/32', 'in', '1 and 3 over 32 inches'],
    ['3/64', 'in', '3 over 64 inches'],
    ['12.5', 'mm', '12 point 5 millimeters'],
    ['7', 'in', '7 inches']
  ])('says %s %s', (figure, unit, said) => {
    expect(spoken(figure, unit)).toBe(said);
  });
});

describe('where marks may be measured from', () => {
  const fixed = [
    {
      id: 'old',
      kind: 'existing' as const,
      line: 'row-1',
      name: 'old',
      atIn: '2.2',
      offIn: '',
      state: '' as const,
      holeIn: ''
    }
  ];
  it('offers what is there, in the words of the line’s direction', () => {
    const down = {
      path: { path: 'straight', xIn: 0, yIn: 0, dirX: 0, dirY: 1, lengthIn: 3 }
    } as const;
    expect(
      datumOptions({ fixed: [], datum: 'start' }, { cutOut: null }, down).map(({ text }) => text)
    ).toEqual(['the upper edge', 'the lower edge']);
    expect(
      datumOptions(
        { fixed, datum: 'start' },
        { cutOut: { shape: 'circle', xIn: 0, yIn: 0, radiusIn: 1 } },
        undefined
      )
    ).toEqual([
      { value: 'start', text: 'the left edge' },
      { value: 'end', text: 'the right edge' },
      { value: 'cut-out', text: 'the cutout’s edge' },
      { value: 'fixed:old', text: 'fixed hole old at 2.2' }
    ]);
    // a ring has no left end
    const ring = { path: { path: 'circle', xIn: 2, yIn: 2, radiusIn: 1 } } as const;
    expect(datumOptions({ fixed, datum: 'start' }, { cutOut: null }, ring)).toEqual([
      { value: 'start', text: 'the left and the upper edge' }
    ]);
  });
});

describe('a mark from the other edge', () => {
  const line = (datumIn: number, dir: [number, number] = [1, 0]) => ({
    datumIn,
    path: {
      path: 'straight' as const,
      xIn: 0,
      yIn: 0,
      dirX: dir[0],
      dirY: dir[1],
      lengthIn: 10.75
    }
  });

  it('is what is left of the line', () => {
    expect(fromFarEdge(line(0), 1.125)).toEqual({ edge: 'right', awayIn: 9.625 });
    expect(fromFarEdge(line(0, [0, 1]), 1.125)).toEqual({ edge: 'lower', awayIn: 9.625 });
  });

  it('is from the left where marks run from the right', () => {
    expect(fromFarEdge(line(10.75), -1.125)).toEqual({ edge: 'left', awayIn: 9.625 });
  });

  it('is from the right where marks run both ways', () => {
    expect(fromFarEdge(line(4), -1)).toEqual({ edge: 'right', awayIn: 7.75 });
  });
});
