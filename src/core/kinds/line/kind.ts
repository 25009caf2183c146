import { CARRIES, EDGES, length } from '../asks.ts';
import { BLANK, blankSheets } from '../blank.ts';
import { defineKind } from '../kind.ts';
import { allMetal } from '../shared/metal.ts';
import { FEWEST, HOUSE } from '../shared/rows-kind.ts';
import { entered, read } from './fields.ts';
import { layLine } from './lay.ts';

/** One rivet line on a flange or stiffener, clear of its bend. */
export const line = defineKind({
  key: 'line',
  name: 'rivet row on a flange',
  place: 5,
  read,
  entered,
  blank: {
    ...BLANK,
    kind: 'line',
    carries: 'guidance',
    lengthIn: '',
    flangeIn: '',
    bendRadiusIn: '',
    offsetIn: '',
    divides: [],
    sheets: blankSheets('skin', 'flange')
  },
  asks: {
    size: [
      length('lengthIn', 'Length of the flange or stiffener', '18'),
      length('flangeIn', 'Flange width, edge to bend', '3/4'),
      length('bendRadiusIn', 'Bend radius, inside', '1/8'),
      CARRIES
    ],
    layout: [
      ...EDGES,
      length('offsetIn', 'Line from the flange edge', 'usual', 'one edge distance')
    ]
  },
  names: {
    lengthIn: 'length',
    flangeIn: 'flange width',
    bendRadiusIn: 'bend radius',
    offsetIn: 'line from the flange edge',
    divides: 'divided spans',
    carries: 'whether it carries load',
    count: 'number of holes'
  },
  outline: { across: 'lengthIn', down: 'flangeIn' },
  roles: { first: 0, last: 1, vary: true, layered: true },
  metal: ({ sheets }) => allMetal(sheets),
  widths: ({ carries, lengthIn: widthIn }, dash) =>
    carries === 'attach' ? [] : [{ key: 'line', where: { at: 'line' }, widthIn, dash }],
  lay: layLine,
  waysOut: () => [],
  otherWays: () => [
    { name: 'Fewest rivets', change: { ...FEWEST } },
    { name: 'House pitch', change: { ...HOUSE } }
  ],
  linesIn: (joint) => joint.lengthIn,
  given: ({ divides }) => divides.reduce((sum, { count }) => sum + count, 0),
  picture: {
    strokes: [
      { look: 'over', path: 'M2 10H68V30H2Z' },
      { look: 'dash', path: 'M2 25H68' },
      { look: 'block', path: 'M40 10H47V30H40Z' }
    ],
    holes: [
      [10, 18],
      [22, 18],
      [34, 18],
      [52, 18],
      [62, 18]
    ]
  }
});
