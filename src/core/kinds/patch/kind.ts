import { asNumber, CARRIES, choice, EDGES, length, type LengthAsk } from '../asks.ts';
import { BLANK, blankSheets } from '../blank.ts';
import { defineKind, type WayToTry } from '../kind.ts';
import { allMetal } from '../shared/metal.ts';
import { lengthWay, plainWay } from '../shared/rows-kind.ts';
import { unitLen } from '../../notation.ts';
import { insertAsks } from '../shared/insert.ts';
import { entered, read, USUAL_CORNER_IN, type Patch, type EnteredPatch } from './fields.ts';
import { layPatch } from './lay.ts';

const crackStays = ({ crackIn }: EnteredPatch) => crackIn.trim() !== '';
const filled = ({ style }: EnteredPatch) => style === 'flush';
/** What the sheets are called while nobody has called them otherwise, the one under the manufactured head first. */
const USUAL_NAMES: Record<string, readonly [string, string]> = {
  flush: ['skin', 'doubler'],
  'plate-under': ['skin', 'plate'],
  'plate-over': ['plate', 'skin']
};
const USUAL = Object.values(USUAL_NAMES);
const namedFor = (style: string, sheets: EnteredPatch['sheets']): EnteredPatch['sheets'] =>
  USUAL.some((names) => names.every((name, at) => sheets[at]?.name === name))
    ? sheets.map((sheet, at) => ({ ...sheet, name: USUAL_NAMES[style]?.[at] ?? sheet.name }))
    : sheets;
const SMALLER_RADII_IN = [0.375, 0.25];
/** Corners less rounded, as far as the cut-out's smaller side allows. */
const cornerWays = ({ cornerRadiusIn, cutoutWIn, cutoutHIn }: Patch): WayToTry[] =>
  SMALLER_RADII_IN.filter(
    (radiusIn) => cornerRadiusIn > radiusIn && Math.min(cutoutWIn, cutoutHIn) / 2 >= radiusIn
  ).map((radiusIn) =>
    lengthWay({ code: 'round-corners', radiusIn }, 'cornerRadiusIn', radiusIn, 2)
  );

/** A rectangular repair: a doubler or plate round a cut-out, an insert where it is flush. */
export const patch = defineKind({
  key: 'patch',
  name: 'rectangular patch',
  place: 3,
  read,
  entered,
  blank: {
    ...BLANK,
    kind: 'patch',
    style: 'flush',
    carries: 'guidance',
    rows: 1,
    crackDrill: '#40',
    cutoutWIn: '',
    cutoutHIn: '',
    cornerRadiusIn: '',
    insertClearanceIn: '',
    insertEdgeIn: '',
    insertSheetIn: '',
    crackIn: '',
    crackTurnDeg: '',
    sheets: blankSheets('skin', 'doubler')
  },
  asks: {
    size: [
      length('cutoutWIn', 'Cutout (damage) width', '3 1/2'),
      length('cutoutHIn', 'Cutout (damage) height', '2 1/4'),
      choice(
        'style',
        'Patch type',
        [
          ['flush', 'Insert + doubler'],
          ['plate-over', 'Plate over'],
          ['plate-under', 'Plate under']
        ],
        { also: ({ sheets }: EnteredPatch, style) => ({ sheets: namedFor(style, sheets) }) }
      ),
      length('crackIn', 'Length of crack left in place', 'cut out', 'none: the damage is cut out'),
      {
        ...length('crackTurnDeg', 'Crack angle from horizontal, °', '0', 'level', crackStays),
        ask: 'number'
      } satisfies LengthAsk<EnteredPatch>,
      choice(
        'crackDrill',
        'Stop-drill its ends',
        [
          ['#40', '#40'],
          ['#30', '#30']
        ],
        { when: crackStays }
      ),
      CARRIES
    ],
    layout: [
      choice(
        'rows',
        'Rivet rows around the cutout',
        [
          ['1', 'One'],
          ['2', 'Two']
        ],
        { read: asNumber }
      ),
      ...EDGES,
      length('cornerRadiusIn', 'Corner radius of the cutout', '1/2', [unitLen(USUAL_CORNER_IN)]),
      ...insertAsks(filled)
    ]
  },
  names: {
    style: 'what covers it',
    cutoutWIn: 'cutout width',
    cutoutHIn: 'cutout height',
    cornerRadiusIn: 'corner radius',
    insertClearanceIn: 'clearance round the insert',
    insertEdgeIn: 'edge distance in the insert',
    insertSheetIn: 'insert thickness',
    crackIn: 'length of the crack',
    crackTurnDeg: 'direction of the crack',
    crackDrill: 'stop-drill',
    carries: 'whether it carries load',
    rows: 'rows'
  },
  outline: { across: 'cutoutWIn', down: 'cutoutHIn' },
  roles: { first: 1, last: 0, vary: true, layered: false },
  spacedByShape: true,
  metal: ({ sheets }) => allMetal(sheets),
  widths: ({ carries, cutoutWIn, cutoutHIn }, dash) =>
    carries === 'attach'
      ? []
      : [
          { key: 'w', where: { at: 'side', lengthIn: cutoutWIn }, widthIn: cutoutWIn, dash },
          { key: 'h', where: { at: 'side', lengthIn: cutoutHIn }, widthIn: cutoutHIn, dash }
        ],
  lay: layPatch,
  waysOut: (joint) => [
    ...(joint.rows === 1 ? [plainWay({ code: 'two-lines', round: 'cutout' }, { rows: 2 })] : []),
    ...cornerWays(joint),
    ...(joint.style === 'flush'
      ? [plainWay({ code: 'plate-without-insert' }, { style: 'plate-under' }, 2)]
      : [])
  ],
  otherWays: () => [
    { name: 'One line round', change: { rows: 1 } },
    { name: 'Two lines round', change: { rows: 2 } }
  ],
  linesIn: ({ rows, cutoutWIn, cutoutHIn }) => 4 * rows * (cutoutWIn + cutoutHIn),
  given: () => 0,
  picture: {
    strokes: [
      { look: 'over', path: 'M2 2H68V42H2Z' },
      { look: 'dash', path: 'M9 4H61V40H9Z' },
      {
        look: 'cut',
        path: 'M27 13H43A4 4 0 0 1 47 17V27A4 4 0 0 1 43 31H27A4 4 0 0 1 23 27V17A4 4 0 0 1 27 13Z'
      }
    ],
    holes: [
      [16, 8],
      [35, 8],
      [54, 8],
      [16, 36],
      [35, 36],
      [54, 36],
      [16, 22],
      [54, 22]
    ]
  }
});
