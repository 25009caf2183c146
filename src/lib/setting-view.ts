import type { RivetRun } from '../core/driving/rivet-runs.ts';
import type { Cage } from '../core/prepare/cage/cage.ts';
import type { CageEvent, SettingState } from '../core/prepare/cage/setting.ts';
import type { StepSetting } from '../core/prepare/cage/step-cage.ts';
import type { CageSetup } from '../core/prepare/cage/setup.ts';
import type { ToolOffer } from '../core/tool-setting/remembered-tools.ts';
import type { ToolSetup } from '../core/tool-setting/tool-setup.ts';
import type { ToolEvent, ToolState } from '../core/tool-setting/tool-moves.ts';
import type { Remembered } from '../core/trial-setting/remembered.ts';

/** Who began a setting, when, and for which joint. */
interface Begun {
  jointId: string | null;
  begunAt: string;
  by: string;
}

/** A setting found by trial as lists show it. */
export interface TrialLine<Setup, State> extends Remembered<Setup, State>, Begun {}

/** A setting with everything that happened to it. */
interface TrialView<Setup, Event> extends Omit<Remembered<Setup, unknown>, 'state'>, Begun {
  events: Event[];
}

/** A setting of a cage as lists show it. */
export interface CageLine extends TrialLine<CageSetup, SettingState> {
  cageId: string;
}

/** A setting of a cage made for a step of a joint. */
export type StepCageLine = CageLine & StepSetting;

/** A cage with every setting it was given, the latest first. */
export interface CageView {
  id: string;
  cage: Cage;
  settings: CageLine[];
}

/** One setting of a cage. */
export interface CageSettingView extends TrialView<CageSetup, CageEvent> {
  cageId: string;
  cage: Cage;
  /** holes of its step that are ticked off; null where it belongs to no step */
  holesCut: number | null;
  /** a setting this cage had before for the same work; null where there is none */
  offered: {
    clicks: number;
    at: string;
    by: string;
    couponIn: number;
    couponMaterial: string;
  } | null;
}

/** A setting of a squeezer, a gun or dies as lists show it. */
export interface ToolLine extends TrialLine<ToolSetup, ToolState> {
  /** the run of the joint that it was made for */
  run: string | null;
  /** when the same tool was last tried for something else; null: never */
  turnedAt: string | null;
}

/** One setting of a squeezer, a gun or dies. */
export interface ToolSettingView extends TrialView<ToolSetup, ToolEvent> {
  turnedAt: string | null;
  /** where this tool may begin, by what it had before */
  offered: ToolOffer<ToolLine> | null;
}

/** A run of a released joint that a tool is set for. */
export interface ToolTask {
  jointId: string;
  run: Pick<RivetRun, 'key' | 'partNumber'> & { rivets: number };
  /** the joint’s name and the part number */
  work: string;
  /** each tool of the shop as it would be set for it */
  setups: ToolSetup[];
}
