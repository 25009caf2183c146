import { EDGES, length, ROWS } from '../asks.ts';
import { BLANK, blankSheets } from '../blank.ts';
import { defineKind } from '../kind.ts';
import { allMetal } from '../shared/metal.ts';
import { BLANK_ROWS, ROWS_OVER_WIDTH } from '../shared/rows-kind.ts';
import { entered, read } from './fields.ts';
import { laySplice } from './lay.ts';

/** Two skins end to end, a strap beneath both. */
export const splice = defineKind({
  key: 'splice',
  name: 'butt splice',
  place: 2,
  read,
  entered,
  blank: {
    ...BLANK,
    ...BLANK_ROWS,
    kind: 'splice',
    gapIn: '',
    farSheetIn: '',
    sheets: blankSheets('skin', 'strap')
  },
  asks: {
    size: [
      length('widthIn', 'Joint width, along the rivet rows', '10 3/4'),
      length('gapIn', 'Gap between the skins’ ends', '0', 'none: they touch'),
      length(
        'farSheetIn',
        'Second skin thickness, if different',
        'same',
        'as thick as the near one'
      )
    ],
    layout: [...ROWS, ...EDGES]
  },
  names: {
    widthIn: 'joint width',
    rows: 'rows',
    pattern: 'pattern',
    gapIn: 'gap',
    farSheetIn: 'far skin'
  },
  ...ROWS_OVER_WIDTH,
  roles: { first: 1, last: 0, vary: true, layered: true },
  metal({ sheets, farSheetIn }) {
    const metal = allMetal(sheets);
    if (farSheetIn === null) return metal;
    const far = { told: sheets[0]?.material ?? '', thicknessIn: farSheetIn };
    return {
      ...metal,
      sizing: [...metal.sizing, farSheetIn],
      loaded: [...metal.loaded, far]
    };
  },
  widths: ({ widthIn }, dash) => [
    { key: 'joint', where: { at: 'each-side', of: 'joint' }, widthIn, dash }
  ],
  lay: laySplice,
  linesIn: ({ widthIn }) => 6 * widthIn,
  picture: {
    strokes: [
      { look: 'under', path: 'M2 8H68V36H2Z' },
      { look: 'over', path: 'M4 2H66V21H4Z' },
      { look: 'over', path: 'M4 23H66V42H4Z' }
    ],
    holes: [
      [14, 14],
      [32, 14],
      [50, 14],
      [14, 30],
      [32, 30],
      [50, 30]
    ]
  }
});
