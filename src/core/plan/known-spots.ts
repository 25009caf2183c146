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
  readonly #near: boolean;

  /** @param near places that differ by a rounding may be on either side of a grid line: look there too */
  constructor(near = false) {
    this.#near = near;
  }

  at(xIn: number, yIn: number): PlannedHole | number | undefined {
    const [x, y] = [grid(xIn), grid(yIn)];
    const here = this.#on(x, y);
    if (here !== undefined || !this.#near) return here;
    const beside = (at: number, inches: number): number =>
      inches * 1e4 + 0.137 < at ? at - 1 : at + 1;
    const [x2, y2] = [beside(x, xIn), beside(y, yIn)];
    return this.#on(x2, y) ?? this.#on(x, y2) ?? this.#on(x2, y2);
  }

  #on(x: number, y: number): PlannedHole | number | undefined {
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
