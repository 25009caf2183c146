import { choice, EDGES, length, type LengthAsk } from '../asks.ts';
import { BLANK, blankSheets } from '../blank.ts';
import { defineKind } from '../kind.ts';
import { allMetal } from '../shared/metal.ts';
import { FEWEST, HOUSE, plainWay } from '../shared/rows-kind.ts';
import { entered, read } from './fields.ts';
import { layPanel } from './lay.ts';
import { CLEAR_PANEL } from './parts.ts';

const plain = (key: string, label: string, placeholder: string, whenEmpty: string) =>
  ({ ask: 'number', key, label, placeholder, whenEmpty }) satisfies LengthAsk<unknown>;
const count = (side: string) =>
  plain(`${side}Count`, `Rivets, ${side}, ends counted`, 'fewest', 'the fewest that hold');

/** A frame riveted round a clear plastic panel. */
export const panel = defineKind({
  key: 'panel',
  name: 'frame around a clear panel',
  place: 7,
  read,
  entered,
  blank: {
    ...BLANK,
    kind: 'panel',
    material: 'acrylic',
    widthIn: '',
    heightIn: '',
    frameIn: '',
    bracketIn: '',
    plasticReason: '',
    deltaTC: '',
    topCount: '',
    bottomCount: '',
    leftCount: '',
    rightCount: '',
    sheets: blankSheets('frame strip', 'clear panel', 'frame')
  },
  asks: {
    size: [
      length('widthIn', 'Width of the clear panel', '22'),
      length('heightIn', 'Height', '14'),
      length('frameIn', 'Width of the frame strip', '1'),
      choice('material', 'Panel material', [
        ['acrylic', 'Acrylic'],
        ['polycarbonate', 'Polycarbonate']
      ]),
      plain('deltaTC', 'Temperature range, °C', '60', '60 °C'),
      {
        ask: 'text',
        key: 'plasticReason',
        label: 'Solid rivets through the plastic: method and authority',
        placeholder: 'sleeves, data and person'
      }
    ],
    layout: [
      ...EDGES,
      length('bracketIn', 'Corner bracket leg length', 'none', 'no brackets'),
      count('top'),
      count('bottom'),
      count('left'),
      count('right')
    ]
  },
  names: {
    material: 'panel material',
    heightIn: 'height',
    frameIn: 'frame strip',
    bracketIn: 'corner bracket',
    plasticReason: 'how solid rivets go through the plastic',
    deltaTC: 'temperature difference',
    topCount: 'rivets, top',
    bottomCount: 'rivets, bottom',
    leftCount: 'rivets, left',
    rightCount: 'rivets, right',
    widthIn: 'joint width'
  },
  outline: { across: 'widthIn', down: 'heightIn' },
  roles: { first: 3, last: 0, vary: false, layered: false },
  // plastic sizes no rivet and carries nothing
  metal: ({ sheets }) => allMetal(sheets.filter((_, at) => at !== CLEAR_PANEL)),
  widths: () => [],
  lay: layPanel,
  waysOut: ({ head }) =>
    head === 'countersunk'
      ? [
          plainWay({ code: 'universal-heads', dash: null }, { head: 'universal' }),
          // thick sheets would size a rivet whose hole in the panel no drill makes
          plainWay({ code: 'universal-heads', dash: 4 }, { head: 'universal', dash: 4 })
        ]
      : [],
  otherWays: () => [
    { name: 'Fewest rivets', change: { ...FEWEST } },
    { name: 'House pitch', change: { ...HOUSE } }
  ],
  linesIn: ({ widthIn, heightIn }) => 2 * (widthIn + heightIn),
  given: () => 0,
  picture: {
    strokes: [{ look: 'over', path: 'M4 2H66V42H4ZM14 12V32H56V12Z' }],
    holes: [
      [14, 7],
      [28, 7],
      [42, 7],
      [56, 7],
      [14, 37],
      [28, 37],
      [42, 37],
      [56, 37]
    ]
  }
});
