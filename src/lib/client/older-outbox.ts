import { z } from 'zod';
import { Kept } from './kept';

const Moves = z.array(z.record(z.string(), z.unknown()));
/** Where each stream's unsent moves lay in this browser before there was one store for all. */
const OLDER: Record<string, { name: string; kind?: string }> = {
  hole: { name: 'readings', kind: 'checked' },
  step: { name: 'ready', kind: 'ticked' },
  cage: { name: 'cage' }
};
/** Heads lay beside what was typed of others. */
const OlderBox = z.union([Moves, z.object({ outbox: Moves }).transform(({ outbox }) => outbox)]);

/** Moves of one subject that an earlier version of the program kept and never sent, as they are called now. */
export async function olderMoves(stream: string, subjectId: string): Promise<unknown[]> {
  const older = OLDER[stream];
  if (!older) return [];
  const boxes = await new Kept(`${older.name}.${subjectId}`, OlderBox).found();
  return boxes
    .flat()
    .map((move) => (older.kind === undefined ? move : { kind: older.kind, ...move }));
}
