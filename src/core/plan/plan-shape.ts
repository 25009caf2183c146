import type { PlannedSpan } from './measured-span.ts';
import type { PlanWarningSaid } from './warning-said.ts';
import type { Answer, WorkLine } from '../answer.ts';
import type { Need } from '../size/need.ts';
import type { Needed } from '../size/needed.ts';
import type { RivetDiameterResult } from '../size/rivet-diameter.ts';
import type { ExistingHole } from './existing-holes.ts';
import type { HoleHeadroom } from './headroom.ts';
import type { PlannedHole } from './holes.ts';
import type { KindLayout } from '../kinds/kind-layout.ts';
import type { LaidHoles } from './lay-holes.ts';
import type { JointMass } from './mass.ts';
import type { Dash, HeadLimitsName } from '../schema/fields.ts';
import type { FlushMethodResult } from '../stack/flush-method.ts';
import type { HeldSheet } from '../stack/layers.ts';
import type { WideHoles } from '../stack/wide-holes.ts';
import type { LengthChange, LengthRun } from './length-runs.ts';
import type { MeasuredProtrusion } from '../stack/measured-protrusion.ts';
import type { PredictHeadResult } from '../stack/predict-head.ts';
import type { RivetLengthResult } from '../stack/rivet-length.ts';
import type { WayOut } from '../joint/way-out.ts';

export type Station = 'size' | 'layout' | 'stack-up';

/**
 * Something the person must know before relying on the plan. `stop`: it cannot be built as it stands; `note`: it is so by its
 * nature, and nothing is wrong.
 */
export interface PlanWarning {
  station: Station;
  level: 'note' | 'attention' | 'stop';
  said: PlanWarningSaid;
  /** holes it points at */
  holes?: number[];
  /** changes that would settle it */
  ways?: WayOut[];
}

/** One standard size held against the joint: what each limit would ask for. */
export interface SizeOption {
  dash: Dash;
  bearingPerInch: number;
  shearPerInch: number;
  /** null where the joint only holds parts together */
  required: Answer<Needed> | null;
}

/** A joint as laid out: its parts, lines, holes, figures and limits. Lengths in inches. */
export interface JointLayout extends Omit<KindLayout, 'lines'>, LaidHoles {
  /** holes that get a rivet; held-open ones do not */
  rivets: number;
  /** all holes through the stack, held-open ones too */
  drilled: number;
}

/** The rivets of one stack and one size: grip, length, flush method, hole and the head to expect. */
export interface PlannedStack {
  name: string;
  dash: Dash;
  /** as they are at its middle hole */
  sheets: HeldSheet[];
  /** over its holes; equal unless a layer tapers */
  gripMinIn: number;
  gripMaxIn: number;
  rivets: number;
  /** flush heads only */
  flush: Answer<FlushMethodResult> | null;
  length: Answer<RivetLengthResult>;
  hole: { drill: string; diameterIn: number; work: WorkLine[] };
  head: Answer<PredictHeadResult>;
  /** the far sheet is dimpled too: the metal of the head is what stands beyond the dimple, whichever school names it */
  dimpledThrough: boolean;
  /** from where the shop's school names the protrusion: this much beyond the flat stack */
  namedFromIn: number;
  /** what the shank loses into sheets that are drilled larger */
  wide: WideHoles;
}

/** A rivet put in a hole and measured; `found` is null where hole or rivet are no longer of this joint. */
export interface PlannedTry {
  hole: number;
  partNumber: string;
  found: Answer<MeasuredProtrusion> | null;
}

/** Everything derived from one joint definition and one rule profile; lengths in inches. */
export interface Plan {
  /** the 3 t rule under the profile's school and under the other */
  diameter: { byRule: Answer<RivetDiameterResult>; byOtherSchool: Answer<RivetDiameterResult> };
  dash: Dash;
  diameterIn: number;
  dashChosen: boolean;
  reckonedSheetIn: number;
  /** empty where the joint only holds parts together */
  needs: Need[];
  /** of the first need; null where there is none */
  required: Answer<Needed> | null;
  /** the same reckoned on the other sheet; null while the sheets are equal */
  requiredOnOther: Answer<Needed> | null;
  sizes: SizeOption[];
  /** what its heads are held against: the shop's limits, or those of its own data */
  headLimits: HeadLimitsName;
  layout: Answer<JointLayout>;
  holes: PlannedHole[];
  /** the largest rivet each hole could still take, in the order of the holes */
  headroom: HoleHeadroom[];
  /** the existing ones that get a rivet, held against it, in the order of the holes */
  existing: ExistingHole[];
  /** at least one; holes say which is theirs */
  stacks: PlannedStack[];
  mass: JointMass | null;
  /** where along its lines the rivet changes */
  lengthRuns: LengthRun[];
  lengthChanges: LengthChange[];
  /** rivets put in and measured, in the order of the definition */
  tries: PlannedTry[];
  /** spans between end holes as measured, in the order of the definition */
  spans: PlannedSpan[];
  warnings: PlanWarning[];
}
