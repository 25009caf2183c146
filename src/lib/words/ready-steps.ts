import type { ExistingStanding } from '../../core/plan/existing-holes.ts';
import type { CuttingMethod } from '../../core/prepare/cutting-advice.ts';
import type { ReadyStep } from '../../core/prepare/step-list.ts';
import type { StepHazard, StepSaid } from '../../core/prepare/step-said.ts';
import { angle, flushAim } from './flush.ts';
import type { WriteLength } from './writing.ts';

/** A step before the first rivet as one reads it; what is not needed is empty. */
export interface WrittenStep {
  title: string;
  say: string;
  tool: string;
  setting: string;
  caution: string;
}

const CAUTIONS: Record<StepHazard, string> = {
  drill:
    'Eye protection; clamp small parts; no gloves near a rotating drill; a backing block behind, never a hand.',
  edges: 'Chips and edges cut: gloves for handling, none near the drill.',
  air: 'Disconnect the air before touching the cutter.',
  dimple: 'Fingers out of the yoke: it closes with thousands of pounds.',
  primer: 'Gloves, ventilation, and the product’s data sheet.'
};

const CUTTING: Record<CuttingMethod, string> = {
  nibbler: 'hand nibbler, or snips for outside curves',
  snips: 'snips along a straight line, a router along a guide for the rest',
  router: 'router along a guide',
  saw: 'saw, then file to the line'
};

/** How round a filed corner is, in (prepare). */
const ROUND_IN = { least: 1 / 16, most: 1 / 8 };
const edgeCleanUp = (length: WriteLength): string =>
  `File every cut edge free of nicks along its length, never across; round corners to a radius of ${length(ROUND_IN.least)} to ${length(ROUND_IN.most)}.`;

type Words = Omit<WrittenStep, 'caution'>;
const words = (title: string, say = '', tool = '', setting = ''): Words => ({
  title,
  say,
  tool,
  setting
});

const tenThousandths = (lengthIn: number): number => Math.round(lengthIn * 1e4) / 1e4;

function dimple(said: Extract<StepSaid, { op: 'dimple' }>): Words {
  const { sheet, stack, punchDeg, dieDeg, hot } = said;
  const heat = {
    hot: 'Dimple hot: this temper cracks when dimpled cold. ',
    ask: 'Hot if it is 7075-T6. ',
    cold: ''
  }[hot];
  return words(
    `Dimple ${sheet}${stack === null ? '' : `, ${stack}`}`,
    `${heat}Square, once; check the lip for cracks.`,
    `punch ${angle(punchDeg)}, die ${angle(dieDeg)}`
  );
}

const nth = (every: number): string =>
  every === 2 ? 'second' : every === 3 ? 'third' : `${every}th`;

/** No hand drill turns a larger saw safely. */
const LARGEST_SAW_IN = 3;

function wordsOf(said: StepSaid, length: WriteLength): Words {
  switch (said.op) {
    case 'relief':
      return words(
        'Drill the corner reliefs',
        `Drill each relief small and open it up before cutting: a cut then ends in a hole, not in a crack. Centers: ${said.centres.map(({ xIn, yIn }) => `${length(tenThousandths(xIn))} right, ${length(tenThousandths(yIn))} down`).join('; ')}.`,
        `${said.pilotDrill}, then a step drill or a hole saw`,
        `${length(said.diameterIn)}; mark that step of the drill with tape`
      );
    case 'cutOut':
      return said.roundIn === null
        ? words(
            'Cut the damage out',
            `From relief to relief along the line. ${edgeCleanUp(length)}`,
            CUTTING[said.method]
          )
        : words(
            'Cut the damage out',
            `Drill a starting hole inside the ring first, then cut along the line. ${edgeCleanUp(length)}`,
            said.roundIn <= LARGEST_SAW_IN
              ? 'hole saw or circle cutter, slowly, on a backing'
              : `too large for a hole saw: ${CUTTING[said.method]}`,
            `${length(said.roundIn)} across`
          );
    case 'cutPart': {
      const { sizeIn, cornerIn, part, method } = said;
      const size =
        'across' in sizeIn
          ? `${length(tenThousandths(sizeIn.across))} across`
          : `${length(tenThousandths(sizeIn.w))} × ${length(tenThousandths(sizeIn.h))}`;
      return words(
        `Cut ${part} to its outline`,
        `From its own pattern, a little outside the line, then filed to it. ${edgeCleanUp(length)}`,
        CUTTING[method],
        `${size}${cornerIn > 0 ? `, corners of ${length(cornerIn)} radius` : ''}`
      );
    }
    case 'fit':
      return words(
        `File ${said.part} to fit`,
        'Fit it into the hole in small steps: even gap all around, no contact. Then mark its orientation.',
        'file, and a feeler as thick as the gap',
        `${length(said.clearanceIn)} all round`
      );
    case 'stopDrill':
      return words(
        'Stop-drill the ends of the crack',
        'Where the crack really ends, found with dye and a magnifier: a place on the drawing is only a guide. Never riveted.',
        said.drill
      );
    case 'match':
      return words(
        'Match drill existing holes',
        `Through the old hole, or with a hole finder, onto the new part: ${said.holes.map(({ number, name, standing }) => `hole ${number}${name === '' ? '' : ` (${name})`}${matched(standing)}`).join(', ')}. Nothing else is drilled before these fit.`,
        'hole finder, or drill through the old hole'
      );
    case 'clamp':
      return words(
        'Clamp the parts at the edge',
        `On the marks, before the first hole: temporary fasteners need holes, and a part that moves is drilled wrong.${said.closed ? ' Tight, no gap for chips: these parts are not disassembled.' : ''}`,
        'side clamps, with something soft under the jaws'
      );
    case 'punch':
      return words(
        'Center punch',
        'Lightly on each mark: enough to hold the drill, not to dent the sheet.',
        'center punch'
      );
    case 'pilot':
      return words(
        'Drill the pilots',
        'Square to the surface. End holes first, a temporary fastener in each after drilling.',
        said.drill,
        length(said.diameterIn)
      );
    case 'holder':
      return words(
        'Install temporary fasteners',
        said.finalHolders === 0
          ? `Ends of every row, then every ${nth(said.every)} hole. Leave in until disassembly.`
          : `Ends of every row, then every ${nth(said.every)} hole. Replace with final-size fasteners as those holes are drilled.`,
        said.finalHolders === 0
          ? `${said.pilotHolders} temporary fasteners for ${said.pilotDrill}`
          : `${said.pilotHolders} temporary fasteners for ${said.pilotDrill}, ${said.finalHolders} of the final size`
      );
    case 'upDrill':
      return words(
        `Drill to final size, dash ${said.dash}`,
        'Drill holes without fasteners first. Move the fasteners, then drill the rest.',
        said.drill,
        `${length(said.diameterIn)}; a step drill’s stop ${length(tenThousandths(said.stopIn))} behind where its full size begins`
      );
    case 'openDrill': {
      const what = said.holes.map(({ number, reason }) => `hole ${number} (${reason})`).join(', ');
      return said.drill === null
        ? words(
            'Leave the open holes at pilot size',
            `Not drilled up, not riveted: ${what}. Their own drill was not named.`
          )
        : words(
            'Drill the open holes to size',
            `Not riveted: ${what}. Deburr with the others; do not dimple or countersink unless specified.`,
            said.drill,
            length(said.diameterIn)
          );
    }
    case 'film':
      return words(
        'Peel the film back where the frame lies',
        `Only as far as the joint needs it: the rest of the ${said.plastic} stays covered until the work is done.`
      );
    case 'growth':
      return words(
        'Open the clear panel’s holes',
        `In the ${said.part} alone, off the frame, on a flat backing: larger than the rivet so that it can grow. A drill ground for plastic, slowly, in steps; never through the stack, and never after it was opened together.`,
        said.drill,
        length(said.diameterIn)
      );
    case 'part':
      return words('Disassemble', 'Mark every part first: number, outer face, datum end.');
    case 'chips':
      return said.closed
        ? words(
            'Remove chips',
            'From both faces and out of the structure, with a vacuum rather than air: what is blown goes in. Draw a thin feeler between the sheets beside each hole; where it catches, draw the parts tighter and ream the hole by hand.'
          )
        : words('Remove chips', 'From between the sheets too.');
    case 'deburr': {
      const notCut = said.countersunk === 0 ? '' : ', but not in the countersinks';
      if (said.closed)
        return words(
          `Deburr every hole on the two outer faces${notCut}`,
          'About two light turns: the burr only. Between the sheets the burr stays: sharp drill, light pressure as it breaks through, parts drawn tight. A gap that a feeler finds is refused, not riveted.',
          'deburring tool, turned by hand'
        );
      return words(
        `Deburr every hole, both sides, every sheet${notCut}`,
        `About two light turns: the burr only. It must not become a countersink${said.countersunk === 0 ? '.' : ', and one that is cut must not become deeper.'}`,
        'deburring tool, turned by hand'
      );
    }
    case 'edges':
      return words('Edges and corners', edgeCleanUp(length), 'file');
    case 'dimple':
      return dimple(said);
    case 'countersink':
      return words(
        `Countersink ${said.sheet}${said.stack === null ? '' : `, ${said.stack}`}${said.clamped ? ', while it is clamped' : ''}`,
        `Set up on scrap of the same thickness first. Start shallow. ${said.clamped ? 'The sheets below guide the pilot: a temporary fastener close by, no gap under the cut' : 'Back the sheet, with the one it lies on or a block, so that the pilot stays guided'}; press until the cutter stops cutting.`,
        `${said.cutDeg}° cutter, pilot ${said.pilotDrill}`,
        `${length(tenThousandths(said.depthIn), 'fine')} deep${said.byTrial ? ' to start with, finished with a dimpled scrap in the cut' : ''}${said.clicksPastFlush === null ? '' : `, ${said.clicksPastFlush} clicks past flush`}${said.aim === null || said.byTrial ? '' : `: ${flushAim(said.aim, length)}`}`
      );
    case 'clean':
      return words(
        'Clean',
        said.closed
          ? 'The outer faces and the holes, until a white cloth stays white; no solvent that would run in between the sheets and stay there.'
          : said.plastic === null
            ? 'Until a white cloth stays white.'
            : `The metal until a white cloth stays white. The ${said.plastic}: water, mild soap and a soft cloth only; solvent crazes it.`
      );
    case 'prime':
      return words(
        'Prime',
        `${said.closed ? 'Holes and cut edges: the faces that meet cannot be reached, so each rivet goes in wet with primer or sealant where the data ask it' : 'Faying faces and cut edges'}; let it dry as its data sheet says.${said.plastic === null ? '' : ` Metal only, never the ${said.plastic}.`}`
      );
    case 'reassemble':
      return words(
        'Reassemble as marked',
        `Match the index marks; a temporary fastener every few holes, ends first.${said.dimpledDriving === 0 ? '' : ` ${said.dimpledDriving} holes are not dimpled yet: the rivet itself is the punch, hole by hole while driving, with the dimpling set first and then the bar.`}`,
        'final-size temporary fasteners'
      );
  }
}

/** A step in words; the only place that has them. */
export const stepInWords = (
  { said, hazard }: Pick<ReadyStep, 'said' | 'hazard'>,
  length: WriteLength
): WrittenStep => ({
  ...wordsOf(said, length),
  caution: hazard === null ? '' : CAUTIONS[hazard]
});

/** What the existing hole itself is. */
const matched = (standing: ExistingStanding | null): string =>
  standing === 'fits'
    ? ', which is at size: not drilled again'
    : standing === 'too-small'
      ? ', which is under size'
      : standing === 'riveted'
        ? ', its old rivet out first'
        : standing === 'not-measured'
          ? ', to be measured'
          : '';
