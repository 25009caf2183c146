import { rivetSize } from '../catalog/rivets.ts';
import type { Dash } from '../schema/fields.ts';
import type { SectionPoint } from './section.ts';

/** One moment of driving: how high the shank or head stands past the sheets, and what it looks like; inches. */
export interface DrivingMoment {
  heightIn: number;
  /** of the equivalent cylinder */
  diameterIn: number;
  /** of the shank within the hole: it fills the hole first */
  shankDiameterIn: number;
  /** right half, from the sheet's face down to the axis at its foot; y from the face */
  outlineIn: SectionPoint[];
}

/** The metal and the hole of one rivet; inches. */
export interface DrivenRivet {
  dash: Dash;
  holeIn: number;
  /** of the grip, how much the shank must fill: less by the head's height for a countersunk head */
  filledIn: number;
  /** metal that goes into larger holes of some sheets, in³ */
  wideIn3: number;
  /** shank past the sheets as inserted */
  protrusionIn: number;
}

const quarterPi = Math.PI / 4;

/** How far the sides of a head belly out at its middle, as a share of its radius, when fully driven. */
const BELLY = 0.08;
const OUTLINE_STEPS = 12;

/** Where the hole is full and the head begins to widen: the height past the sheets then, in. */
export function fullHoleHeightIn({
  dash,
  holeIn,
  filledIn,
  wideIn3,
  protrusionIn
}: DrivenRivet): number {
  const { diameterIn: D } = rivetSize(dash);
  return protrusionIn - ((holeIn ** 2 - D ** 2) * filledIn + wideIn3 / quarterPi) / D ** 2;
}

/**
 * A barrel of a given height and volume: its side is a parabola that bellies out at the middle.
 *
 * @returns right half, from the sheet's face down; its volume of revolution is that of the cylinder
 */
function barrel(heightIn: number, radiusIn: number, bellyIn: number): SectionPoint[] {
  // mean of (a + b(1 − u²))² over u from −1 to 1 is a² + 4/3·ab + 8/15·b²: solved for a
  const endIn = -(2 / 3) * bellyIn + Math.sqrt((4 / 9 - 8 / 15) * bellyIn ** 2 + radiusIn ** 2);
  return Array.from({ length: OUTLINE_STEPS + 1 }, (_, step) => {
    const share = step / OUTLINE_STEPS;
    const u = 2 * share - 1;
    return [endIn + bellyIn * (1 - u * u), share * heightIn];
  });
}

/**
 * A rivet part way through being driven, its metal constant: the shank first swells until it fills the hole,
 * then the head widens as it is driven lower.
 *
 * @param heightIn past the sheets, in: from the protrusion downward, > 0
 * @returns diameters in inches and the outline to draw
 * @source rivets (the shank fills the hole in the first blows) and stack-up (volume is constant)
 */
export function drivingMoment(rivet: DrivenRivet, heightIn: number): DrivingMoment {
  const { diameterIn: D } = rivetSize(rivet.dash);
  const fullIn = fullHoleHeightIn(rivet);
  if (heightIn >= fullIn) {
    const movedIn3 = quarterPi * D ** 2 * (rivet.protrusionIn - heightIn);
    // where some sheet is drilled larger the rest of the metal goes in there
    const shankDiameterIn =
      rivet.filledIn > 0
        ? Math.min(rivet.holeIn, Math.sqrt(D ** 2 + movedIn3 / (quarterPi * rivet.filledIn)))
        : D;
    return { heightIn, diameterIn: D, shankDiameterIn, outlineIn: barrel(heightIn, D / 2, 0) };
  }
  const volumeIn3 = quarterPi * D ** 2 * fullIn;
  const diameterIn = Math.sqrt(volumeIn3 / (quarterPi * heightIn));
  const bellyIn = BELLY * (diameterIn / 2) * (1 - heightIn / fullIn);
  return {
    heightIn,
    diameterIn,
    shankDiameterIn: rivet.holeIn,
    outlineIn: barrel(heightIn, diameterIn / 2, bellyIn)
  };
}
