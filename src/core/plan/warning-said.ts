import type { BlindWhy, GripRange } from './open-blind.ts';
import type { WidthPlace } from '../size/need.ts';
import type { CheckRule } from '../kinds/kind-layout.ts';
import type { RefusalSaid } from '../refusal-said.ts';
import type { CauseSaid } from '../stack/measured-protrusion.ts';
import type { LayoutWarningSaid } from '../kinds/layout-warning.ts';
import type { Dash, Family } from '../schema/fields.ts';
import type { Sheet } from '../joint/sheets.ts';
import type { OwnLimitsMissing } from './head-limits-of.ts';
import type { AdriftSaid } from './adrift.ts';

/** What Carry warns of. */
type CarrySaid =
  | { code: 'rule-larger' | 'rule-smaller'; ruleDiameterIn: number }
  | {
      code: 'other-material';
      name: string;
      material: Sheet['material'];
      /** the family that is guided for it; null where none is */
      family: Family | null;
      readFor: Family;
    }
  | { code: 'flush-carries-less' | 'alloy-a' | 'alloy-b' | 'double-shear' | 'holds-only' }
  | {
      code: 'unrounded-more';
      perInch: number;
      exact: number;
      required: number;
      where: WidthPlace;
    }
  | { code: 'as-gauge'; thicknessIn: number; gaugeIn: number }
  | { code: 'own-figure'; perInch: number; reason: string };

/** What Lay out warns of; the holes it points at stand beside it. */
type LayOutSaid =
  | LayoutWarningSaid
  | { code: 'limit'; rule: CheckRule; valueIn: number; limitIn: number; layer?: string }
  | { code: 'stuck'; line: string; why: RefusalSaid }
  | { code: 'adrift'; what: AdriftSaid }
  | {
      code: 'span-off';
      line: string;
      differenceIn: number;
      spaces: number;
      pitchIn: number;
      /** the largest or the least pitch that those spaces break; null while they hold */
      limitIn: number | null;
    }
  | { code: 'own-pitch-unsaid'; pitchIn: number }
  | { code: 'own-pitch'; pitchIn: number; reference: string; shopIn: number }
  | { code: 'held-open'; holes: number[]; reasons: string[] }
  | { code: 'existing-not-measured' | 'existing-riveted'; holes: number[] }
  | { code: 'existing-small'; holes: number[]; dash: Dash; drill: string; drillIn: number }
  | {
      code: 'existing-large';
      holes: number[];
      holeIn: number;
      dash: Dash;
      next: { dash: Dash; partNumber: string | null } | null;
    }
  | {
      code: 'open-blind';
      holes: number[];
      fastener: string;
      sheetsIn: number;
      grip: GripRange | null;
      why: BlindWhy;
    }
  | { code: 'too-few' | 'more-than-needed'; lines: string; has: number; needs: number };

/** What Stack warns of; `stack` names the one where there are several. */
type StackSaid =
  | {
      code: 'no-flush-method' | 'knife-edge';
      stack: string | null;
      dash: Dash;
      headIn: number;
    }
  | { code: 'marginal-countersink'; stack: string | null }
  | { code: 'no-flush-target'; stack: string | null; sheet: string }
  | {
      code: 'stays-proud';
      stack: string | null;
      leastIn: number;
      highIn: number;
      /** less than a click between them */
      marginal: boolean;
    }
  | { code: 'dimple-hot'; sheets: string[] }
  | { code: 'dimple-hot-if' }
  | { code: 'no-rivet' | 'no-head'; stack: string | null; why: RefusalSaid }
  | {
      code: 'protrusion';
      stack: string | null;
      protrusionD: number;
      /** named from the raised dimple, as the shop's school does */
      atDimple: boolean;
      overD: number;
      underD: number;
    }
  | {
      code: 'no-good-head';
      stack: string | null;
      wideD: number;
      diameterD: { low: number; high: number };
      heightD: { low: number; high: number };
      nominalHeightD: number;
    }
  | { code: 'closed'; reason: string }
  | { code: 'own-heads-unfinished'; missing: OwnLimitsMissing }
  | { code: 'own-heads'; reference: string; wider: boolean }
  | { code: 'closed-unsaid' | 'closed-panel' }
  | { code: 'closed-flush'; stack: string | null }
  | { code: 'hold-nothing'; holes: number[] }
  | { code: 'under-no-hole'; name: string }
  | { code: 'film-on'; sheets: string[] }
  | { code: 'measured-off'; hole: number; differenceIn: number; causes: CauseSaid[] };

/** A warning of a plan as a code with its quantities: words are written above core, in the person's unit. */
export type PlanWarningSaid = CarrySaid | LayOutSaid | StackSaid;
