import type { PlannedHole } from './holes.ts';

/** Places to a ten-thousandth of an inch; the shift keeps whole fractions off the rounding's edge. */
const grid = (inches: number): number => Math.round(inches * 1e4 + 0.137);

interface Spot {
  x: number;
  y: number;
  /** the hole there, or the number of one that was taken out */
  there: PlannedHole | number;
  next: Spot | undefined;
}

/** Small whole numbers are what a map finds fastest; spots that fall on one key stand in a chain. */
const keyOf = (x: number, y: number): number =>
  (Math.imul(x, 73_856_093) ^ Math.imul(y, 19_349_663)) & 0x3fff_ffff;

/** Where there is a hole already: a corner or a zone's end is one hole of two lines. */
export class KnownSpots {
  #spots = new Map<number, Spot>();

  at(xIn: number, yIn: number): PlannedHole | number | undefined {
    const [x, y] = [grid(xIn), grid(yIn)];
    let spot = this.#spots.get(keyOf(x, y));
    while (spot && (spot.x !== x || spot.y !== y)) spot = spot.next;
    return spot?.there;
  }

  put(xIn: number, yIn: number, there: PlannedHole | number): void {
    const [x, y] = [grid(xIn), grid(yIn)];
    const key = keyOf(x, y);
    this.#spots.set(key, { x, y, there, next: this.#spots.get(key) });
  }
}
