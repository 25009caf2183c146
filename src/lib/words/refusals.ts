import { DISPOSITIONS } from './old-work.ts';
import { num } from '../../core/answer.ts';
import type { RefusalSaid } from '../../core/refusal-said.ts';
import { plural, type WriteLength } from './writing.ts';

const MUST = { over: 'over', 'at-least': 'at least', 'at-most': 'at most' } as const;

type PartNumberWrong = Extract<RefusalSaid, { code: 'no-part-number' }>;

function partNumberInWords({ wrong, text, among }: PartNumberWrong): string {
  const list = among.join(', ');
  switch (wrong) {
    case 'head':
      return `"${text}" does not start with MS20470, AN470, MS20426 or AN426: those are the heads calculated here`;
    case 'shape':
      return `"${text}" is not head, alloy, diameter, dash, length, as in MS20470AD4-6 or AN426DD5-7.5`;
    case 'alloy':
      return `alloy "${text}" is not one of ${list}`;
    case 'diameter':
      return `diameter "${text}" is not one of ${list} (32nds of an inch)`;
    case 'step':
      return `length "-${text}" is neither whole nor a half: lengths go by 16ths or 32nds`;
    case 'length':
      return `length "-${text}" is outside -${among.join(' to -')}`;
  }
}

/**
 * Why there is no result, in words; the only place that has them.
 *
 * @param length how its lengths are written
 * @returns a sentence without capital and stop
 */
export const refusalInWords = (said: RefusalSaid, length: WriteLength): string =>
  (REFUSALS[said.code] as Say<RefusalSaid['code']>)(said, length);

/** What one refusal says. */
type Say<C extends RefusalSaid['code']> = (said: Saying<C>, length: WriteLength) => string;
/** What is said under a code, also where it is one of several of its kind. */
type Saying<C, Said = RefusalSaid> = Said extends { code: infer Codes }
  ? C extends Codes
    ? Said
    : never
  : never;

const REFUSALS: { readonly [C in RefusalSaid['code']]: Say<C> } = {
  told: (said) => said.text,
  'rivet-too-large': (said, length) =>
    `a dash ${said.dash} rivet is too large for a ${length(said.thicknessIn)} sheet: the guidance starts at ${length(said.leastSheetIn)} for this size`,
  'rivet-too-small': (said, length) =>
    `a dash ${said.dash} rivet is too small for a ${length(said.thicknessIn)} sheet${said.shear === 'double' ? ' even in double shear' : ''}: needs ${num(said.perInch)} per inch; maximum is ${said.mostPerInch}`,
  'no-sheet-between': (said, length) =>
    `a pitch of ${length(said.pitchIn)} leaves no sheet between holes of ${length(said.holeIn)}`,
  'no-bearing-value': (said, length) =>
    `edge distance ${length(said.edgeIn)} is under ${said.leastD} D = ${length(said.leastIn)}: there is no bearing value for it`,
  'line-too-short': (said, length) =>
    `${length(said.spanIn)} is left between the end rivets: the line is too short`,
  'too-many-for-span': (said, length) =>
    `${said.required} rivets over ${length(said.spanIn)} need a pitch of ${length(said.pitchIn)}, under the least of ${said.pitchMinD} D = ${length(said.pitchMinIn)}`,
  'too-many-for-rows': (said, length) =>
    `${said.required} rivets in ${said.rows === 1 ? 'one row' : `${said.rows} rows`} need ${said.inRow} in a row: a pitch of ${length(said.pitchIn)}, under the least of ${said.pitchMinD} D = ${length(said.pitchMinIn)}`,
  'edge-under-least': (said, length) =>
    `edge distance ${length(said.edgeIn)} is below the minimum of ${said.edgeMinD} D = ${length(said.edgeMinIn)} for a ${said.head} head of dash ${said.dash}`,
  'no-room-between-edges': (said, length) =>
    `a width of ${length(said.widthIn)} leaves no room between edge distances of ${length(said.edgeIn)}: it must be over ${length(2 * said.edgeIn)}`,
  'edge-outside': (said, length) =>
    `edge distance ${length(said.edgeIn)} is outside ${said.edgeMinD} D to ${said.edgeMaxD} D = ${length(said.edgeMinIn)} to ${length(said.edgeMaxIn)}`,
  'corner-radius-outside': (said, length) =>
    `corner radius ${length(said.radiusIn)} is outside ${length(said.leastIn)} to half the smaller side, ${length(said.halfSideIn)}`,
  'cutout-too-small': (said, length) =>
    `the ${said.line} rivet row would be ${length(said.wIn)} × ${length(said.hIn)}: the cutout is too small for it`,
  'pitch-under-least': (said, length) =>
    `a pitch of ${length(said.pitchIn)} on the ${said.line} rivet row is below the minimum of ${said.pitchMinD} D = ${length(said.pitchMinIn)}`,
  'insert-corner-near': (said, length) =>
    `a corner rivet of the insert would be ${length(said.edgeIn)} from its rounded corner, under D = ${length(said.diameterIn)}: use a smaller corner radius`,
  'no-insert-line': (said, length) =>
    `a cutout of ${length(said.cutoutIn)} leaves no rivet row on its insert: minimum ${length(said.leastIn)}, or remove the insert`,
  'no-member-line': () => 'the member has no line',
  'flush-in-plastic': () =>
    'a clear panel is never countersunk: the cut cracks it and leaves it no room to grow. Choose a protruding head',
  'square-corner': (said, length) =>
    `a cutout needs rounded corners: square ones crack. Radius ${length(said.usualIn)} usually, minimum ${length(said.leastIn)}`,
  'frame-covers-panel': (said, length) =>
    `a frame strip of ${length(said.frameIn)} covers the whole ${length(said.panelIn)} panel`,
  'one-between-corners': (said) =>
    `one rivet on the ${said.side} side does not go: the sides beside it have rivets in its corners, which count on it too; enter 3 for one between its corners, or 1 on every side`,
  'on-side': (said, length) => `${said.side} side: ${refusalInWords(said.of, length)}`,
  'ring-too-full': (said, length) =>
    `${said.count} rivets on a ring of ${length(said.ringIn)} diameter are ${length(said.pitchIn)} apart, below the minimum pitch of ${said.pitchMinD} D = ${length(said.pitchMinIn)}`,
  'over-largest-drill': (said, length) =>
    `a hole of ${length(said.holeIn)} is over the largest drill, ${said.drill} ${length(said.drillIn)}: slot the holes or divide the panel`,
  'tapes-short': (said, length) =>
    `the two distances do not meet: ${length(said.fromAIn)} + ${length(said.fromBIn)} is ${length(said.shortIn)} short of the ${length(said.baseIn)} between the datum points`,
  'tapes-apart': (said, length) =>
    `the distances differ by ${length(said.differIn)}, more than the ${length(said.baseIn)} between the datum points`,
  'one-datum-point': () => 'the two datum points are one and the same',
  'holes-too-close': (said, length) =>
    `the holes at ${length(said.firstIn)} and ${length(said.lastIn)} are ${length(said.lastIn - said.firstIn)} apart, below the minimum pitch of ${length(said.pitchMinIn)}`,
  'no-holes-fit': (said, length) =>
    `no holes fit between ${length(said.firstIn)} and ${length(said.lastIn)}: minimum pitch ${length(said.pitchMinIn)} is too large`,
  'pitch-too-small': (said, length) =>
    `needs a pitch of ${length(said.neededIn)}, maximum ${length(said.pitchMaxIn)}, between ${length(said.fromIn)} and ${length(said.toIn)}`,
  'fixed-beyond-row': (said, length) =>
    `the fixed hole at ${length(said.holeIn)} is beyond the row, ${length(said.startIn)} to ${length(said.endIn)}`,
  'hole-in-keep-out': (said, length) =>
    `the hole at ${length(said.holeIn)} lies in the keep-out from ${length(said.fromIn)} to ${length(said.toIn)}`,
  'too-many-sheets': (said) =>
    `the pattern would take ${said.sheets} sheets of ${said.paper}; up to ${said.most} are made. Use the DXF or SVG file on a roll printer`,
  'no-part-number': (said) => partNumberInWords(said),
  'not-dimpled-head': () => 'a universal head is not dimpled: it sits on top of the sheet',
  'no-flush-method': () => 'no standard flush method',
  'no-such-length': (said, length) =>
    `a grip of ${length(said.gripIn)} asks for length -${num(said.sixteenths)}; rivets come from -${said.shortest} to -${said.longest}`,
  'hole-too-small': (said, length) =>
    `a hole of ${length(said.holeIn)} is too small for a dash ${said.dash} rivet, shank ${length(said.diameterIn)}`,
  'hole-too-large': (said, length) =>
    `a hole of ${length(said.holeIn)} is too large for a dash ${said.dash} rivet: its shank fills one of up to ${length(said.mostIn)}`,
  'too-thick-to-dimple': (said, length) =>
    `${length(said.thickIn)} is not dimpled: that ends under ${length(said.limitIn)}`,
  'protrusion-not-1-to-2-d': (said, length) =>
    `a protrusion of ${length(said.protrusionIn)} is outside 1 D to 2 D, ${length(said.diameterIn)} to ${length(2 * said.diameterIn)}`,
  'lens-too-near': (said, length) =>
    `a lens ${length(said.standoffIn)} off the sheet is nearer than a head of ${length(said.highIn)} is high: is the distance right?`,
  'bar-does-not-go-in': (said, length) =>
    `the bar, ${length(said.barIn)} at rest, does not go in under a rivet that stands ${length(said.protrusionIn)} into ${length(said.insideIn)}, even without a shim`,
  'no-gauge': (said, length) =>
    `a ${said.what} of ${length(said.valueIn)} is no gauge for this rivet: it must be ${length(said.leastIn)} to ${length(said.mostIn)}, or bad heads pass and good ones fail`,
  'head-over-grip': (said, length) =>
    `a countersunk head ${length(said.headIn)} high is higher than the grip of ${length(said.gripIn)}`,
  'no-metal-for-head': (said, length) =>
    `no metal is left for a head: ${length(said.lengthIn)} of rivet in a grip of ${length(said.gripIn)}, hole ${length(said.holeIn)}`,
  'protrusion-outside': (said, length) =>
    `a rivet ${length(said.lengthIn)} long must have a protrusion between 0 and its length; ${length(said.protrusionIn)} was entered`,
  'cut-through': (said, length) => {
    const throughIn = said.deepIn - said.sheetIn;
    return `the cut for dash ${said.dash} is ${length(said.deepIn)} deep when flush: in ${length(said.sheetIn)} the head would be ${length(throughIn)} high to avoid cutting through; limit ${length(said.highIn)}; a smaller rivet, a thicker sheet, or dimple`;
  },
  'target-outside': (said, length) =>
    `the target ${length(said.targetIn)} is outside ${length(said.lowIn)} to ${length(said.highIn)}; the nearest that works is ${length(said.nearestIn)}`,
  'film-unsaid': () =>
    'Film: enter whether it is on for the coupon cut, the reading and the work. Start a new setup',
  'nest-through': (said, length) =>
    `the cut for the nest would be ${length(said.depthIn)} deep in a sheet of ${length(said.sheetIn)}: a knife edge. A smaller rivet, a thicker sheet, or engineering`,
  'setting-withdrawn': () => 'this setting was withdrawn: begin another',
  'no-such-reading': () => 'no such reading to void',
  'recheck-backwards': (said) =>
    `last re-check was after ${said.last} holes; ${said.after} is earlier`,
  'readings-not-done': (said) =>
    said.here === null
      ? 'not set up: follow the guide first'
      : `not set yet. Leave it at ${said.here.clicks}: ${plural(said.here.holesToGo, 'more hole')} must agree`,
  'no-good-head': (said, length) =>
    `a dash ${said.dash} rivet ${length(said.lengthIn)} long makes no head within the ${said.limits} limits in a grip of ${length(said.gripIn)}: at every height it is too narrow or too wide; use another length`,
  'head-over-free-end': (said, length) =>
    `a head of ${length(said.heightIn)} is higher than the protrusion before driving, ${length(said.freeIn)}: check value and grip`,
  'tool-is-set': () => 'tests of this setup are finished: start a new setup',
  'tool-not-set': () => 'not set up: finish the tests first',
  'not-this-tool': () => 'this test belongs to another tool',
  'fresh-rivet-first': () => 'a driven head cannot be raised. Use a new rivet and tick “new rivet”',
  'wood-first': () => 'the air first: on scrap wood, until it dents without splitting',
  'too-few-holders': (said) =>
    `the shop has ${said.pilot} pilot-size and ${said.final} final-size temporary fasteners; the row ends alone need more`,
  'held-open': (said) => `hole ${said.hole} is left open (${said.reason}): no rivet`,
  'no-batch': (said) =>
    `hole ${said.hole} takes ${said.part}, an icebox rivet: take a batch out first to start the clock`,
  'batch-of-another': (said) => `hole ${said.hole} takes ${said.part}; the batch is ${said.batch}`,
  'batch-expired': (said) =>
    `the batch of lot ${said.lot} is out longer than ${said.limitMin} min: its rivets are too hard. Take out a new batch, or enter a reason; the hole is then flagged`,
  'before-its-batch': (said) =>
    `hole ${said.hole} would be driven ${said.beforeMin} min before lot ${said.lot} left the icebox: a clock is wrong, time out unknown. Set the clock and record again, or enter a reason; the hole is then flagged`,
  'part-not-driven': (said) => `no hole of this release takes ${said.part}`,
  'carried-by-release': () => 'only a new release takes over what was logged of an earlier one',
  'lot-of-its-batch': (said) =>
    `${said.part} is an icebox rivet: its lot is recorded when a batch is taken out`,
  'no-whole-order': (said) =>
    said.strange === null
      ? `list each of the ${plural(said.holes, 'rivet')} exactly once`
      : `there is no rivet ${said.strange} in this release`,
  'no-shims-serve': (said) =>
    `no shims fit the wedge bar at hole ${said.hole}: check member heights, bar height and travel, and shims`,
  'not-driven-cold': (said) => `${said.alloy} is driven as received: it needs no clock`,
  'not-so-many-out': (said) => `${said.count} cannot go back: ${said.left} of this batch are left`,
  'look-first': (said) =>
    `head ${said.hole} is a little long: accept only if straight and sheets flat; confirm that`,
  'nothing-seen': (said) =>
    `head ${said.hole}: no visual defect recorded: measure it or use the gauge plate`,
  'no-flush-limits': (said) =>
    `head ${said.hole}: this release has no limits for flushness; only countersunk heads of a release made under the present rules have them`,
  'plate-contradicts': (said) =>
    said.what === 'hole'
      ? 'a head that enters the lower hole also enters the upper one: check again, or the plate is wrong'
      : 'a head lower than the lower notch is under the upper one too: check again, or the plate is wrong',
  signed: (said) =>
    `this release was signed by ${said.by}: it is locked. Create a new release for further work`,
  'not-ready-to-sign': (said) =>
    `${plural(said.open, 'thing')} ${said.open === 1 ? 'keeps' : 'keep'} this release from being signed`,
  'told-not-accepted': (said) => `${plural(said.open, 'item')} not acknowledged`,
  'checks-own-work': (said) =>
    `head ${said.hole}: shop rule: the driver cannot inspect it. Another person must`,
  'signs-own-work': () => 'shop rule: anyone who drove a rivet in this release cannot sign it',
  'stated-too-early': (said) =>
    `hole ${said.hole}: the stated driving time is before the release, or before the last rivet came out of it`,
  'stated-after-entry': (said) =>
    `hole ${said.hole}: the stated driving time is later than this entry`,
  'practice-from-stock': () => 'practice takes no rivets from stock: record it without a batch',
  'practice-not-signed': () => 'practice: nothing is signed. Download the practice record instead',
  'signed-before-last': () => 'signature dated before the last entry: check the device clock',
  'hole-is-wider': (said, length) =>
    `its hole would be ${length(said.holeIn, 'fine')}, and the one in the metal was measured ${length(said.widestIn, 'fine')}: a hole cannot get smaller`,
  'no-blind': (said) =>
    `hole ${said.hole}: no blind rivet is planned or approved. Plan one at Layout and release again, or record the disposition`,
  'blind-too-short': (said, length) =>
    `a grip of ${length(said.gripIn, 'fine')} is less than the sheets, ${length(said.sheetsIn, 'fine')}`,
  'rivet-mismatch': (said) => `${said.part} is not of that size, head and length`,
  'hole-not-ready': (said) =>
    `hole ${said.hole}: rivet removed. Measure the hole in Inspect before driving`,
  'walls-under-grip': (said, length) =>
    `at rivet ${said.hole} both walls together come to ${length(said.wallsIn)}, and the sheets under the rivet alone are ${length(said.gripIn)}: measure both ends again`,
  'walls-do-not-taper': (said, length) =>
    `the sheets under the rivets go from ${length(said.leastIn)} to ${length(said.mostIn)}, and the walls are entered the same at both ends: enter the walls at each end`,
  'question-open': (said) => `hole ${said.hole}: open question: wait for the disposition`,
  'rivet-is-in': (said) =>
    `hole ${said.hole}: a rivet is installed; remove it before voiding a reading`,
  'lead-decides': () => 'only a lead decides that a rivet is asked about instead of being replaced',
  'reading-of-another': (said) => `only ${said.by} or an inspector may void this reading`,
  'rework-order': (said) =>
    `hole ${said.hole}: out of sequence. Reload, check newer entries and the device clock`,
  'no-room-frozen': (said) =>
    `hole ${said.hole}: this release has no data around the hole. Re-release the joint or refer to engineering`,
  'no-such-finding': () =>
    'that finding is not on record, is voided, or has a later time. Check the clock of this device',
  'disposition-by-data': (said) =>
    `“${DISPOSITIONS[said.disposition]}” needs a data reference for this finding. Enter the document and sheet`,
  'no-such-referral': () => 'there is no such question in this release',
  'answered-already': (said) => `already answered by ${said.by}`,
  'no-such-hole': (said) => `there is no hole ${said.hole} in this release`,
  'bin-kept-otherwise': (said) =>
    `lot ${said.lot} of ${said.part} is kept ${said.cold ? 'cold' : 'as received'}: a bin holds one kind of storage only`,
  'not-so-many': (said) =>
    `${said.count} cannot go out: ${said.held} of ${said.part} lot ${said.lot} are left; count the bin if that is wrong`,
  'length-outside': (said, length) =>
    `${said.what} must be ${MUST[said.must]} ${length(said.limitIn)}; ${length(said.valueIn)} was given`,
  'slipped-sheet': (said, length) => {
    const meant = said.meantIn === null ? '' : ` Was ${length(said.meantIn)} meant?`;
    return `a sheet of ${length(said.valueIn)} is ${said.must} ${length(said.limitIn)}. Check the decimal point.${meant}`;
  },
  'slipped-head': (said, length) =>
    `${length(said.valueIn)} is ${num(said.valueD)} D ${said.way}; a head is between ${length(said.leastIn)} and ${length(said.mostIn)}. Check the decimal point.`,
  'end-before-start': (said, length) =>
    `the end, ${length(said.endIn)}, is not beyond the start, ${length(said.startIn)}`,
  'span-too-long': (said, length) =>
    `a span of ${length(said.spanIn)} is over ${length(said.mostIn)}`,
  'grid-too-fine': (said, length) =>
    `a grid of ${length(said.gridIn)} makes over ${said.most} points of ${length(said.spanIn)}`,
  'pitches-crossed': (said, length) =>
    `the minimum pitch ${length(said.leastIn)} is above the maximum, ${length(said.mostIn)}`,
  'keep-out-backwards': (said, length) =>
    `the keep-out runs backwards, from ${length(said.fromIn)} to ${length(said.toIn)}`,
  'limits-crossed': (said, length) =>
    `the low limit ${length(said.lowIn)} is above the high limit ${length(said.highIn)}`,
  'target-outside-limits': (said, length) =>
    `the target ${length(said.targetIn)} is outside its own limits of ${length(said.lowIn)} to ${length(said.highIn)}`
};

/** What is wrong in a file, and where in it. */
export const fileRefusalInWords = (
  { path, said }: { path: string; said: RefusalSaid },
  length: WriteLength
): string => `${path === '' ? '' : `${path}: `}${refusalInWords(said, length)}`;
