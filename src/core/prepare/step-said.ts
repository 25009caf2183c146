import type { ExistingStanding } from '../plan/existing-holes.ts';
import type { CuttingMethod } from './cutting-advice.ts';
import type { FlushTarget } from '../stack/flush-target.ts';
import type { Hot } from '../stack/flush-tools.ts';

/** What a step before the first rivet asks for, as a code with its quantities; lengths in inches. */
export type StepSaid =
  | {
      op: 'relief';
      centres: { xIn: number; yIn: number }[];
      pilotDrill: string;
      diameterIn: number;
    }
  /** `roundIn`: the diameter of a round one; null for one with corners */
  | { op: 'cutOut'; method: CuttingMethod; roundIn: number | null }
  /** a part that the joint adds, to its outline: width and height, or a diameter; its corners filed round to `cornerIn` */
  | {
      op: 'cutPart';
      part: string;
      method: CuttingMethod;
      sizeIn: { w: number; h: number } | { across: number };
      cornerIn: number;
    }
  | { op: 'fit'; part: string; clearanceIn: number }
  | { op: 'stopDrill'; drill: string }
  | {
      op: 'match';
      holes: { number: number; name: string; standing: ExistingStanding | null }[];
    }
  | { op: 'clamp'; closed: boolean }
  | { op: 'punch' }
  | { op: 'pilot'; drill: string; diameterIn: number }
  | {
      op: 'holder';
      every: number;
      pilotDrill: string;
      pilotHolders: number;
      finalHolders: number;
    }
  | { op: 'upDrill'; dash: number; drill: string; diameterIn: number; stopIn: number }
  | {
      op: 'openDrill';
      /** null: they stay at the pilot */
      drill: string | null;
      diameterIn: number;
      holes: { number: number; reason: string }[];
    }
  | { op: 'growth'; part: string; drill: string; diameterIn: number }
  | { op: 'part' | 'edges' }
  /** `closed`: the parts stay together */
  | { op: 'chips'; closed: boolean }
  /** `countersunk`: mouths that are cut already, where a deburring tool would make the cut deeper */
  | { op: 'deburr'; closed: boolean; countersunk: number }
  /** `dimpledDriving`: holes whose sheets the rivet itself dimples while driving */
  | { op: 'reassemble'; dimpledDriving: number }
  /** what is no metal among the parts: neither solvent nor primer comes on it */
  | { op: 'clean' | 'prime'; plastic: string | null; closed: boolean }
  | { op: 'film'; plastic: string }
  | {
      op: 'dimple';
      sheet: string;
      /** which stack, where there are several */
      stack: string | null;
      punchDeg: number | null;
      dieDeg: number | null;
      hot: Hot;
    }
  | {
      op: 'countersink';
      sheet: string;
      stack: string | null;
      cutDeg: number;
      pilotDrill: string;
      depthIn: number;
      /** how the head is to stand in it, and how deep it may be; null where no head fits the sheet */
      aim: FlushTarget | null;
      /** past flush, for a dimple to nest in; null where none does */
      clicksPastFlush: number | null;
      /** the depth is a start only: finished with a dimpled scrap in the cut */
      byTrial: boolean;
      /** while the sheets are still together */
      clamped: boolean;
    };

/** What hurts at a step. */
export type StepHazard = 'drill' | 'edges' | 'air' | 'dimple' | 'primer';
