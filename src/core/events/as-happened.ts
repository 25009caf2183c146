interface Happened {
  id: string;
  at: string;
}

/** Events each once, in the order in which they happened; of one instant in the order given. */
export function asHappened<Event extends Happened>(events: readonly Event[]): readonly Event[] {
  const ids = new Set<string>();
  const timed: { event: Event; atMs: number }[] = [];
  let inOrder = true;
  for (const event of events) {
    if (ids.has(event.id)) continue;
    ids.add(event.id);
    const atMs = Date.parse(event.at);
    inOrder &&= atMs >= (timed.at(-1)?.atMs ?? -Infinity);
    timed.push({ event, atMs });
  }
  if (inOrder) return timed.length === events.length ? events : timed.map(({ event }) => event);
  return timed.sort((a, b) => a.atMs - b.atMs).map(({ event }) => event);
}
