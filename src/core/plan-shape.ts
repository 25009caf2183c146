import type { Answer, WorkLine } from './answer.ts';
import type { RivetDiameterResult } from './carry/rivet-diameter.ts';
import type { RivetsRequiredResult } from './carry/rivets-required.ts';
import type { HoleHeadroom } from './layout/headroom.ts';
import type { PlannedHole } from './layout/holes.ts';
import type { RowLayoutResult } from './layout/row-layout.ts';
import type { Dash } from './schema/fields.ts';
import type { FlushMethodResult } from './stack/flush-method.ts';
import type { PredictHeadResult } from './stack/predict-head.ts';
import type { RivetLengthResult } from './stack/rivet-length.ts';

export type Station = 'carry' | 'lay-out' | 'stack';

/** Something the person must know before relying on the plan. `stop`: it cannot be built as it stands. */
export interface PlanWarning {
  station: Station;
  level: 'attention' | 'stop';
  title: string;
  text: string;
}

/** One standard size held against the joint: what each limit would ask for. */
export interface SizeOption {
  dash: Dash;
  bearingPerInch: number;
  shearPerInch: number;
  required: Answer<RivetsRequiredResult>;
}

/** Everything derived from one joint definition and one rule profile; lengths in inches. */
export interface Plan {
  /** the 3 t rule under the profile's school and under the other */
  diameter: { byRule: Answer<RivetDiameterResult>; byOtherSchool: Answer<RivetDiameterResult> };
  dash: Dash;
  diameterIn: number;
  dashChosen: boolean;
  reckonedSheetIn: number;
  required: Answer<RivetsRequiredResult>;
  /** the same reckoned on the other sheet; null while the sheets are equal */
  requiredOnOther: Answer<RivetsRequiredResult> | null;
  sizes: SizeOption[];
  layout: Answer<RowLayoutResult>;
  holes: PlannedHole[];
  /** the largest rivet each hole could still take, in the order of the holes */
  headroom: HoleHeadroom[];
  /** flush heads only */
  flush: Answer<FlushMethodResult> | null;
  length: Answer<RivetLengthResult>;
  hole: { drill: string; diameterIn: number; work: WorkLine[] };
  head: Answer<PredictHeadResult>;
  warnings: PlanWarning[];
}
