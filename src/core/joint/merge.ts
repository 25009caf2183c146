/** A place that two hands changed in different ways since the version that both began from. */
export interface Crossing {
  /** dotted, items of lists by their ids */
  path: string;
  was: unknown;
  mine: unknown;
  theirs: unknown;
}

export interface Merged {
  /** both hands' changes; where they cross, what was chosen, else theirs */
  value: unknown;
  crossings: Crossing[];
}

/** Which of two crossing changes stays, by its path. */
export type Choices = Readonly<Record<string, 'mine' | 'theirs'>>;

/** What is not there on one side. */
const GONE = Symbol('gone');
type Side = unknown;

const isNode = (value: Side): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
const isNamedList = (value: Side): value is { id: string }[] =>
  Array.isArray(value) &&
  value.every((item) => isNode(item) && typeof item['id'] === 'string') &&
  new Set(value.map((item: { id: string }) => item.id)).size === value.length;

const same = (a: Side, b: Side): boolean =>
  a === b || (a !== GONE && b !== GONE && canonical(a) === canonical(b));
/** Fields in one order, so that two documents that say the same are the same. */
const canonical = (value: unknown): string =>
  JSON.stringify(value, (_, inner: unknown) =>
    isNode(inner)
      ? Object.fromEntries(Object.entries(inner).sort(([a], [b]) => (a < b ? -1 : 1)))
      : inner
  );

class Merger {
  readonly crossings: Crossing[] = [];
  constructor(private readonly choices: Choices) {}

  merge(was: Side, mine: Side, theirs: Side, path: string): Side {
    if (same(mine, theirs) || same(theirs, was)) return mine;
    if (same(mine, was)) return theirs;
    if (isNode(was) && isNode(mine) && isNode(theirs)) return this.#fields(was, mine, theirs, path);
    if (isNamedList(was) && isNamedList(mine) && isNamedList(theirs))
      return this.#items(was, mine, theirs, path);
    return this.#crossed(was, mine, theirs, path);
  }

  #crossed(was: Side, mine: Side, theirs: Side, path: string): Side {
    const shown = (side: Side) => (side === GONE ? undefined : side);
    this.crossings.push({ path, was: shown(was), mine: shown(mine), theirs: shown(theirs) });
    return this.choices[path] === 'mine' ? mine : theirs;
  }

  #fields(
    was: Record<string, unknown>,
    mine: Record<string, unknown>,
    theirs: Record<string, unknown>,
    path: string
  ): Record<string, unknown> {
    const at = (of: Record<string, unknown>, key: string): Side =>
      Object.hasOwn(of, key) ? of[key] : GONE;
    const keys = [...new Set([...Object.keys(theirs), ...Object.keys(mine)])];
    return Object.fromEntries(
      keys.flatMap((key) => {
        const value = this.merge(at(was, key), at(mine, key), at(theirs, key), join(path, key));
        return value === GONE ? [] : [[key, value]];
      })
    );
  }

  /** Items by their ids, in the order of whoever changed it; what both added stands behind what it stood behind. */
  #items(
    was: readonly { id: string }[],
    mine: readonly { id: string }[],
    theirs: readonly { id: string }[],
    path: string
  ): unknown[] {
    const [before, own, other] = [was, mine, theirs].map(
      (list) => new Map<string, Side>(list.map((item) => [item.id, item]))
    );
    const ids = (list: readonly { id: string }[]) => list.map(({ id }) => id);
    const shared = (list: readonly { id: string }[]) =>
      ids(list).filter((id) => before?.has(id) && own?.has(id) && other?.has(id));
    const [orderWas, orderMine, orderTheirs] = [was, mine, theirs].map(shared);
    const mineMoved = !same(orderMine, orderWas) && same(orderTheirs, orderWas);
    if (!same(orderMine, orderTheirs) && !mineMoved && !same(orderMine, orderWas))
      this.#crossed(orderWas, orderMine, orderTheirs, join(path, 'order'));
    const leads = mineMoved || this.choices[join(path, 'order')] === 'mine' ? mine : theirs;
    const order = ids(leads);
    for (const list of [mine, theirs])
      for (const [place, id] of ids(list).entries())
        if (!order.includes(id)) {
          const behind = list[place - 1]?.id;
          order.splice(behind === undefined ? 0 : order.indexOf(behind) + 1, 0, id);
        }
    return order.flatMap((id) => {
      const side = (of: Map<string, Side> | undefined): Side => (of?.has(id) ? of.get(id) : GONE);
      const item = this.merge(side(before), side(own), side(other), join(path, id));
      return item === GONE ? [] : [item];
    });
  }
}

const join = (path: string, key: string): string => (path === '' ? key : `${path}.${key}`);

/**
 * Puts two hands' changes of one document together: three plain JSON documents, the one that both began from and what
 * each made of it. What only one of them changed is taken over; where both changed one thing in different ways, that is
 * named, and stands as it was chosen.
 *
 * @param choices which of two crossing changes stays, by its path; theirs where nothing is said
 */
export function merge(was: unknown, mine: unknown, theirs: unknown, choices: Choices = {}): Merged {
  const merger = new Merger(choices);
  const value = merger.merge(was, mine, theirs, '');
  return { value, crossings: merger.crossings };
}
