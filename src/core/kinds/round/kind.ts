import { asNumber, CARRIES, choice, EDGES, length } from '../asks.ts';
import { BLANK, blankSheets } from '../blank.ts';
import { defineKind } from '../kind.ts';
import { allMetal } from '../shared/metal.ts';
import { insertAsks } from '../shared/insert.ts';
import { FEWEST, plainWay } from '../shared/rows-kind.ts';
import { entered, read, type EnteredRound } from './fields.ts';
import { layRound } from './lay.ts';

const MOST_RINGS = 3;
const filled = ({ insert }: EnteredRound) => insert;

/** A round repair: rings of rivets on bolt circles round a cut-out. */
export const round = defineKind({
  key: 'round',
  name: 'round patch',
  place: 4,
  read,
  entered,
  blank: {
    ...BLANK,
    kind: 'round',
    insert: true,
    carries: 'guidance',
    rings: 1,
    cutoutIn: '',
    insertClearanceIn: '',
    insertEdgeIn: '',
    insertSheetIn: '',
    sheets: blankSheets('skin', 'doubler')
  },
  asks: {
    size: [
      length('cutoutIn', 'Cutout diameter', '2 1/2'),
      choice(
        'insert',
        'Insert in the cutout?',
        [
          ['yes', 'Yes, flush'],
          ['no', 'No, open']
        ],
        { read: (value) => value === 'yes' }
      ),
      CARRIES
    ],
    layout: [
      choice(
        'rings',
        'Rings of rivets',
        [
          ['1', 'One'],
          ['2', 'Two'],
          ['3', 'Three']
        ],
        { read: asNumber }
      ),
      ...EDGES,
      ...insertAsks(filled)
    ]
  },
  names: {
    cutoutIn: 'cutout diameter',
    rings: 'rings',
    insert: 'insert',
    insertClearanceIn: 'clearance round the insert',
    insertEdgeIn: 'edge distance in the insert',
    insertSheetIn: 'insert thickness',
    carries: 'whether it carries load'
  },
  outline: { across: 'cutoutIn', down: null, round: true },
  roles: { first: 1, last: 0, vary: true, layered: false },
  metal: ({ sheets }) => allMetal(sheets),
  widths: ({ carries, cutoutIn }, dash) =>
    carries === 'attach'
      ? []
      : [{ key: 'half', where: { at: 'each-half' }, widthIn: cutoutIn, dash }],
  lay: layRound,
  waysOut: ({ rings, insert }) => [
    ...(rings < MOST_RINGS
      ? [plainWay({ code: 'rings', rings: rings + 1 }, { rings: rings + 1 })]
      : []),
    ...(insert ? [plainWay({ code: 'no-insert' }, { insert: false }, 2)] : [])
  ],
  otherWays: () => [
    { name: 'One ring', change: { ...FEWEST, rings: 1 } },
    { name: 'Two rings staggered', change: { ...FEWEST, rings: 2 } },
    { name: 'Three rings staggered', change: { ...FEWEST, rings: 3 } }
  ],
  // rings are not solved past obstacles: an existing hole takes the nearest place
  linesIn: () => 0,
  given: () => 0,
  picture: {
    strokes: [
      { look: 'over', path: 'M2 2H68V42H2Z' },
      { look: 'dash', path: 'M15 22A20 20 0 0 1 55 22A20 20 0 0 1 15 22Z' },
      { look: 'cut', path: 'M25 22A10 10 0 0 1 45 22A10 10 0 0 1 25 22Z' }
    ],
    holes: [
      [35, 6],
      [50, 14],
      [50, 30],
      [35, 38],
      [20, 30],
      [20, 14]
    ]
  }
});
