import { limitsCalled } from '../../core/catalog/head-limits.ts';
import type { DiesSaid } from '../../core/tool-setting/dies-guide.ts';
import type { GunSaid, Wood } from '../../core/tool-setting/gun-guide.ts';
import type { RunSetting, SettingInUse, ToolChange } from '../../core/tool-setting/run-setting.ts';
import { asTurns, type SqueezerSaid } from '../../core/tool-setting/squeezer-guide.ts';
import type { SetTool, ToolSetup } from '../../core/tool-setting/tool-setup.ts';
import type { LookReason, ToolStatus } from '../../core/tool-setting/tool-status.ts';
import type { FoundTool, Made, ToolTrial } from '../../core/tool-setting/tool-moves.ts';
import { counted, type WriteLength } from './writing.ts';

export const TOOL_WORDS: Record<SetTool, string> = {
  squeezer: 'Squeezer',
  gun: 'Gun',
  dies: 'Dimple dies'
};

/** A number of seconds as one says it. */
export const seconds = (value: number): string => `${value.toFixed(1)} s`;

/** `11 divisions (1 turn 3)` */
export function divisionsInWords(divisions: number, perTurn: number): string {
  const said = counted(divisions, 'division');
  const { turns, divisions: rest } = asTurns(divisions, perTurn);
  return turns === 0
    ? said
    : `${said} (${counted(turns, 'turn')}${rest === 0 ? '' : ` and ${rest}`})`;
}

/** What to do, and why. */
interface SayWhy {
  say: string;
  why: string;
}

/** What to do next with a squeezer. */
export function squeezerInWords(said: SqueezerSaid, perTurn: number, length: WriteLength): SayWhy {
  switch (said.state) {
    case 'first':
      return said.rememberedDivisions === null
        ? {
            say: 'Start open, and squeeze one rivet in scrap as thick as the work.',
            why: 'The manufactured head sits in its die before the ram moves. Count divisions from a reference mark.'
          }
        : {
            say: `Advance to ${said.rememberedDivisions} and squeeze one rivet in scrap.`,
            why:
              said.openedBy === null || said.openedBy === 0
                ? 'Last setting, counted from the same reference mark. Verify on scrap.'
                : `${counted(said.openedBy, 'division')} more open than remembered, counted from the same mark as then, for another rivet; then crept up again.`
          };
    case 'closer':
      return {
        say: `Close to ${said.divisions}: ${divisionsInWords(said.change, perTurn)} more.`,
        why: `${length(said.nowIn, 'fine')} high now, ${length(said.predictedIn, 'fine')} predicted; never past the low limit.`
      };
    case 'measure':
      return {
        say: 'Measure this one with a caliper.',
        why: `The plate leaves it between ${length(said.leastIn, 'fine')} and ${length(said.mostIn, 'fine')}: it has no upper limits.`
      };
    case 'short-of-metal':
      return {
        say: 'Stop: this rivet is too short for the grip.',
        why: 'Narrow and low at once: no setting makes a head of it. Check length and grip, then start a new setup.'
      };
    case 'stuck':
      return {
        say: `Leave it at ${said.divisions}: this adjuster is too coarse.`,
        why: `One division more could reach ${length(said.wouldReachIn, 'fine')}, below the low limit. Finish such a head by hand, or take a finer tool.`
      };
    case 'over-driven':
      return {
        say: `Too low. Open to ${said.openTo}, and take a fresh rivet.`,
        why: `${length(said.nowIn, 'fine')} at ${said.closedAt} is below the low limit: a driven head does not rise again. That setting is not offered any more.`
      };
    case 'done':
      return {
        say: `Good at ${said.divisions}.`,
        why:
          said.leastIn === said.mostIn
            ? `${length(said.leastIn, 'fine')} high, within the limits.`
            : `Between ${length(said.leastIn, 'fine')} and ${length(said.mostIn, 'fine')}: within limits.`
      };
  }
}

export const WOOD_WORDS: Record<Wood, string> = {
  wimpy: 'taps only',
  dents: 'dents',
  splits: 'splits'
};

/** What to do next with a gun. */
export function gunInWords(said: GunSaid, length: WriteLength): SayWhy {
  switch (said.state) {
    case 'wood':
      return {
        say: `${said.airPsi} psi, full trigger on scrap wood.`,
        why: `${
          said.was === null
            ? 'It should dent, not split; listen to it.'
            : said.was === 'wimpy'
              ? 'It only taps: a little more air.'
              : 'It splits the wood: less air.'
        }${said.outside ? ' △ That is outside what this size begins with: is it the right gun, is the hose free?' : ''} Never fire into the air or the table. Retaining spring on.`
      };
    case 'first-burst':
      return {
        say: `A fresh rivet in scrap: one burst of ${seconds(said.seconds)}.`,
        why:
          said.rememberedS === null
            ? 'Then bar off, measure the head: drive a little at a time; a low head cannot be raised.'
            : `A head of this size took ${seconds(said.rememberedS)} with this gun: half of that, then measure.`
      };
    case 'next-burst':
      return {
        say: `Another ${seconds(said.seconds)}.`,
        why: `${length(said.nowIn, 'fine')} high now; may go down to ${length(said.predictedIn, 'fine')} at most.`
      };
    case 'stuck':
      return {
        say: `Too fast to stop in time: ${said.airPsi} psi, on wood again.`,
        why: `The shortest burst could reach ${length(said.wouldReachIn, 'fine')}, below the low limit.`
      };
    case 'over-driven':
      return {
        say: `Too low. A fresh rivet: bursts of ${seconds(said.seconds)} together.`,
        why: `${length(said.nowIn, 'fine')} is below the low limit. Half the last burst, then check.`
      };
    case 'done':
      return {
        say: `Good after ${seconds(said.seconds)} at ${said.airPsi} psi.`,
        why: `${length(said.heightIn, 'fine')} high, within the limits.`
      };
  }
}

/** What to do next with dimple dies. */
export function diesInWords(said: DiesSaid): SayWhy {
  switch (said.state) {
    case 'first':
      return {
        say: `Dies just touching, then ${counted(said.divisions, 'division')} more: half a turn.`,
        why: 'The right way round, hole deburred. Dimple one coupon of the same sheet; check with a magnifier.'
      };
    case 'closer':
      return {
        say: `Close to ${said.divisions}: ${counted(said.change, 'division')} more.`,
        why: 'It does not nest flush yet.'
      };
    case 'opener':
      return {
        say: `Open to ${said.divisions}, and a fresh scrap.`,
        why: 'A ring means the dies press the sheet around the dimple: closed too far.'
      };
    case 'cracked':
      return {
        say: 'Stop: it cracks.',
        why: 'Adjustment cannot fix this. Is the hole drilled to size and deburred, is the sheet the right temper, are the dies clean and a pair?'
      };
    case 'contradiction':
      return {
        say: 'These dies do not fit each other, or this sheet.',
        why: 'A ring where it nests. Use dies of the head angle and size.'
      };
    case 'done':
      return { say: `Good at ${said.divisions}.`, why: 'No cracks, no ring, and it nests flush.' };
  }
}

/** What was found, for a tape on the tool. */
export function foundInWords(found: FoundTool, setup: ToolSetup): string {
  if (found.tool === 'gun') return `${found.airPsi} psi, about ${seconds(found.seconds)}`;
  const perTurn = setup.tool === 'gun' ? 1 : setup.divisionsPerTurn;
  return `${divisionsInWords(found.divisions, perTurn)}${found.tool === 'dies' ? ' past touching' : ''}`;
}

function reasonInWords(why: LookReason, length: WriteLength): string {
  switch (why.code) {
    case 'day':
      return `${Math.floor(why.hours)} hours since the last good one`;
    case 'lot':
      return `lot ${why.now} instead of ${why.was}`;
    case 'grip':
      return `grip ${length(why.nowIn)} instead of ${length(why.wasIn)}`;
    case 'turned':
      return 'tool used for another setup since: set it back and drive one test head';
    case 'clock':
      return 'its last head is dated later than now: is a clock wrong?';
  }
}

/** Whether a tool may go on driving with its setting. */
export function toolStatusInWords(status: ToolStatus, length: WriteLength): string {
  switch (status.state) {
    case 'withdrawn':
      return 'Withdrawn';
    case 'trying':
      return 'Tests not finished';
    case 'first':
      return `Not qualified: ${status.toGo} of the first three heads to go`;
    case 'bad':
      return status.first
        ? 'Not qualified: one of the first three heads failed. Set up again'
        : 'Stop: last check failed. Set up again and inspect everything driven since the previous check';
    case 'released':
      return 'Qualified';
    case 'look':
      return `Check one head before continuing: ${status.why.map((one) => reasonInWords(one, length)).join('; ')}`;
  }
}

const CHANGE_WORDS: Record<ToolChange['what'], string> = {
  dash: 'size',
  head: 'head',
  alloy: 'alloy',
  lengthIn: 'length',
  gripIn: 'grip',
  holeIn: 'hole',
  dimpled: 'dimpled through',
  limits: 'limits',
  wideIn3: 'larger holes of some sheets'
};

/** What the joint has changed since a tool was set. */
const toolChangesInWords = (changes: readonly ToolChange[], length: WriteLength): string =>
  changes
    .map(({ what, was, now }) => {
      const say = (value: ToolChange['was']) =>
        typeof value === 'number' && what.endsWith('In')
          ? length(value)
          : what === 'limits' && String(value).startsWith('own:')
            ? 'the joint’s own'
            : typeof value === 'boolean'
              ? value
                ? 'yes'
                : 'no'
              : String(value);
      return what === 'wideIn3'
        ? CHANGE_WORDS[what]
        : `${CHANGE_WORDS[what]} ${say(was)}, now ${say(now)}`;
    })
    .join('; ');

/** The setting that a run is driven with, and whether it may be. */
export function settingInUseInWords(
  used: SettingInUse<RunSetting> | null,
  length: WriteLength
): { qualified: boolean; text: string } {
  if (used === null) return { qualified: false, text: 'no tool set up' };
  const { setting, changes, status } = used;
  const { found } = setting.state;
  const what = `${setting.setup.name}${found ? `, ${foundInWords(found, setting.setup)}` : ''}`;
  return changes.length > 0
    ? {
        qualified: false,
        text: `${what}. Setup does not match: ${toolChangesInWords(changes, length)}`
      }
    : {
        qualified: status.state === 'released',
        text: `${what}. ${toolStatusInWords(status, length)}`
      };
}

const seen = (one: { cracks: boolean; ring: boolean; nests: boolean }): string =>
  [
    one.cracks ? 'cracks' : 'no cracks',
    one.ring ? 'a ring' : 'no ring',
    one.nests ? 'nests flush' : 'does not nest'
  ].join(', ');

/** One trial: at which setting, and what came of it. */
export function trialInWords(trial: ToolTrial, length: WriteLength): { at: string; came: string } {
  switch (trial.what) {
    case 'squeeze':
      return {
        at: String(trial.divisions),
        came:
          trial.read.by === 'caliper'
            ? length(trial.read.heightIn, 'fine')
            : `plate ${trial.read.fitsOver ? 'fits over' : 'does not fit over'}, ${trial.read.touchesSheet ? 'touches' : 'does not touch'}`
      };
    case 'wood':
      return { at: `${trial.airPsi} psi`, came: WOOD_WORDS[trial.wood] };
    case 'burst':
      return {
        at: `${seconds(trial.seconds)}${trial.fresh ? ', fresh' : ''}`,
        came: length(trial.heightIn, 'fine')
      };
    case 'dimple':
      return { at: String(trial.divisions), came: seen(trial) };
  }
}

/** What came out at the setting. */
export const madeInWords = (made: Made, length: WriteLength): string =>
  made.what === 'dimple'
    ? seen(made)
    : `${length(made.diameterIn, 'fine')} wide, ${length(made.heightIn, 'fine')} high${made.seconds === null ? '' : `, ${seconds(made.seconds)}`}`;

/** What the setting rests on, in a line. */
export const setupInWords = (setup: ToolSetup, length: WriteLength): string =>
  setup.tool === 'dies'
    ? `dash ${setup.dash} dimples in ${length(setup.sheetIn)} ${setup.material}`
    : `dash ${setup.dash} ${setup.head} ${setup.alloy}, ${length(setup.lengthIn)} long, grip ${length(setup.gripIn)}${setup.dimpled ? ', dimpled through' : ''}, ${limitsCalled(setup.limits)} limits${setup.lot === '' ? '' : `, lot ${setup.lot}`}`;
