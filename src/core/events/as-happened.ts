interface Happened {
  id: string;
  at: string;
}

/** Events each once, in the order in which they happened; of one instant in the order given. */
export function asHappened<Event extends Happened>(events: readonly Event[]): readonly Event[] {
  const ids = new Set<string>();
  const timesMs: number[] = [];
  let inOrder = true;
  const first = events.filter(({ id, at }) => {
    if (ids.size === ids.add(id).size) return false;
    const atMs = Date.parse(at);
    inOrder &&= atMs >= (timesMs.at(-1) ?? -Infinity);
    timesMs.push(atMs);
    return true;
  });
  if (inOrder) return first.length === events.length ? events : first;
  return first
    .map((event, n) => ({ event, atMs: timesMs[n] ?? NaN }))
    .sort((a, b) => a.atMs - b.atMs)
    .map(({ event }) => event);
}
