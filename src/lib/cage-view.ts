import type { Cage } from '../core/ready/cage/cage.ts';
import type { RememberedSetting } from '../core/ready/cage/remembered.ts';
import type { CageEvent } from '../core/ready/cage/setting.ts';
import type { StepSetting } from '../core/ready/cage/step-cage.ts';
import type { CageSetup } from '../core/ready/cage/setup.ts';

/** A cage with every setting it was given, the latest first. */
export interface CageView {
  id: string;
  cage: Cage;
  settings: (RememberedSetting & { begunAt: string; by: string })[];
}

/** A setting as the joint's own step shows it. */
export interface JointCageSetting extends StepSetting {
  begunAt: string;
  cageId: string;
}

/** One setting of a cage with everything that happened to it. */
export interface SettingView {
  id: string;
  cageId: string;
  cage: Cage;
  setup: CageSetup;
  /** what it is for; empty where it belongs to no joint */
  work: string;
  jointId: string | null;
  begunAt: string;
  by: string;
  events: CageEvent[];
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
