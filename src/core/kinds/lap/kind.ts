import { EDGES, length, ROWS } from '../asks.ts';
import { BLANK, blankSheets } from '../blank.ts';
import { defineKind } from '../kind.ts';
import { allMetal } from '../shared/metal.ts';
import { BLANK_ROWS, ROWS_OVER_WIDTH } from '../shared/rows-kind.ts';
import { entered, read } from './fields.ts';
import { layLap } from './lay.ts';

/** Two or more sheets over each other, rivets in straight rows. */
export const lap = defineKind({
  key: 'lap',
  name: 'lap joint',
  place: 1,
  read,
  entered,
  blank: {
    ...BLANK,
    ...BLANK_ROWS,
    kind: 'lap',
    sheets: blankSheets('upper sheet', 'lower sheet')
  },
  asks: {
    size: [length('widthIn', 'Joint width, along the rivet row', '10 3/4')],
    layout: [...ROWS, ...EDGES]
  },
  names: {
    widthIn: 'joint width',
    rows: 'rows',
    pattern: 'pattern'
  },
  ...ROWS_OVER_WIDTH,
  roles: { first: 0, last: 0, vary: true, layered: true },
  metal: ({ sheets }) => allMetal(sheets),
  widths: ({ widthIn }, dash) => [{ key: 'joint', where: { at: 'joint' }, widthIn, dash }],
  lay: layLap,
  linesIn: ({ widthIn }) => 3 * widthIn,
  picture: {
    strokes: [
      { look: 'under', path: 'M4 4H66V28H4Z' },
      { look: 'over', path: 'M4 16H66V40H4Z' }
    ],
    holes: [
      [14, 22],
      [28, 22],
      [42, 22],
      [56, 22]
    ]
  }
});
