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
    `a dash ${said.dash} rivet is too small for a ${length(said.thicknessIn)} sheet${said.shear === 'double' ? ' even in double shear' : ''}: ${num(said.perInch)} an inch would be needed, rows fit up to ${said.mostPerInch}`,
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
    `edge distance ${length(said.edgeIn)} is under the least of ${said.edgeMinD} D = ${length(said.edgeMinIn)} for a ${said.head} head of dash ${said.dash}`,
  'no-room-between-edges': (said, length) =>
    `a width of ${length(said.widthIn)} leaves no room between edge distances of ${length(said.edgeIn)}: it must be over ${length(2 * said.edgeIn)}`,
  'edge-outside': (said, length) =>
    `edge distance ${length(said.edgeIn)} is outside ${said.edgeMinD} D to ${said.edgeMaxD} D = ${length(said.edgeMinIn)} to ${length(said.edgeMaxIn)}`,
  'corner-radius-outside': (said, length) =>
    `corner radius ${length(said.radiusIn)} is outside ${length(said.leastIn)} to half the smaller side, ${length(said.halfSideIn)}`,
  'cutout-too-small': (said, length) =>
    `the ${said.line} rivet line would be ${length(said.wIn)} × ${length(said.hIn)}: the cut-out is too small for it`,
  'pitch-under-least': (said, length) =>
    `a pitch of ${length(said.pitchIn)} on the ${said.line} rivet line is under the least of ${said.pitchMinD} D = ${length(said.pitchMinIn)}`,
  'insert-corner-near': (said, length) =>
    `a corner rivet of the insert would be ${length(said.edgeIn)} from its rounded corner, under D = ${length(said.diameterIn)}: use a smaller corner radius`,
  'no-insert-line': (said, length) =>
    `a cut-out of ${length(said.cutoutIn)} leaves no rivet line on its insert: it must be over ${length(said.leastIn)}, or go without an insert`,
  'no-member-line': () => 'the member has no line',
  'flush-in-plastic': () =>
    'a clear panel is never countersunk: the cut cracks it and leaves it no room to grow. Choose a protruding head',
  'square-corner': (said, length) =>
    `a cut-out has no square corners: they crack. Round them, ${length(said.usualIn)} usually and ${length(said.leastIn)} at least`,
  'frame-covers-panel': (said, length) =>
    `a frame strip of ${length(said.frameIn)} covers the whole ${length(said.panelIn)} panel`,
  'one-between-corners': (said) =>
    `one rivet on the ${said.side} side does not go: the sides beside it have rivets in its corners, which count on it too; enter 3 for one between its corners, or 1 on every side`,
  'on-side': (said, length) => `${said.side} side: ${refusalInWords(said.of, length)}`,
  'ring-too-full': (said, length) =>
    `${said.count} rivets on a ring of ${length(said.ringIn)} diameter stand ${length(said.pitchIn)} apart, under the least pitch of ${said.pitchMinD} D = ${length(said.pitchMinIn)}`,
  'over-largest-drill': (said, length) =>
    `a hole of ${length(said.holeIn)} is over the largest drill, ${said.drill} ${length(said.drillIn)}: slot the holes or divide the panel`,
  'tapes-short': (said, length) =>
    `the two tapes do not reach each other: ${length(said.fromAIn)} + ${length(said.fromBIn)} is ${length(said.shortIn)} short of the ${length(said.baseIn)} between the datum points`,
  'tapes-apart': (said, length) =>
    `the distances differ by ${length(said.differIn)}, more than the ${length(said.baseIn)} between the datum points`,
  'one-datum-point': () => 'the two datum points are one and the same',
  'holes-too-close': (said, length) =>
    `the holes at ${length(said.firstIn)} and ${length(said.lastIn)} are ${length(said.lastIn - said.firstIn)} apart, under the least pitch of ${length(said.pitchMinIn)}`,
  'no-holes-fit': (said, length) =>
    `no holes fit between ${length(said.firstIn)} and ${length(said.lastIn)}: the least pitch of ${length(said.pitchMinIn)} would have to be smaller`,
  'pitch-too-small': (said, length) =>
    `needs a pitch up to ${length(said.neededIn)}, the largest is ${length(said.pitchMaxIn)}, between ${length(said.fromIn)} and ${length(said.toIn)}`,
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
    `a hole of ${length(said.holeIn)} does not take a dash ${said.dash} rivet, whose shank is ${length(said.diameterIn)}`,
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
    `a ${said.what} of ${length(said.valueIn)} is no gauge for this rivet: it must be ${length(said.leastIn)} to ${length(said.mostIn)}, or bad heads pass or good ones are condemned`,
  'head-over-grip': (said, length) =>
    `a countersunk head ${length(said.headIn)} high is higher than the grip of ${length(said.gripIn)}`,
  'no-metal-for-head': (said, length) =>
    `no metal is left for a head: ${length(said.lengthIn)} of rivet in a grip of ${length(said.gripIn)}, hole ${length(said.holeIn)}`,
  'protrusion-outside': (said, length) =>
    `a rivet ${length(said.lengthIn)} long stands out more than 0 and less than that; ${length(said.protrusionIn)} was given`,
  'cut-through': (said, length) => {
    const throughIn = said.deepIn - said.sheetIn;
    return `the cut for dash ${said.dash} is ${length(said.deepIn)} deep when flush: in ${length(said.sheetIn)} the head would have to stay ${length(throughIn)} proud so as not to cut through, and the limit is ${length(said.highIn)}; a smaller rivet, a thicker sheet, or dimple`;
  },
  'target-outside': (said, length) =>
    `the target ${length(said.targetIn)} is outside ${length(said.lowIn)} to ${length(said.highIn)}; the nearest that works is ${length(said.nearestIn)}`,
  'film-unsaid': () =>
    'film was on, and it was not said whether while the coupon was cut, while it was read, and while the work will be cut: begin a new setting and say it',
  'nest-through': (said, length) =>
    `the cut for the nest would be ${length(said.depthIn)} deep in a sheet of ${length(said.sheetIn)}: a knife edge. A smaller rivet, a thicker sheet, or engineering`,
  'setting-withdrawn': () => 'this setting was withdrawn: begin another',
  'no-such-reading': () => 'there is no such reading to strike',
  'recheck-backwards': (said) =>
    `the last look came after ${said.last} holes; ${said.after} is before it`,
  'readings-not-done': (said) =>
    said.here === null
      ? 'not set yet: first do what the guide says'
      : `not set yet. Leave it at ${said.here.clicks}: ${plural(said.here.holesToGo, 'more hole')} must agree`,
  'no-good-head': (said, length) =>
    `a dash ${said.dash} rivet ${length(said.lengthIn)} long makes no head within the ${said.limits} limits in a grip of ${length(said.gripIn)}: at every height it is too narrow or too wide; take another length`,
  'head-over-free-end': (said, length) =>
    `a head of ${length(said.heightIn)} is higher than the rivet stood out before it was driven, ${length(said.freeIn)}: is the figure right, or the grip?`,
  'tool-is-set': () => 'the trials of this setting are done: begin another setting to go on trying',
  'tool-not-set': () => 'it is not set yet: finish the trials first',
  'not-this-tool': () => 'that is a trial of another tool',
  'fresh-rivet-first': () =>
    'a head that was driven does not rise again: take a fresh rivet, and say that it is one',
  'wood-first': () => 'the air first: on scrap wood, until it dents without splitting',
  'too-few-holders': (said) =>
    `the shop has ${said.pilot} pilot-size and ${said.final} final-size holders; even the ends of the ${plural(said.lines, 'line')} take more`,
  'held-open': (said) => `hole ${said.hole} is held open (${said.reason}): it gets no rivet`,
  'no-batch': (said) =>
    `hole ${said.hole} takes ${said.part}, which is driven cold: take a batch out first, so that its clock runs`,
  'batch-of-another': (said) => `hole ${said.hole} takes ${said.part}; the batch is ${said.batch}`,
  'batch-expired': (said) =>
    `the batch of lot ${said.lot} is out longer than ${said.limitMin} min: its rivets are hard by now. Take out a new one, or say in writing why this one is driven; it is then looked at`,
  'before-its-batch': (said) =>
    `hole ${said.hole} would be driven ${said.beforeMin} min before lot ${said.lot} was out of the cold: a clock is wrong, or was set back, and how long the rivet was out cannot be told. Set the clock right and log it again, or say in writing why it is driven; it is then looked at`,
  'part-not-driven': (said) => `no hole of this release takes ${said.part}`,
  'carried-by-release': () => 'only a new release takes over what was logged of an earlier one',
  'lot-of-its-batch': (said) =>
    `${said.part} is kept cold: its lot is told when a batch is taken out`,
  'no-whole-order': (said) =>
    said.strange === null
      ? `an order names each of the ${plural(said.holes, 'rivet')} once`
      : `there is no rivet ${said.strange} in this release`,
  'no-shims-serve': (said) =>
    `no shims of the shop bring the wedge bar to rivet ${said.hole}: look at the member’s heights, the bar’s height and travel, and the shims`,
  'not-driven-cold': (said) => `${said.alloy} is driven as received: it needs no clock`,
  'not-so-many-out': (said) => `${said.count} cannot go back: ${said.left} of this batch are left`,
  'look-first': (said) =>
    `head ${said.hole} is a little long: it is good only if it sits straight and the sheets are flat, and nobody has said so`,
  'nothing-seen': (said) =>
    `head ${said.hole}: nothing was found by eye; measure it, or hold it against the gauge plate`,
  'no-flush-limits': (said) =>
    `head ${said.hole}: this release has no limits for flushness; only countersunk heads of a release made under the present rules have them`,
  'plate-contradicts': (said) =>
    said.what === 'hole'
      ? 'a head that enters the lower hole enters the upper one too: look again, or the plate is wrong'
      : 'a head lower than the lower notch stands under the upper one too: look again, or the plate is wrong',
  signed: (said) =>
    `this release was signed by ${said.by}: nothing is added to it. Release the joint again for what comes after`,
  'not-ready-to-sign': (said) =>
    `${plural(said.open, 'thing')} ${said.open === 1 ? 'keeps' : 'keep'} this release from being signed`,
  'told-not-accepted': (said) =>
    `${plural(said.open, 'thing')} to know ${said.open === 1 ? 'is' : 'are'} not ticked off`,
  'checks-own-work': (said) =>
    `head ${said.hole}: whoever drove it does not judge it, by this shop’s rule; somebody else looks at it`,
  'signs-own-work': () =>
    'whoever drove a rivet of it does not sign it, by this shop’s rule: somebody else signs',
  'signed-before-last': () =>
    'this signature is dated before the last thing that was logged: look at the clock of this device',
  'hole-is-wider': (said, length) =>
    `its hole would be ${length(said.holeIn, 'fine')}, and the one in the metal was measured ${length(said.widestIn, 'fine')}: a hole does not grow narrower`,
  'no-blind': (said) =>
    `hole ${said.hole}: no blind rivet is planned or approved. Plan one at Layout and release again, or record the disposition`,
  'blind-too-short': (said, length) =>
    `a grip of ${length(said.gripIn, 'fine')} does not reach through ${length(said.sheetsIn, 'fine')} of sheets: it is at least that`,
  'rivet-mismatch': (said) => `${said.part} is not of that size, head and length`,
  'hole-not-ready': (said) =>
    `hole ${said.hole}: its rivet was taken out; measure the hole at Check first, so that the right rivet goes in`,
  'walls-under-grip': (said, length) =>
    `at rivet ${said.hole} both walls together come to ${length(said.wallsIn)}, and the sheets under the rivet alone are ${length(said.gripIn)}: measure both ends again`,
  'walls-do-not-taper': (said, length) =>
    `the sheets under the rivets go from ${length(said.leastIn)} to ${length(said.mostIn)}, and the walls are entered the same at both ends: enter the walls at each end`,
  'question-open': (said) =>
    `hole ${said.hole}: a question about it is open; it waits for its answer, the rest goes on`,
  'rivet-is-in': (said) =>
    `hole ${said.hole}: a rivet was driven in it; take it out before a reading is voided`,
  'lead-decides': () => 'only a lead decides that a rivet is asked about instead of being replaced',
  'reading-of-another': (said) => `only ${said.by} or an inspector may void this reading`,
  'rework-order': (said) =>
    `hole ${said.hole}: that does not follow on what was done there, or is dated before it; read what was logged meanwhile, and look at the clock`,
  'no-room-frozen': (said) =>
    `hole ${said.hole}: this release does not hold what stands around the hole; release the joint again to judge it, or refer it`,
  'no-such-finding': () =>
    'that finding is not on record, is voided, or has a later time. Check the clock of this device',
  'disposition-by-data': (said) =>
    `“${DISPOSITIONS[said.disposition]}” needs a data reference for this finding. Enter the document and sheet`,
  'no-such-referral': () => 'there is no such question in this release',
  'answered-already': (said) => `it was answered already, by ${said.by}`,
  'no-such-hole': (said) => `there is no hole ${said.hole} in this release`,
  'bin-kept-otherwise': (said) =>
    `lot ${said.lot} of ${said.part} is kept ${said.cold ? 'cold' : 'as received'}: a bin is one or the other`,
  'not-so-many': (said) =>
    `${said.count} cannot go out: ${said.held} of ${said.part} lot ${said.lot} are left; count the bin if that is wrong`,
  'length-outside': (said, length) =>
    `${said.what} must be ${MUST[said.must]} ${length(said.limitIn)}; ${length(said.valueIn)} was given`,
  'slipped-sheet': (said, length) => {
    const meant = said.meantIn === null ? '' : ` Was ${length(said.meantIn)} meant?`;
    return `a sheet of ${length(said.valueIn)} is ${said.must} ${length(said.limitIn)}: did a decimal point slip?${meant}`;
  },
  'slipped-head': (said, length) =>
    `${length(said.valueIn)} is ${num(said.valueD)} D ${said.way}; a head is between ${length(said.leastIn)} and ${length(said.mostIn)}: did a decimal point slip?`,
  'end-before-start': (said, length) =>
    `the end, ${length(said.endIn)}, is not beyond the start, ${length(said.startIn)}`,
  'span-too-long': (said, length) =>
    `a span of ${length(said.spanIn)} is over ${length(said.mostIn)}`,
  'grid-too-fine': (said, length) =>
    `a grid of ${length(said.gridIn)} makes over ${said.most} points of ${length(said.spanIn)}`,
  'pitches-crossed': (said, length) =>
    `the least pitch ${length(said.leastIn)} is above the largest, ${length(said.mostIn)}`,
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
