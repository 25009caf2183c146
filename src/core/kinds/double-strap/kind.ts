import { choice, EDGES, length, ROWS } from '../asks.ts';
import { BLANK, blankSheets } from '../blank.ts';
import { defineKind } from '../kind.ts';
import { allMetal, thin } from '../shared/metal.ts';
import { BLANK_ROWS, FEWEST, HOUSE, plainWay, rowWays, rowWaysOut } from '../shared/rows-kind.ts';
import { entered, read } from './fields.ts';
import { layDoubleStrap } from './lay.ts';

const ALONG = { run: 'along', rows: 'auto', pattern: 'in-line' } as const;

/** A double-strap butt joint: a strap on each side of a broken member. */
export const doubleStrap = defineKind({
  key: 'double-strap',
  name: 'double-strap splice',
  place: 8,
  read,
  entered,
  blank: {
    ...BLANK,
    ...BLANK_ROWS,
    kind: 'double-strap',
    shear: 'single',
    run: 'fits',
    gapIn: '',
    sheets: blankSheets('strap', 'broken member', 'strap')
  },
  asks: {
    size: [
      length('widthIn', 'Width of the broken member', '2 1/4'),
      length('gapIn', 'Gap at the break', '0', 'none'),
      choice('shear', 'Shear planes per rivet', [
        ['single', 'One (single shear, as published)'],
        ['double', 'Two (double shear)']
      ])
    ],
    layout: [
      choice('run', 'Row direction', [
        ['fits', 'Automatic'],
        ['across', 'Across'],
        ['along', 'Along']
      ]),
      ...ROWS,
      ...EDGES
    ]
  },
  names: {
    widthIn: 'joint width',
    rows: 'rows',
    pattern: 'pattern',
    gapIn: 'gap',
    shear: 'shear counted',
    run: 'which way the rivets run'
  },
  outline: { across: 'widthIn', down: null },
  roles: { first: 3, last: 0, vary: false, layered: true },
  // The broken member is itself what must be carried.
  countedOnOne: true,
  metal: ({ sheets, shear }) => ({
    ...allMetal(sheets),
    countedOnIn: sheets[1]?.thicknessIn ?? 0,
    loaded: sheets.slice(1, 2).map(thin),
    shear
  }),
  widths: ({ widthIn }, dash) => [
    { key: 'joint', where: { at: 'each-side', of: 'break' }, widthIn, dash }
  ],
  lay: layDoubleStrap,
  // a broken member is as wide as it is: its rivets run the other way instead
  waysOut: () => [plainWay({ code: 'lines-along' }, { run: 'along' }), ...rowWaysOut()],
  otherWays: () => [
    ...rowWays().map(({ name, change }) => ({ name, change: { ...change, run: 'across' } })),
    { name: 'Along', change: { ...FEWEST, ...ALONG } },
    { name: 'In lines along, staggered', change: { ...FEWEST, ...ALONG, pattern: 'staggered' } },
    { name: 'In lines along, house pitch', change: { ...HOUSE, ...ALONG } }
  ],
  // the guidance gives at most 14 rivets an inch, on both sides
  linesIn: ({ widthIn, run }) => (run === 'across' ? 6 : 8) * widthIn,
  given: () => 0,
  picture: {
    strokes: [
      { look: 'over', path: 'M2 14H33V32H2Z' },
      { look: 'over', path: 'M37 14H68V32H37Z' },
      { look: 'strap', path: 'M11 11H59V35H11Z' }
    ],
    holes: [
      [18, 18],
      [18, 28],
      [52, 18],
      [52, 28],
      [28, 18],
      [28, 28],
      [42, 18],
      [42, 28]
    ]
  }
});
