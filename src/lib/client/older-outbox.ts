import { z } from 'zod';
import { Kept } from './kept';
import { keepMove } from './store';

const Moves = z.array(z.record(z.string(), z.unknown()));
/** Where each stream's unsent moves lay in this browser before there was one store for all. */
const OLDER: Record<string, { name: string; kind?: string }> = {
  hole: { name: 'readings', kind: 'checked' },
  step: { name: 'ready', kind: 'ticked' },
  cage: { name: 'cage' }
};
/** Heads lay beside what was typed of others. */
const OlderBox = z.union([Moves, z.object({ outbox: Moves }).transform(({ outbox }) => outbox)]);

/** Puts what an earlier version of the program kept of one subject and never sent where this one keeps it. */
export async function takeOlderMoves(
  stream: string,
  subjectId: string,
  box: string
): Promise<void> {
  const older = OLDER[stream];
  if (!older) return;
  const kept = new Kept(`${older.name}.${subjectId}`, OlderBox);
  const moves = (await kept.found()).flat();
  for (const move of moves) {
    const named = older.kind === undefined ? move : { kind: older.kind, ...move };
    const { id } = named as { id?: unknown };
    if (typeof id === 'string' && !(await keepMove(box, { ...named, id }))) return;
  }
  kept.forget();
}
