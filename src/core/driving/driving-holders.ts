import { rowsOf, type OrderedHole } from './driving-order.ts';

/** A holder that comes out because its own hole is driven next; `to` null: put away. */
export interface HolderMove {
  /** the hole it stands in, which is the next to drive */
  out: number;
  to: number | null;
}

export interface DrivingHolders {
  /** where they stand before the first rivet */
  start: number[];
  moves: ReadonlyMap<number, HolderMove>;
  /** a holder in every so many holes; more than the shop's own figure where it has too few */
  every: number;
  /** the shop has not even enough for the ends of every row */
  tooFew: boolean;
}

/** Where holders stand now: those whose hole is driven have moved on. */
export function standingHolders(
  { start, moves }: Pick<DrivingHolders, 'start' | 'moves'>,
  order: readonly number[],
  isDriven: (hole: number) => boolean
): Set<number> {
  const now = new Set(start);
  for (const number of order) {
    const move = moves.get(number);
    if (!move || !isDriven(number)) continue;
    now.delete(move.out);
    if (move.to !== null) now.add(move.to);
  }
  return now;
}

/** Ends of a row, and of every stretch between the hole that is driven last. */
function held(
  row: readonly OrderedHole[],
  every: number,
  place: ReadonlyMap<number, number>
): number[] {
  const ends = [row[0], row.length > 1 ? row.at(-1) : undefined].flatMap(
    (hole) => hole?.number ?? []
  );
  const between = row.slice(1, -1);
  const stretches = Array.from({ length: Math.floor(between.length / every) }, (_, at) =>
    between.slice(at * every, (at + 1) * every)
  );
  return [
    ...ends,
    ...stretches.flatMap(
      (stretch) =>
        [...stretch].sort((a, b) => (place.get(b.number) ?? 0) - (place.get(a.number) ?? 0))[0]
          ?.number ?? []
    )
  ];
}

/** Where it helps most: the longest stretch of its row that neither rivets nor holders keep together. */
function nextPlace(
  row: readonly OrderedHole[],
  every: number,
  kept: ReadonlySet<number>,
  place: ReadonlyMap<number, number>
): number | null {
  let longest: number[] = [];
  let run: number[] = [];
  for (const { number } of row) {
    run = kept.has(number) ? [] : [...run, number];
    if (run.length > longest.length) longest = run;
  }
  if (longest.length < every) return null;
  return [...longest].sort((a, b) => (place.get(b) ?? 0) - (place.get(a) ?? 0))[0] ?? null;
}

/**
 * Sheet holders while driving: where they stand, when each comes out, and where it moves.
 *
 * @param order every hole once, as it is driven
 * @param every a holder in every so many holes of a row
 * @param inShop holders of the final size that there are
 * @throws never
 * @source drive: sheet holders every few holes, next to the rivet
 */
export function drivingHolders(
  holes: readonly OrderedHole[],
  order: readonly number[],
  every: number,
  inShop: number
): DrivingHolders {
  const place = new Map(order.map((number, at) => [number, at]));
  const rows = rowsOf(holes);
  const longest = Math.max(every, ...rows.map(({ length }) => length));
  let spread = Math.max(2, every);
  let start = rows.flatMap((row) => held(row, spread, place));
  while (start.length > inShop && spread < longest) {
    spread += 1;
    start = rows.flatMap((row) => held(row, spread, place));
  }
  const tooFew = start.length > inShop;
  if (tooFew) start = start.slice(0, inShop);

  const rowOf = new Map(rows.flatMap((row) => row.map(({ number }) => [number, row] as const)));
  const standing = new Set(start);
  const kept = new Set(start);
  const moves = new Map<number, HolderMove>();
  for (const number of order) {
    if (standing.has(number)) {
      standing.delete(number);
      const to = nextPlace(rowOf.get(number) ?? [], spread, kept, place);
      if (to !== null) {
        standing.add(to);
        kept.add(to);
      }
      moves.set(number, { out: number, to });
    }
    kept.add(number);
  }
  return { start, moves, every: spread, tooFew };
}
