import { asNumber, CARRIES, choice, EDGES, length } from '../asks.ts';
import { BLANK, blankSheets } from '../blank.ts';
import { defineKind } from '../kind.ts';
import { allMetal } from '../shared/metal.ts';
import { FEWEST, HOUSE, plainWay } from '../shared/rows-kind.ts';
import { entered, read } from './fields.ts';
import { layTapered } from './lay.ts';
import { sizeZones } from './size-zones.ts';

/** A long tapered member: one or two lines, each in zones of one rivet size. */
export const tapered = defineKind({
  key: 'tapered',
  name: 'long tapered member',
  place: 6,
  read,
  entered,
  blank: {
    ...BLANK,
    kind: 'tapered',
    carries: 'guidance',
    lines: 1,
    lengthIn: '',
    flangeIn: '',
    flangeEndIn: '',
    zones: [],
    sheets: blankSheets('skin', 'flange')
  },
  asks: {
    size: [
      length('lengthIn', 'Length of the member', '164'),
      length('flangeIn', 'Flange width at the datum end', '1 1/2'),
      length('flangeEndIn', 'Flange width at the far end', 'same', 'as wide as at the datum'),
      CARRIES
    ],
    layout: [
      choice(
        'lines',
        'Rivet lines',
        [
          ['1', 'One, in the middle'],
          ['2', 'Two, along the edges']
        ],
        { read: asNumber }
      ),
      ...EDGES
    ]
  },
  names: {
    lengthIn: 'length',
    flangeIn: 'flange width',
    flangeEndIn: 'flange width at the far end',
    zones: 'size zones',
    lines: 'rivet lines',
    carries: 'whether it carries load'
  },
  // a tapering flange has two widths: the outline's height may be either
  outline: { across: 'lengthIn', down: null },
  roles: { first: 0, last: 1, vary: true, layered: true, tapers: true },
  metal: ({ sheets }) => allMetal(sheets),
  widths: (joint, dash) =>
    joint.carries === 'attach'
      ? []
      : sizeZones(joint, dash).map((zone, index, all) => ({
          key: `zone-${index + 1}`,
          where: all.length === 1 ? { at: 'member' } : { at: 'zone', number: index + 1 },
          widthIn: zone.toIn - zone.fromIn,
          dash: zone.dash
        })),
  lay: layTapered,
  waysOut: ({ lines }) =>
    lines === 1 ? [plainWay({ code: 'two-lines', round: null }, { lines: 2 })] : [],
  otherWays: () => [
    { name: 'One line, fewest', change: { ...FEWEST, lines: 1 } },
    { name: 'Two lines, fewest', change: { ...FEWEST, lines: 2 } },
    { name: 'One line, house pitch', change: { ...HOUSE, lines: 1 } }
  ],
  linesIn: ({ lines, lengthIn }) => lines * lengthIn,
  given: () => 0,
  picture: {
    strokes: [{ look: 'over', path: 'M2 10L68 15V29L2 34Z' }],
    holes: [
      [8, 22],
      [17, 22],
      [26, 22],
      [35, 22],
      [44, 22],
      [53, 22],
      [62, 22]
    ]
  }
});
