import { num } from '../../core/answer.ts';
import { FAMILY_CONSTANTS } from '../../core/catalog/families.ts';
import type { Block } from '../../core/plan/blocks.ts';
import type { PlanWarning } from '../../core/plan/plan-shape.ts';
import type { PlanWarningSaid } from '../../core/plan/warning-said.ts';
import { asRanges } from '../../core/units/ranges.ts';
import { adriftInWords } from './adrift.ts';
import { existingText } from './existing-holes.ts';
import { openBlindText } from './blind-rivets.ts';
import { flushRange } from './flush.ts';
import { OWN_LIMITS_MISSING } from './heads.ts';
import { CHECK_NAMES, limitText } from './limits.ts';
import { placeInWords } from './places.ts';
import { refusalInWords } from './refusals.ts';
import { causeInWords } from './stacks.ts';
import { hundredths, sentence, type WriteLength } from './writing.ts';

/** A warning as one reads it. */
export interface WrittenWarning {
  title: string;
  text: string;
}

/** The stations that a plan is made at, by name. */
export const PLANNED_AT: Record<PlanWarning['station'], string> = {
  size: 'Size',
  layout: 'Layout',
  'stack-up': 'Stack-up'
};

const of = (stack: string | null): string => (stack === null ? '' : `: ${stack}`);

/**
 * A warning in words; the only place that has them.
 *
 * @param holes those it points at
 * @param length how its lengths are written
 */
export const warningInWords = (
  { said, holes = [] }: Pick<PlanWarning, 'said' | 'holes'>,
  length: WriteLength
): WrittenWarning => (WARNINGS[said.code] as Say<PlanWarningSaid['code']>)(said, length, holes);

/** What one warning says. */
type Say<C extends PlanWarningSaid['code']> = (
  said: Saying<C>,
  length: WriteLength,
  holes: readonly number[]
) => WrittenWarning;
/** What is said under a code, also where it is one of several of its kind. */
type Saying<C, Said = PlanWarningSaid> = Said extends { code: infer Codes }
  ? C extends Codes
    ? Said
    : never
  : never;

const written = (title: string, text: string): WrittenWarning => ({ title, text });

const existingNotMeasured: Say<
  'existing-not-measured' | 'existing-riveted' | 'existing-small' | 'existing-large'
> = (said, length) => existingText(said, length);

const knifeEdge: Say<'knife-edge' | 'no-flush-method'> = (said, length) =>
  written(
    `${said.code === 'knife-edge' ? 'Knife edge' : 'No standard flush method'}${of(said.stack)}`,
    `A dash ${said.dash} flush head is ${length(said.headIn)} high. Use a smaller rivet or a thicker top sheet, or refer to engineering.`
  );

const WARNINGS: { [C in PlanWarningSaid['code']]: Say<C> } = {
  'rule-larger': (said, length) =>
    written(
      'Larger than any standard rivet',
      `3 t is ${length(said.ruleDiameterIn)}; dash 8 is the largest.`
    ),
  'rule-smaller': (said, length) =>
    written(
      'Smaller than any standard rivet',
      `3 t is ${length(said.ruleDiameterIn)}; dash 3 is the smallest.`
    ),
  'other-material': (said) =>
    written(
      `${said.name} is ${said.material}`,
      said.family === null
        ? 'The rivets-per-inch guidance has no value for this case: use approved data.'
        : `The guidance is read for ${FAMILY_CONSTANTS[said.readFor].sheets}.`
    ),
  'flush-carries-less': () =>
    written(
      'Flush heads carry less',
      'The rivets-per-inch guidance is for protruding heads. Use the aircraft’s own data for flush rivets.'
    ),
  'alloy-a': () =>
    written(
      'Alloy A is for non-structural work',
      'The rivets-per-inch guidance is for AD rivets; A shears at a third of that.'
    ),
  'alloy-b': () =>
    written(
      'Alloy B shears at less than AD',
      'The rivets-per-inch guidance is for AD rivets (28 against 30 ksi).'
    ),
  'unrounded-more': (said, length) =>
    written(
      'Unrounded value requires more rivets',
      `${num(said.perInch)} per inch gives ${said.exact} ${placeInWords(said.where, length)}; the tables’ one decimal gives ${said.required}.`
    ),
  'own-figure': (said) =>
    written('Rivets per inch from job data', `${num(said.perInch)} per inch: ${said.reason}`),
  'own-pitch-unsaid': (said, length) =>
    written(
      'Maximum pitch (job) needs its source',
      `${length(said.pitchIn)}: enter the document and page, or leave blank to use the shop limit.`
    ),
  'own-pitch': (said, length) =>
    written(
      'Maximum pitch from job data',
      `${length(said.pitchIn)} by ${said.reference}; the shop’s is ${length(said.shopIn)}.`
    ),
  'as-gauge': (said, length) =>
    written(
      'A metric sheet, counted as its gauge',
      `The guidance is made for gauges: a sheet of ${length(said.thicknessIn)} takes that for ${length(said.gaugeIn)}.`
    ),
  'double-shear': () =>
    written(
      'Calculated in double shear',
      'The printed guidance is for single shear. Cutting each rivet in two places halves its shear limit; the data must allow it.'
    ),
  'holds-only': () =>
    written('Attachment only', 'No load counted: fewest rivets within the maximum pitch.'),
  'strap-missing': () =>
    written(
      'A strap is missing',
      'The broken member lies between two straps: name the strap on the other side too.'
    ),
  'straps-thinner': (said, length) =>
    said.of === 'member'
      ? written(
          'The straps are thinner than the member',
          `${length(said.strapsIn)} of straps carry what ${length(said.memberIn)} of member carried.`
        )
      : written(
          'The strap is thinner than the skin',
          `${length(said.strapsIn)} of strap carries what ${length(said.memberIn)} of skin carried.`
        ),
  'insert-corner': (said, length) =>
    written(
      'The insert’s corner rivets are near its rounded corners',
      `${length(said.edgeIn)} to the curve, below the minimum edge distance of ${length(said.edgeMinIn)}. Use a smaller corner radius, a larger edge distance, or move the corner rivets in.`
    ),
  'crack-longer': (said, length) =>
    written(
      'The crack is longer than the damage named',
      `It runs ${length(said.acrossIn)} across and ${length(said.downIn)} down; the damage is ${length(said.cutoutWIn)} × ${length(said.cutoutHIn)}. Widen the damage so that the plate bridges the whole crack.`
    ),
  'divided-off': (said, length) =>
    written(
      'Requested spacing violates a limit',
      `${said.count} new hole${said.count === 1 ? '' : 's'} between ${length(said.fromIn)} and ${length(said.toIn)} stand ${length(said.pitchIn)} apart; ${length(said.leastIn)} to ${length(said.mostIn)} holds. ${said.nearest === null ? 'No count of holes between them holds it.' : said.nearest === 0 ? 'None between them would hold it.' : `The nearest that holds: ${said.nearest}.`}`
    ),
  'crack-under-flush': () =>
    written(
      'A flush insert needs the damage cut out',
      'A crack that stays is stop-drilled under a plate: choose a plate, or cut the damage out and clear the crack’s length.'
    ),
  'solid-in-plastic': (said) =>
    written(
      'A solid rivet swells in the plastic’s hole and cracks it',
      said.by === ''
        ? 'Use a sleeve, a screw, or a blind rivet with a washer, as approved data specify. Enter method and authority in Size.'
        : `Written choice: ${said.by}.`
    ),
  'washer-needed': (said, length) =>
    said.coverIn < 0
      ? written(
          'The head does not cover the panel’s hole',
          `When the panel has grown its hole extends ${length(-said.coverIn)} past the head: put a washer under the head, wide enough for the hole.`
        )
      : written(
          'Head overlap on the panel hole too small',
          `${length(said.coverIn)} is left when the panel has grown, under ${length(said.leastIn)}: put a washer under the head.`
        ),
  limit: (said, length, holes) => written(CHECK_NAMES[said.rule], limitText(said, holes, length)),
  stuck: (said, length) =>
    written(`${sentence(said.line)} cannot be filled`, `${refusalInWords(said.why, length)}.`),
  'span-off': (said, length) =>
    written(
      `${sentence(said.line)}: its end holes are ${length(tenThousandths(Math.abs(said.differenceIn)))} ${said.differenceIn > 0 ? 'further apart' : 'nearer together'} than planned`,
      `Divided by ${said.spaces} spaces that is a pitch of ${length(tenThousandths(said.pitchIn))}${said.limitIn === null ? '' : `, against a limit of ${length(said.limitIn)}`}. Pick up the end holes as existing holes and lay out the row between them; check their edge distance.`
    ),
  adrift: (said) =>
    written(
      'Manual edit no longer applies',
      `${sentence(adriftInWords(said.what))}. Redo it or remove it.`
    ),
  'held-open': (said) =>
    written(
      said.holes.length === 1
        ? `Hole ${said.holes[0]} is left open`
        : `${said.holes.length} holes are left open`,
      `${said.reasons.join('; ')}: drilled, never riveted.`
    ),
  'existing-not-measured': existingNotMeasured,
  'existing-riveted': existingNotMeasured,
  'existing-small': existingNotMeasured,
  'existing-large': existingNotMeasured,
  'open-blind': (said, length) => openBlindText(said, length),
  'too-few': (said) =>
    written(
      `Too few rivets on ${said.lines}`,
      `${said.has} are driven where ${said.needs} are needed.`
    ),
  'more-than-needed': (said) =>
    written(
      'More rivets than required',
      `${said.has} rivets on ${said.lines} where ${said.needs} carry the load: each extra hole weakens the sheet.`
    ),
  'knife-edge': knifeEdge,
  'no-flush-method': knifeEdge,
  'marginal-countersink': (said) =>
    written(
      `Countersink is marginal${of(said.stack)}`,
      'The cut takes more than ⅔ of its sheet: permitted, not preferred.'
    ),
  'no-flush-target': (said) =>
    written(
      `No flushness fits ${said.sheet}${of(said.stack)}`,
      'A countersink within the shop’s flushness limits goes through this sheet. Use a smaller rivet or a thicker sheet, or refer to engineering.'
    ),
  'stays-proud': (said, length) =>
    written(
      `${said.leastIn > 0 ? 'Head must stay above flush' : 'The sheet sets the low limit of flushness'}${of(said.stack)}`,
      said.marginal
        ? `Flushness ${flushRange({ lowIn: said.leastIn, highIn: said.highIn }, length)}, less than one click: marginal. Any lower and the countersink goes through the sheet.`
        : `Flushness ${flushRange({ lowIn: said.leastIn, highIn: said.highIn }, length)}: below that the countersink goes through the sheet.`
    ),
  'dimple-hot': (said) =>
    written('Dimple hot', `${said.sheets.join(', ')}: 7075-T6 cracks when dimpled cold.`),
  'dimple-hot-if': () =>
    written(
      'Dimple hot if it is 7075-T6',
      'Harder tempers crack when dimpled cold. Specify each sheet’s material to be sure.'
    ),
  'no-rivet': (said, length) =>
    written(`No rivet for this stack${of(said.stack)}`, `${refusalInWords(said.why, length)}.`),
  'no-head': (said, length) =>
    written(
      `No head can be made${of(said.stack)}`,
      `${sentence(refusalInWords(said.why, length))}: take a longer rivet.`
    ),
  protrusion: (said) =>
    written(
      `Protrusion out of limits${of(said.stack)}`,
      `${hundredths(said.protrusionD)} D${said.atDimple ? ' measured from the raised dimple (shop practice)' : ''}; it must be over ${said.overD} D and under ${said.underD} D.`
    ),
  'no-good-head': (said) => {
    const { wideD, diameterD, heightD } = said;
    return written(
      `This length cannot form a good shop head${of(said.stack)}`,
      `At ${said.nominalHeightD} D high it would be ${hundredths(wideD)} D wide: too ${wideD > diameterD.high ? 'much' : 'little'} metal. At no height is it both ${diameterD.low}–${diameterD.high} D wide and ${heightD.low}–${heightD.high} D high.`
    );
  },
  'hold-nothing': (said) =>
    written(
      'Hole through fewer than two sheets',
      `Fewer than two layers lie at holes ${asRanges(said.holes)}.`
    ),
  'under-no-hole': (said) => written(`${said.name} lies under no hole`, 'Check its start and end.'),
  closed: (said) =>
    written(
      'Not disassembled: chips and burrs between sheets accepted',
      `${sentence(said.reason)}.`
    ),
  'own-heads-unfinished': (said) =>
    written('Joint-specific head limits incomplete', OWN_LIMITS_MISSING[said.missing]),
  'own-heads': (said) =>
    written(
      `Joint-specific head limits in use: ${said.reference}`,
      said.wider ? 'They accept heads that shop limits reject.' : 'They are within the shop’s.'
    ),
  'closed-unsaid': () =>
    written(
      'Chips and burrs would stay between the parts',
      'A joint that cannot be disassembled is neither cleaned nor deburred inside: enter who accepted this.'
    ),
  'closed-panel': () =>
    written(
      'Clear panel must be disassembled',
      'Its holes are opened in the panel alone; opened between metal its edges crack.'
    ),
  'closed-flush': (said) =>
    written(
      `Sheets that stay together cannot be dimpled one by one${of(said.stack)}`,
      'Use protruding heads, a top sheet thick enough to countersink, or refer to engineering.'
    ),
  'film-on': (said, length) =>
    written(
      `Protective film still on ${said.sheets.join(' and ')}`,
      `Peel it before measuring and before riveting: it raises a head by ${length(FILM_RAISES_IN.least)} to ${length(FILM_RAISES_IN.most)}. It is not counted in the grip.`
    ),
  'measured-off': (said, length) =>
    written(
      `Hole ${said.hole}: ${length(tenThousandths(Math.abs(said.differenceIn)))} ${said.differenceIn > 0 ? 'more' : 'less'} grip than the stack-up`,
      `Possible causes: ${said.causes.map((cause) => causeInWords(cause, length)).join('; ')}.`
    )
};

/** A stop in one line of a file. */
export function stopInWords(
  stop: Pick<PlanWarning, 'said' | 'holes'>,
  length: WriteLength
): string {
  const { title, text } = warningInWords(stop, length);
  return `${title}: ${text}`;
}

/** What film left on a sheet raises a head by, in (prepare). */
const FILM_RAISES_IN = { least: 0.001, most: 0.002 };

const tenThousandths = (inches: number): number => Math.round(inches * 10_000) / 10_000;

/** What keeps a joint from going on. */
export const blockInWords = (block: Block, length: WriteLength): WrittenWarning =>
  block.by === 'stop'
    ? warningInWords(block.warning, length)
    : { title: 'Not feasible', text: `${sentence(refusalInWords(block.refusal.said, length))}.` };
