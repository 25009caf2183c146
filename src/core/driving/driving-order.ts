import { answer, workLine, type Answer } from '../answer.ts';

/** A hole as the order looks at it: inches from the datum corner. */
export interface OrderedHole {
  number: number;
  row: number;
  xIn: number;
  yIn: number;
}

/** `flat`: from the middle outwards in passes that skip, ends last; `sequence`: one after the other along the rows. */
export type OrderSchool = 'flat' | 'sequence';

export interface DrivingOrder {
  order: number[];
  /** which pass a hole is driven in, from 1; one pass in sequence */
  passOf: ReadonlyMap<number, number>;
  passes: number;
  longestJumpIn: number;
  totalPathIn: number;
}

/** Driven in this pass come the end rivets of every row. */
const LAST_PASS = 4;
/** Every fourth first, then those halfway between: the sheets are held everywhere before any two neighbors are driven. */
const SKIP = 4;
/** A row whose ends lie this near, in its widest spacing, closes on itself. */
const CLOSES_WITHIN = 1.5;
const LEAST_RING = 6;
/** Rows that climb less than this for each inch run side by side, and are driven together. */
const LEVEL = 0.35;

type Placed = OrderedHole & { pass: number };

const apart = (a: OrderedHole, b: OrderedHole): number => Math.hypot(a.xIn - b.xIn, a.yIn - b.yIn);

/** Rows in their numbers' order, which runs along each. */
export function rowsOf(holes: readonly OrderedHole[]): OrderedHole[][] {
  const rows = new Map<number, OrderedHole[]>();
  for (const hole of [...holes].sort((a, b) => a.number - b.number))
    rows.set(hole.row, [...(rows.get(hole.row) ?? []), hole]);
  return [...rows.entries()].sort(([a], [b]) => a - b).map(([, row]) => row);
}

/** Whether a row comes back to where it began, as a ring of bolt-circle holes does. */
export function isClosed(row: readonly OrderedHole[]): boolean {
  const [first, last] = [row[0], row.at(-1)];
  if (row.length < LEAST_RING || !first || !last) return false;
  const widest = Math.max(...row.slice(1).map((hole, at) => apart(hole, row[at] ?? hole)));
  return apart(first, last) <= CLOSES_WITHIN * widest;
}

function passesOf(row: readonly OrderedHole[]): Placed[] {
  if (isClosed(row))
    return row.map((hole, at) => ({
      ...hole,
      // the last of an uneven ring would stand beside the first
      pass: at % 2 === 1 || at === row.length - 1 ? 3 : at % SKIP === 0 ? 1 : 2
    }));
  const middle = Math.floor((row.length - 1) / 2);
  return row.map((hole, at) => {
    const off = Math.abs(at - middle) % SKIP;
    const end = at === 0 || at === row.length - 1;
    return { ...hole, pass: end ? LAST_PASS : off === 0 ? 1 : off === 2 ? 2 : 3 };
  });
}

/** Side by side: whole columns, so that every row is driven from the middle outwards at once. */
function outwards(holes: readonly Placed[], midXIn: number): Placed[] {
  const zigzag = (some: Placed[], way: 1 | -1): Placed[] => {
    const columns = new Map<number, Placed[]>();
    for (const hole of [...some].sort((a, b) => way * (a.xIn - b.xIn))) {
      const x = Math.round(hole.xIn * 1e6);
      columns.set(x, [...(columns.get(x) ?? []), hole]);
    }
    return [...columns.values()].flatMap((column, at) =>
      column.sort((a, b) => (at % 2 === 0 ? 1 : -1) * (a.row - b.row))
    );
  };
  return [
    ...zigzag(
      holes.filter(({ xIn }) => xIn >= midXIn),
      1
    ),
    ...zigzag(
      holes.filter(({ xIn }) => xIn < midXIn),
      -1
    )
  ];
}

/** Round a ring by halves, quarters …, so that it is drawn down evenly. */
function acrossRing<T>(ring: readonly T[]): T[] {
  const bits = Math.ceil(Math.log2(Math.max(2, ring.length)));
  const turned = (at: number) =>
    Array.from({ length: bits }, (_, bit) => ((at >> bit) & 1) << (bits - 1 - bit)).reduce(
      (sum, one) => sum + one,
      0
    );
  // places of a full power of two, those beyond the ring left out
  return Array.from({ length: 2 ** bits }, (_, at) => turned(at)).flatMap((place) => {
    const one = ring[place];
    return one === undefined ? [] : [one];
  });
}

/** One row by itself: to one side of its middle, then to the other; a ring from side to side. */
function rowOutwards(row: readonly Placed[], whole: readonly OrderedHole[]): Placed[] {
  if (isClosed(whole)) return acrossRing(row);
  const middle = whole[Math.floor((whole.length - 1) / 2)]?.number ?? 0;
  return [
    ...row.filter(({ number }) => number >= middle),
    ...row.filter(({ number }) => number < middle).reverse()
  ];
}

const isLevel = (row: readonly OrderedHole[]): boolean => {
  const [first, last] = [row[0], row.at(-1)];
  return (
    !!first && !!last && Math.abs(last.yIn - first.yIn) <= LEVEL * Math.abs(last.xIn - first.xIn)
  );
};

/** How far one goes from rivet to rivet in an order. */
export function pathOf(
  holes: readonly OrderedHole[],
  order: readonly number[]
): { longestJumpIn: number; totalPathIn: number } {
  const byNumber = new Map(holes.map((hole) => [hole.number, hole]));
  const jumps = order.slice(1).map((number, at) => {
    const [from, to] = [byNumber.get(order[at] ?? 0), byNumber.get(number)];
    return from && to ? apart(from, to) : 0;
  });
  return {
    longestJumpIn: Math.max(0, ...jumps),
    totalPathIn: jumps.reduce((sum, jump) => sum + jump, 0)
  };
}

/**
 * In what order rivets are driven.
 *
 * @param holes those that get a rivet; numbers run along each row
 * @param school `flat`: sheets lie flat when driving runs from the middle outwards, every fourth hole first, then those
 *   halfway between, then the others, and the ends of each row last; a ring goes from side to side. `sequence`: along one
 *   row and back along the next, for long members
 * @returns every hole once; jumps from rivet to rivet, in
 * @throws never
 * @source drive: middle towards the ends, skipping
 */
export function drivingOrder(
  holes: readonly OrderedHole[],
  school: OrderSchool
): Answer<DrivingOrder> {
  const rows = rowsOf(holes);
  const placed: Placed[][] =
    school === 'flat'
      ? rows.map(passesOf)
      : rows.map((row) => row.map((hole) => ({ ...hole, pass: 1 })));
  const all = placed.flat();
  const passes = Math.max(1, ...all.map(({ pass }) => pass));
  const xs = holes.map(({ xIn }) => xIn);
  const midXIn = (Math.min(...xs) + Math.max(...xs)) / 2;
  const level = rows.every((row) => isLevel(row) && !isClosed(row));
  const inPass = (pass: number): Placed[] =>
    level
      ? outwards(
          all.filter((hole) => hole.pass === pass),
          midXIn
        )
      : placed.flatMap((row, at) =>
          rowOutwards(
            row.filter((hole) => hole.pass === pass),
            rows[at] ?? []
          )
        );
  const ordered =
    school === 'sequence'
      ? placed.flatMap((row, at) => (at % 2 === 0 ? row : row.toReversed()))
      : Array.from({ length: passes }, (_, at) => inPass(at + 1)).flat();
  const order = ordered.map(({ number }) => number);
  const path = pathOf(holes, order);
  return answer(
    { order, passOf: new Map(all.map(({ number, pass }) => [number, pass])), passes, ...path },
    [
      workLine(
        'longest jump',
        'largest distance from one rivet to the next',
        path.longestJumpIn,
        'in'
      ),
      workLine('path', `sum over ${Math.max(0, order.length - 1)} steps`, path.totalPathIn, 'in')
    ]
  );
}

/** Two neighbors of a row that an order drives one right after the other before every row is held. */
export interface Neighbors {
  at: number;
  first: number;
  second: number;
}

/**
 * Where an order of one's own would let sheets creep: neighbors of one row driven in a row while some of that row's
 * skipping holes are still open.
 *
 * @source drive; the flat-sheet order skips until every row is held
 */
export function neighborsTooSoon(
  holes: readonly OrderedHole[],
  order: readonly number[]
): Neighbors[] {
  const placed = new Map<number, { row: number; at: number; closes: number; skips: boolean }>();
  const left = new Map<number, number>();
  for (const row of rowsOf(holes)) {
    const closed = isClosed(row);
    passesOf(row).forEach(({ number, row: key, pass }, at) => {
      placed.set(number, { row: key, at, closes: closed ? row.length : 0, skips: pass <= 2 });
      if (pass <= 2) left.set(key, (left.get(key) ?? 0) + 1);
    });
  }
  const found: Neighbors[] = [];
  order.forEach((number, at) => {
    const [before, now] = [placed.get(order[at - 1] ?? -1), placed.get(number)];
    const first = order[at - 1];
    if (before && now && first !== undefined && before.row === now.row) {
      const off = Math.abs(before.at - now.at);
      const beside = off === 1 || (now.closes > 0 && off === now.closes - 1);
      if (beside && (left.get(now.row) ?? 0) > (now.skips ? 1 : 0))
        found.push({ at, first, second: number });
    }
    if (now?.skips) left.set(now.row, (left.get(now.row) ?? 1) - 1);
  });
  return found;
}
