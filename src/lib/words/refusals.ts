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
export function refusalInWords(said: RefusalSaid, length: WriteLength): string {
  switch (said.code) {
    case 'told':
      return said.text;
    case 'rivet-too-large':
      return `a dash ${said.dash} rivet is too large for a ${length(said.thicknessIn)} sheet: the guidance starts at ${length(said.leastSheetIn)} for this size`;
    case 'rivet-too-small':
      return `a dash ${said.dash} rivet is too small for a ${length(said.thicknessIn)} sheet${said.shear === 'double' ? ' even in double shear' : ''}: ${num(said.perInch)} an inch would be needed, rows fit up to ${said.mostPerInch}`;
    case 'no-sheet-between':
      return `a pitch of ${length(said.pitchIn)} leaves no sheet between holes of ${length(said.holeIn)}`;
    case 'no-bearing-value':
      return `edge distance ${length(said.edgeIn)} is under ${said.leastD} D = ${length(said.leastIn)}: there is no bearing value for it`;
    case 'line-too-short':
      return `${length(said.spanIn)} is left between the end rivets: the line is too short`;
    case 'too-many-for-span':
      return `${said.required} rivets over ${length(said.spanIn)} need a pitch of ${length(said.pitchIn)}, under the least of ${said.pitchMinD} D = ${length(said.pitchMinIn)}`;
    case 'too-many-for-rows':
      return `${said.required} rivets in ${said.rows === 1 ? 'one row' : `${said.rows} rows`} need ${said.inRow} in a row: a pitch of ${length(said.pitchIn)}, under the least of ${said.pitchMinD} D = ${length(said.pitchMinIn)}`;
    case 'edge-under-least':
      return `edge distance ${length(said.edgeIn)} is under the least of ${said.edgeMinD} D = ${length(said.edgeMinIn)} for a ${said.head} head of dash ${said.dash}`;
    case 'no-room-between-edges':
      return `a width of ${length(said.widthIn)} leaves no room between edge distances of ${length(said.edgeIn)}: it must be over ${length(2 * said.edgeIn)}`;
    case 'edge-outside':
      return `edge distance ${length(said.edgeIn)} is outside ${said.edgeMinD} D to ${said.edgeMaxD} D = ${length(said.edgeMinIn)} to ${length(said.edgeMaxIn)}`;
    case 'corner-radius-outside':
      return `corner radius ${length(said.radiusIn)} is outside ${length(said.leastIn)} to half the smaller side, ${length(said.halfSideIn)}`;
    case 'cutout-too-small':
      return `the ${said.line} rivet line would be ${length(said.wIn)} × ${length(said.hIn)}: the cut-out is too small for it`;
    case 'pitch-under-least':
      return `a pitch of ${length(said.pitchIn)} on the ${said.line} rivet line is under the least of ${said.pitchMinD} D = ${length(said.pitchMinIn)}`;
    case 'insert-corner-near':
      return `a corner rivet of the insert would be ${length(said.edgeIn)} from its rounded corner, under D = ${length(said.diameterIn)}: use a smaller corner radius`;
    case 'no-insert-line':
      return `a cut-out of ${length(said.cutoutIn)} leaves no rivet line on its insert: it must be over ${length(said.leastIn)}, or go without an insert`;
    case 'no-member-line':
      return 'the member has no line';
    case 'flush-in-plastic':
      return 'a clear panel is never countersunk: the cut cracks it and leaves it no room to grow. Choose a protruding head';
    case 'square-corner':
      return `a cut-out has no square corners: they crack. Round them, ${length(said.usualIn)} usually and ${length(said.leastIn)} at least`;
    case 'frame-covers-panel':
      return `a frame strip of ${length(said.frameIn)} covers the whole ${length(said.panelIn)} panel`;
    case 'one-between-corners':
      return `one rivet on the ${said.side} side does not go: the sides beside it have rivets in its corners, which count on it too; enter 3 for one between its corners, or 1 on every side`;
    case 'on-side':
      return `${said.side} side: ${refusalInWords(said.of, length)}`;
    case 'ring-too-full':
      return `${said.count} rivets on a ring of ${length(said.ringIn)} diameter stand ${length(said.pitchIn)} apart, under the least pitch of ${said.pitchMinD} D = ${length(said.pitchMinIn)}`;
    case 'over-largest-drill':
      return `a hole of ${length(said.holeIn)} is over the largest drill, ${said.drill} ${length(said.drillIn)}: slot the holes or divide the panel`;
    case 'tapes-short':
      return `the two tapes do not reach each other: ${length(said.fromAIn)} + ${length(said.fromBIn)} is ${length(said.shortIn)} short of the ${length(said.baseIn)} between the datum points`;
    case 'tapes-apart':
      return `the distances differ by ${length(said.differIn)}, more than the ${length(said.baseIn)} between the datum points`;
    case 'one-datum-point':
      return 'the two datum points are one and the same';
    case 'holes-too-close':
      return `the holes at ${length(said.firstIn)} and ${length(said.lastIn)} are ${length(said.lastIn - said.firstIn)} apart, under the least pitch of ${length(said.pitchMinIn)}`;
    case 'no-holes-fit':
      return `no holes fit between ${length(said.firstIn)} and ${length(said.lastIn)}: the least pitch of ${length(said.pitchMinIn)} would have to be smaller`;
    case 'pitch-too-small':
      return `needs a pitch up to ${length(said.neededIn)}, the largest is ${length(said.pitchMaxIn)}, between ${length(said.fromIn)} and ${length(said.toIn)}`;
    case 'fixed-beyond-row':
      return `the fixed hole at ${length(said.holeIn)} is beyond the row, ${length(said.startIn)} to ${length(said.endIn)}`;
    case 'hole-in-keep-out':
      return `the hole at ${length(said.holeIn)} lies in the keep-out from ${length(said.fromIn)} to ${length(said.toIn)}`;
    case 'too-many-sheets':
      return `the pattern would take ${said.sheets} sheets of ${said.paper}; up to ${said.most} are made. Use the DXF or SVG file on a roll printer`;
    case 'no-part-number':
      return partNumberInWords(said);
    case 'not-dimpled-head':
      return 'a universal head is not dimpled: it sits on top of the sheet';
    case 'no-flush-method':
      return 'no standard flush method';
    case 'no-such-length':
      return `a grip of ${length(said.gripIn)} asks for length -${num(said.sixteenths)}; rivets come from -${said.shortest} to -${said.longest}`;
    case 'hole-too-small':
      return `a hole of ${length(said.holeIn)} does not take a dash ${said.dash} rivet, whose shank is ${length(said.diameterIn)}`;
    case 'hole-too-large':
      return `a hole of ${length(said.holeIn)} is too large for a dash ${said.dash} rivet: its shank fills one of up to ${length(said.mostIn)}`;
    case 'too-thick-to-dimple':
      return `${length(said.thickIn)} is not dimpled: that ends under ${length(said.limitIn)}`;
    case 'protrusion-not-1-to-2-d':
      return `a protrusion of ${length(said.protrusionIn)} is outside 1 D to 2 D, ${length(said.diameterIn)} to ${length(2 * said.diameterIn)}`;
    case 'lens-too-near':
      return `a lens ${length(said.standoffIn)} off the sheet is nearer than a head of ${length(said.highIn)} is high: is the distance right?`;
    case 'bar-does-not-go-in':
      return `the bar, ${length(said.barIn)} at rest, does not go in under a rivet that stands ${length(said.protrusionIn)} into ${length(said.insideIn)}, even without a shim`;
    case 'no-gauge':
      return `a ${said.what} of ${length(said.valueIn)} is no gauge for this rivet: it must be ${length(said.leastIn)} to ${length(said.mostIn)}, or bad heads pass or good ones are condemned`;
    case 'head-over-grip':
      return `a countersunk head ${length(said.headIn)} high is higher than the grip of ${length(said.gripIn)}`;
    case 'no-metal-for-head':
      return `no metal is left for a head: ${length(said.lengthIn)} of rivet in a grip of ${length(said.gripIn)}, hole ${length(said.holeIn)}`;
    case 'protrusion-outside':
      return `a rivet ${length(said.lengthIn)} long stands out more than 0 and less than that; ${length(said.protrusionIn)} was given`;
    case 'cut-through': {
      const throughIn = said.deepIn - said.sheetIn;
      return `the cut for dash ${said.dash} is ${length(said.deepIn)} deep when flush: in ${length(said.sheetIn)} the head would have to stay ${length(throughIn)} proud so as not to cut through, and the limit is ${length(said.highIn)}; a smaller rivet, a thicker sheet, or dimple`;
    }
    case 'target-outside':
      return `the target ${length(said.targetIn)} is outside ${length(said.lowIn)} to ${length(said.highIn)}; the nearest that works is ${length(said.nearestIn)}`;
    case 'film-unsaid':
      return 'film was on, and it was not said whether while the coupon was cut, while it was read, and while the work will be cut: begin a new setting and say it';
    case 'nest-through':
      return `the cut for the nest would be ${length(said.depthIn)} deep in a sheet of ${length(said.sheetIn)}: a knife edge. A smaller rivet, a thicker sheet, or engineering`;
    case 'setting-withdrawn':
      return 'this setting was withdrawn: begin another';
    case 'cage-not-set':
      return 'the cage is not set yet: finish the trials first';
    case 'cage-is-set':
      return 'the cage is set: begin another setting to go on';
    case 'no-such-reading':
      return 'there is no such reading to strike';
    case 'recheck-backwards':
      return `the last look came after ${said.last} holes; ${said.after} is before it`;
    case 'readings-not-done':
      return said.here === null
        ? 'not set yet: first do what the guide says'
        : `not set yet. Leave it at ${said.here.clicks}: ${plural(said.here.holesToGo, 'more hole')} must agree`;
    case 'no-good-head':
      return `a dash ${said.dash} rivet ${length(said.lengthIn)} long makes no head within the ${said.limits} limits in a grip of ${length(said.gripIn)}: at every height it is too narrow or too wide; take another length`;
    case 'head-over-free-end':
      return `a head of ${length(said.heightIn)} is higher than the rivet stood out before it was driven, ${length(said.freeIn)}: is the figure right, or the grip?`;
    case 'tool-is-set':
      return 'the trials of this setting are done: begin another setting to go on trying';
    case 'tool-not-set':
      return 'it is not set yet: finish the trials first';
    case 'not-this-tool':
      return 'that is a trial of another tool';
    case 'fresh-rivet-first':
      return 'a head that was driven does not rise again: take a fresh rivet, and say that it is one';
    case 'wood-first':
      return 'the air first: on scrap wood, until it dents without splitting';
    case 'too-few-holders':
      return `the shop has ${said.pilot} pilot-size and ${said.final} final-size holders; even the ends of the ${plural(said.lines, 'line')} take more`;
    case 'held-open':
      return `hole ${said.hole} is held open (${said.reason}): it gets no rivet`;
    case 'no-batch':
      return `hole ${said.hole} takes ${said.part}, which is driven cold: take a batch out first, so that its clock runs`;
    case 'batch-of-another':
      return `hole ${said.hole} takes ${said.part}; the batch is ${said.batch}`;
    case 'batch-expired':
      return `the batch of lot ${said.lot} is out longer than ${said.limitMin} min: its rivets are hard by now. Take out a new one, or say in writing why this one is driven; it is then looked at`;
    case 'before-its-batch':
      return `hole ${said.hole} would be driven ${said.beforeMin} min before lot ${said.lot} was out of the cold: a clock is wrong, or was set back, and how long the rivet was out cannot be told. Set the clock right and log it again, or say in writing why it is driven; it is then looked at`;
    case 'part-not-driven':
      return `no hole of this release takes ${said.part}`;
    case 'carried-by-release':
      return 'only a new release takes over what was logged of an earlier one';
    case 'lot-of-its-batch':
      return `${said.part} is kept cold: its lot is told when a batch is taken out`;
    case 'no-whole-order':
      return said.strange === null
        ? `an order names each of the ${plural(said.holes, 'rivet')} once`
        : `there is no rivet ${said.strange} in this release`;
    case 'no-shims-serve':
      return `no shims of the shop bring the wedge bar to rivet ${said.hole}: look at the member’s heights, the bar’s height and travel, and the shims`;
    case 'not-driven-cold':
      return `${said.alloy} is driven as received: it needs no clock`;
    case 'not-so-many-out':
      return `${said.count} cannot go back: ${said.left} of this batch are left`;
    case 'look-first':
      return `head ${said.hole} is a little long: it is good only if it sits straight and the sheets are flat, and nobody has said so`;
    case 'nothing-seen':
      return `head ${said.hole}: nothing was found by eye; measure it, or hold it against the gauge plate`;
    case 'no-flush-limits':
      return `head ${said.hole}: this release has no limits for flushness; only countersunk heads of a release made under the present rules have them`;
    case 'plate-contradicts':
      return said.what === 'hole'
        ? 'a head that enters the lower hole enters the upper one too: look again, or the plate is wrong'
        : 'a head lower than the lower notch stands under the upper one too: look again, or the plate is wrong';
    case 'signed':
      return `this release was signed by ${said.by}: nothing is added to it. Release the joint again for what comes after`;
    case 'not-ready-to-sign':
      return `${plural(said.open, 'thing')} ${said.open === 1 ? 'keeps' : 'keep'} this release from being signed`;
    case 'told-not-accepted':
      return `${plural(said.open, 'thing')} to know ${said.open === 1 ? 'is' : 'are'} not ticked off`;
    case 'checks-own-work':
      return `head ${said.hole}: whoever drove it does not judge it, by this shop’s rule; somebody else looks at it`;
    case 'signs-own-work':
      return 'whoever drove a rivet of it does not sign it, by this shop’s rule: somebody else signs';
    case 'signed-before-last':
      return 'this signature is dated before the last thing that was logged: look at the clock of this device';
    case 'hole-is-wider':
      return `its hole would be ${length(said.holeIn, 'fine')}, and the one in the metal was measured ${length(said.widestIn, 'fine')}: a hole does not grow narrower`;
    case 'no-blind':
      return `hole ${said.hole}: no blind rivet is planned or approved for it. Plan it at Layout for an open hole and release again, or log the data holder’s answer`;
    case 'blind-too-short':
      return `a grip of ${length(said.gripIn, 'fine')} does not reach through ${length(said.sheetsIn, 'fine')} of sheets: it is at least that`;
    case 'rivet-mismatch':
      return `${said.part} is not of that size, head and length`;
    case 'hole-not-ready':
      return `hole ${said.hole}: its rivet was taken out; measure the hole at Check first, so that the right rivet goes in`;
    case 'walls-under-grip':
      return `at rivet ${said.hole} both walls together come to ${length(said.wallsIn)}, and the sheets under the rivet alone are ${length(said.gripIn)}: measure both ends again`;
    case 'walls-do-not-taper':
      return `the sheets under the rivets go from ${length(said.leastIn)} to ${length(said.mostIn)}, and the walls are entered the same at both ends: enter the walls at each end`;
    case 'question-open':
      return `hole ${said.hole}: a question about it is open; it waits for its answer, the rest goes on`;
    case 'rivet-is-in':
      return `hole ${said.hole}: a rivet was driven in it; take it out before a reading is voided`;
    case 'lead-decides':
      return 'only a lead decides that a rivet is asked about instead of being replaced';
    case 'reading-of-another':
      return `only ${said.by} or an inspector may void this reading`;
    case 'rework-order':
      return `hole ${said.hole}: that does not follow on what was done there, or is dated before it; read what was logged meanwhile, and look at the clock`;
    case 'no-room-frozen':
      return `hole ${said.hole}: this release does not hold what stands around the hole; release the joint again to judge it, or refer it`;
    case 'no-such-finding':
      return 'that finding is not on record, was voided, or is dated later: look at the clock of this device';
    case 'disposition-by-data':
      return `“${DISPOSITIONS[said.disposition]}” rests on the data for such a finding: say which, and where they stand`;
    case 'no-such-referral':
      return 'there is no such question in this release';
    case 'answered-already':
      return `it was answered already, by ${said.by}`;
    case 'no-such-hole':
      return `there is no hole ${said.hole} in this release`;
    case 'bin-kept-otherwise':
      return `lot ${said.lot} of ${said.part} is kept ${said.cold ? 'cold' : 'as received'}: a bin is one or the other`;
    case 'not-so-many':
      return `${said.count} cannot go out: ${said.held} of ${said.part} lot ${said.lot} are left; count the bin if that is wrong`;
    case 'length-outside':
      return `${said.what} must be ${MUST[said.must]} ${length(said.limitIn)}; ${length(said.valueIn)} was given`;
    case 'slipped-sheet': {
      const meant = said.meantIn === null ? '' : ` Was ${length(said.meantIn)} meant?`;
      return `a sheet of ${length(said.valueIn)} is ${said.must} ${length(said.limitIn)}: did a decimal point slip?${meant}`;
    }
    case 'slipped-head':
      return `${length(said.valueIn)} is ${num(said.valueD)} D ${said.way}; a head is between ${length(said.leastIn)} and ${length(said.mostIn)}: did a decimal point slip?`;
    case 'end-before-start':
      return `the end, ${length(said.endIn)}, is not beyond the start, ${length(said.startIn)}`;
    case 'span-too-long':
      return `a span of ${length(said.spanIn)} is over ${length(said.mostIn)}`;
    case 'grid-too-fine':
      return `a grid of ${length(said.gridIn)} makes over ${said.most} points of ${length(said.spanIn)}`;
    case 'pitches-crossed':
      return `the least pitch ${length(said.leastIn)} is above the largest, ${length(said.mostIn)}`;
    case 'keep-out-backwards':
      return `the keep-out runs backwards, from ${length(said.fromIn)} to ${length(said.toIn)}`;
    case 'limits-crossed':
      return `the low limit ${length(said.lowIn)} is above the high limit ${length(said.highIn)}`;
    case 'target-outside-limits':
      return `the target ${length(said.targetIn)} is outside its own limits of ${length(said.lowIn)} to ${length(said.highIn)}`;
  }
}

/** What is wrong in a file, and where in it. */
export const fileRefusalInWords = (
  { path, said }: { path: string; said: RefusalSaid },
  length: WriteLength
): string => `${path === '' ? '' : `${path}: `}${refusalInWords(said, length)}`;
