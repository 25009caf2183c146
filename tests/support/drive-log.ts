import { ReleasedFacts, type ReleasedHole } from '../../src/core/release/release.ts';
import {
  driveStream,
  NOT_DRIVEN,
  type DriveEvent,
  type DriveState,
  type DriveSubject
} from '../../src/core/driving/drive-events.ts';
import { type DriveMove } from '../../src/core/driving/drive-move.ts';

/** A small release of three rivets and a hole that is held open, and what is logged while it is driven. */
export const BATCH = '6b1f6e0e-93ad-4d5a-9c3c-0a54c1f2a001';
const facts = (partNumber: string) =>
  ReleasedFacts.parse({
    dash: 5,
    head: 'universal',
    partNumber,
    gripIn: 0.113,
    lengthIn: 0.375,
    holeIn: 0.159,
    widthIn: 7,
    overlapIn: 1,
    limits: 'standard',
    predictedIn3: null
  });
const hole = (number: number): ReleasedHole => ({
  number,
  row: 1,
  xIn: number,
  yIn: 0.5,
  markIn: number,
  stack: 0,
  dash: 5,
  gripIn: 0.113,
  room: null
});
export const subject = (part = 'MS20470AD5-6'): DriveSubject => ({
  facts: facts(part),
  holes: [1, 2, 3].map(hole),
  heldOpen: [{ ...hole(4), reason: 'latch pin' }],
  batches: [
    {
      id: BATCH,
      partNumber: 'MS20470DD5-6',
      lot: 'Q7',
      count: 20,
      removedAt: '2026-11-28T08:00:00Z',
      times: null
    }
  ]
});
let made = 0;
export const id = () => `6b1f6e0e-93ad-4d5a-9c3c-${String((made += 1)).padStart(12, '0')}`;
export const tap = (number: number, at: string, more: object = {}): DriveMove =>
  driveStream.Move.parse({
    id: id(),
    at: `2026-11-28T${at}Z`,
    kind: 'driven',
    hole: number,
    ...more
  });
export const follow = (move: DriveMove, on = subject()) => driveStream.follow(on, NOT_DRIVEN, move);
export const refusedFor = (move: DriveMove, on = subject()) => {
  const may = follow(move, on);
  return may.ok ? null : may.error.said;
};
export const event = (move: DriveMove, on = subject()): DriveEvent => {
  const may = follow(move, on);
  if (!may.ok) throw new Error(may.error.said.code);
  return { ...move, by: 'Ada', frozen: may.result } as DriveEvent;
};
export const after = (events: DriveEvent[]): DriveState => driveStream.project(subject(), events);
