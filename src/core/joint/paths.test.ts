import { describe, expect, it } from 'vitest';
import { pathById, placedPath, valueAt, withValueAt } from './paths';

const DOCUMENT = {
  title: 'a',
  sheets: [
    { id: 'skin', thicknessIn: '0.040' },
    { id: 'strap', thicknessIn: '0.050' }
  ],
  gaps: [1, 2]
};

describe('paths by id', () => {
  it.each([
    ['sheets.1.thicknessIn', 'sheets.strap.thicknessIn'],
    ['sheets.strap.thicknessIn', 'sheets.strap.thicknessIn'],
    ['gaps.1', 'gaps.1'],
    ['title', 'title'],
    ['nowhere.0.x', 'nowhere.0.x']
  ])('%s becomes %s', (path, named) => {
    expect(pathById(DOCUMENT, path)).toBe(named);
  });

  it('find their value wherever the item has moved', () => {
    const moved = { ...DOCUMENT, sheets: DOCUMENT.sheets.toReversed() };
    expect(valueAt(DOCUMENT, 'sheets.strap.thicknessIn')).toBe('0.050');
    expect(valueAt(moved, 'sheets.strap.thicknessIn')).toBe('0.050');
    expect(valueAt(DOCUMENT, 'sheets.gone.thicknessIn')).toBeUndefined();
  });

  it('write one value and leave the rest as it is', () => {
    const written = withValueAt(DOCUMENT, 'sheets.strap.thicknessIn', '0.063');
    expect(written.sheets).toEqual([
      { id: 'skin', thicknessIn: '0.040' },
      { id: 'strap', thicknessIn: '0.063' }
    ]);
    expect(written.sheets[0]).toBe(DOCUMENT.sheets[0]);
    expect(withValueAt(DOCUMENT, 'title', 'b').title).toBe('b');
  });

  it('can be read without the document, items by their place', () => {
    expect(placedPath(DOCUMENT, 'sheets.strap.thicknessIn')).toBe('sheets.2.thicknessIn');
    expect(placedPath(DOCUMENT, 'sheets.gone.thicknessIn')).toBe('sheets.gone.thicknessIn');
    expect(placedPath(DOCUMENT, 'title')).toBe('title');
  });
});
