import type { SeenDiameter, SeenVerdict } from '../../core/driving/head-by-camera.ts';
import type { DrivingWay, WayReason } from '../../core/driving/driving-ways.ts';
import type { Side } from '../../core/driving/access.ts';
import type { ToolNeed } from '../../core/driving/run-tools.ts';

import type { SqueezeForce } from '../../core/catalog/driving-figures.ts';
import { THOU_PER_IN } from '../../core/units/factors.ts';
import { plural, type WriteLength } from './writing.ts';

export const WAY_WORDS: Record<DrivingWay, string> = {
  'remote-bar': 'wedge bar, closed member',
  'punch-dimpling': 'rivet as male die',
  squeeze: 'squeeze',
  'back-rivet': 'back-rivet',
  buck: 'gun and bucking bar',
  'two-people': 'two people'
};

/** On a drawing, in a hole. */
export const WAY_LETTERS: Record<DrivingWay, string> = {
  'remote-bar': 'W',
  'punch-dimpling': 'D',
  squeeze: 'S',
  'back-rivet': 'B',
  buck: 'G',
  'two-people': '2'
};

/** An order of size is not rounded to the pound. */
const TOLD_TO_LB = 10;
export const forceInWords = ({ lb, estimated }: SqueezeForce): string =>
  `about ${(Math.round(lb / TOLD_TO_LB) * TOLD_TO_LB).toLocaleString('en-US')} lb${estimated ? ' (estimated from AD)' : ''}`;

/** What to do, way by way, in the order of doing it. */
export const WAY_STEPS: Record<DrivingWay, readonly string[]> = {
  'remote-bar': [
    'Set the rod to the rivet mark; the bar touches; pull to the value for the finished head.',
    'Camera on every head before the rod moves on.'
  ],
  'punch-dimpling': [
    'First use the rivet set shaped like the dimple: one burst forms both sheets.',
    'Then the plain bar. Dead straight: a tilted one cracks the dimple’s lip.'
  ],
  squeeze: [
    'Start open. Manufactured head into its die before the ram moves.',
    'Two or three squeezes, each closed a little more, measured between; then it serves the run.'
  ],
  'back-rivet': [
    'Put rivets into the free holes and tape over their heads.',
    'Then, one hole at a time: temporary fastener out, rivet in, tape on. The sheets are never unclamped.',
    'Lay the part face down on the plate only when no temporary fastener is left.',
    'The sleeve pushes the sheets down around the shank. Pull the tape off in one piece and feel the face.'
  ],
  buck: [
    'Bar square on the shank, thumb as a fence; the gun pushes a little harder than the bar.',
    'Short burst, check, repeat: drive a little at a time; a low head cannot be raised.'
  ],
  'two-people': [
    'Ready? – ready – go – burst – bar off, check – good, more or stop.',
    'The gun stays on the head until the bar says good.'
  ]
};

export const SIDE_WORDS: Record<Side, string> = {
  left: 'left (datum)',
  right: 'right',
  top: 'upper',
  bottom: 'lower'
};

/** Why a way is open or not. */
export function wayReasonInWords(said: WayReason, length: WriteLength): string {
  switch (said.code) {
    case 'closed-member':
      return 'inside a closed member: no arm and no yoke gets there';
    case 'no-closed-member':
      return 'the member is open';
    case 'no-wedge-bar':
      return 'the shop has no wedge bar';
    case 'punches':
      return `all sheets together ${length(said.gripIn)}: the rivet dimples them`;
    case 'does-not-punch':
      return 'the sheets are not dimpled together by the rivet';
    case 'punch-first':
      return 'the rivet is the punch here: dimple first, then the bar';
    case 'yoke-reaches':
      return `${said.yoke} reaches all ${said.holes}`;
    case 'yoke-reaches-some':
      return `${said.yoke} reaches ${said.holes} of ${said.of}`;
    case 'no-yoke-reaches':
      return 'no yoke of the shop reaches over a free edge';
    case 'squeezer-too-weak':
      return `needs ${forceInWords({ lb: said.needLb, estimated: said.estimated })}: no squeezer strong enough`;
    case 'no-squeeze-figure':
      return `no squeeze force is given for ${said.alloy} rivets: use one that the shop has measured for that alloy`;
    case 'lies-face-down':
      return 'flush heads, and the part lies face down';
    case 'not-flush':
      return 'for flush heads only';
    case 'cannot-lie':
      return 'the part cannot lie face down';
    case 'no-plate':
      return 'the shop has no steel plate';
    case 'arms-reach':
      return 'one person reaches both sides';
    case 'arms-do-not-reach':
      return 'one person’s arms do not reach both sides';
    case 'no-set':
      return 'the shop has no set for it';
    case 'no-gun':
      return 'the shop has no gun of its size';
    case 'no-bar':
      return 'the shop has no bar of its weight';
    case 'no-room':
      return `${length(said.roomIn)} clear ${said.side === 'head' ? 'over the heads' : 'behind the shop heads'}, ${said.side === 'head' ? 'gun' : 'tool'} needs ${length(said.needIn)}`;
    case 'touches':
      return `the ${said.tool} hits an obstruction at ${plural(said.holes, 'hole')}`;
  }
}

/** Nobody reads a picture more closely. */
const toThou = (lengthIn: number): number => Math.round(lengthIn * THOU_PER_IN) / THOU_PER_IN;

/** A diameter by camera, and what may be said of it. */
export function seenInWords(
  { diameterIn, plusMinusIn }: SeenDiameter,
  verdict: SeenVerdict,
  length: WriteLength
): { figure: string; verdict: string; good: boolean } {
  return {
    figure: `${length(toThou(diameterIn), 'fine')} ± ${length(Math.ceil(plusMinusIn * THOU_PER_IN) / THOU_PER_IN, 'fine')} wide`,
    verdict: {
      within: '✓ within the limits for width',
      'too-narrow': '✕ too narrow: check height, then drive further or replace',
      'too-wide': '✕ too wide',
      'measure-again': '△ limit within the uncertainty: measure again by another method'
    }[verdict],
    good: verdict === 'within'
  };
}

const range = (least: number, most: number, unit: string): string =>
  `${least === most ? least : `${least} to ${most}`} ${unit}`;

/** One thing to lay ready: its name, and what it is chosen by. */
export function toolInWords(
  need: ToolNeed,
  length: WriteLength
): { name: string; text: string; missing: boolean } {
  const of = (name: string, have: string | null, text: string) => ({
    name,
    text: have === null ? `none suitable: ${text}` : `${have} · ${text}`,
    missing: have === null
  });
  const plain = (name: string, text: string) => ({ name, text, missing: false });
  switch (need.tool) {
    case 'gun':
      return of('Gun', need.have, need.sizes.join(' or '));
    case 'air':
      return plain(
        'Starting air',
        `${range(need.leastPsi, need.mostPsi, 'psi')} at the gun, then tune on wood until it dents without splitting`
      );
    case 'set':
      return of(
        need.kind === 'back'
          ? 'Back-riveting set'
          : need.kind === 'cup'
            ? 'Cupped set'
            : 'Flush set',
        need.have?.name ?? null,
        need.kind === 'cup'
          ? `cup ${need.have ? length(need.have.acrossIn) : `over ${length(need.headIn)}`}, head ${length(need.headIn)}`
          : need.kind === 'flush'
            ? need.have === null
              ? 'a flush face with clearance'
              : `the widest that fits, ${length(need.have.acrossIn)}${need.have.rim === 'plain' ? '; hold its rim so that it does not skate' : `, ${need.have.rim === 'rubber' ? 'rubber rim' : 'swivel'}`}`
            : 'sleeved'
      );
    case 'bar':
      return of(
        'Bucking bar',
        need.have?.name ?? null,
        `${need.have ? `${need.have.weightLb} lb, ` : ''}wanted ${range(need.leastLb, need.mostLb, 'lb')}`
      );
    case 'burst':
      return plain('Burst', `${range(need.leastS, need.mostS, 's')}, then check`);
    case 'squeezer':
      return of('Squeezer', need.have, need.force ? forceInWords(need.force) : '');
    case 'gap':
      return plain(
        'Closed gap',
        need.mostIn - need.leastIn < 0.0005
          ? length(need.leastIn)
          : `${length(need.leastIn)} to ${length(need.mostIn)} as the grip changes: set it again where the grip does`
      );
    case 'yoke':
      return of('Yoke', need.have, need.throatIn === null ? '' : `throat ${length(need.throatIn)}`);
    case 'dimple-set':
      return plain(
        'Dimpling set',
        'shaped like the dimple, in the bar’s place for the first burst'
      );
    case 'tape':
      return plain('Tape', 'rivet tape that peels off in one piece');
    case 'plate':
      return plain('Steel plate', 'flat and clean, face down on it');
    case 'wedge-bar':
      return of('Wedge bar', need.have, 'on its rod, with its shims');
  }
}

/** Looked at before use, once a day. */
export const TOOL_CHECKS: readonly string[] = [
  'Rivet set clean and undamaged, size marked',
  'Retaining spring on',
  'Gun oiled today',
  'Bar face smooth, free of tape'
];

/** What can hurt, once a shift. */
export const DRIVE_SAFETY: readonly string[] = [
  'Eye and ear protection for everyone nearby.',
  'Never fire into the air: set against a rivet or wood, spring on.',
  'Air off before a set is changed.',
  'Fingers out of yokes: they close with thousands of pounds.',
  'Small parts clamped.',
  'The program advises; approved data, local rules and licensed people decide.'
];
