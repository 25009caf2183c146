import type { RivetRun } from '../core/driving/rivet-runs.ts';
import type { RememberedTool, ToolOffer } from '../core/tool-setting/remembered-tools.ts';
import type { ToolSetup } from '../core/tool-setting/tool-setup.ts';
import type { ToolEvent } from '../core/tool-setting/tool-stream.ts';

/** A setting of a tool as lists show it. */
export interface ToolSettingLine extends RememberedTool {
  jointId: string | null;
  /** the run of the joint that it was made for */
  run: string | null;
  begunAt: string;
  by: string;
  /** when the same tool was last tried for something else; null: never */
  turnedAt: string | null;
}

/** One setting with everything that happened to it. */
export interface ToolSettingView {
  id: string;
  setup: ToolSetup;
  work: string;
  jointId: string | null;
  begunAt: string;
  by: string;
  turnedAt: string | null;
  events: ToolEvent[];
  /** where this tool may begin, by what it had before */
  offered: ToolOffer<ToolSettingLine> | null;
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
