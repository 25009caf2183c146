import type { PlannedHole } from '../layout/holes.ts';
import type { Operation } from './operations.ts';

export const CAUTIONS = {
  drill:
    'Eye protection; clamp small parts; no gloves near a turning drill; a backing block behind, never a hand.',
  edges: 'Chips and edges cut: gloves for handling, none near the drill.',
  air: 'Disconnect the air before touching the cutter.',
  dimple: 'Fingers out of the yoke: it closes with thousands of pounds.',
  primer: 'Gloves, ventilation, and the product’s data sheet.'
} as const;

/** A step as its part of the list makes it: its time is reckoned once all are there. */
export interface MadeStep {
  key?: string;
  op: Operation;
  title: string;
  say?: string;
  tool?: string;
  setting?: string;
  count: number;
  caution?: string;
  holes?: number[];
  formula?: string;
}

export const numbersOf = (holes: readonly PlannedHole[]): number[] =>
  holes.map(({ number }) => number);
