import { z } from 'zod';
import { median } from '../units/median.ts';

/** Everything that is done between marks on metal and the first rivet, and what one of it is counted by. */
export const OPERATIONS = {
  relief: { words: 'corner relief', per: 'relief', many: 'reliefs', startS: 60 },
  cutOut: { words: 'cutting out', per: 'inch of cut', many: 'inches of cut', startS: 12 },
  cutPart: {
    words: 'cutting a part to its outline',
    per: 'inch of cut',
    many: 'inches of cut',
    startS: 12
  },
  fit: { words: 'filing to fit', per: 'part', many: 'parts', startS: 900 },
  stopDrill: { words: 'stop drilling', per: 'hole', many: 'holes', startS: 45 },
  match: { words: 'matching an existing hole', per: 'hole', many: 'holes', startS: 30 },
  film: { words: 'peeling the film back', per: 'panel', many: 'panels', startS: 120 },
  clamp: { words: 'clamping at the side', per: 'part', many: 'parts', startS: 30 },
  punch: { words: 'center punching', per: 'hole', many: 'holes', startS: 5 },
  pilot: { words: 'pilot drilling', per: 'hole', many: 'holes', startS: 12 },
  holder: {
    words: 'installing a temporary fastener',
    per: 'temporary fastener',
    many: 'temporary fasteners',
    startS: 6
  },
  upDrill: { words: 'drilling to final size', per: 'hole', many: 'holes', startS: 10 },
  openDrill: { words: 'drilling open holes', per: 'hole', many: 'holes', startS: 12 },
  growth: { words: 'drilling the clear panel', per: 'hole', many: 'holes', startS: 20 },
  part: { words: 'disassembly', per: 'part', many: 'parts', startS: 60 },
  chips: { words: 'clearing chips', per: 'part', many: 'parts', startS: 45 },
  deburr: { words: 'deburring', per: 'hole side', many: 'hole sides', startS: 4 },
  edges: { words: 'edges and corners', per: 'part', many: 'parts', startS: 180 },
  dimple: { words: 'dimpling', per: 'hole', many: 'holes', startS: 12 },
  countersink: { words: 'countersinking', per: 'hole', many: 'holes', startS: 15 },
  clean: { words: 'cleaning', per: 'part', many: 'parts', startS: 90 },
  prime: { words: 'priming', per: 'part', many: 'parts', startS: 150 },
  reassemble: { words: 'reassembling', per: 'part', many: 'parts', startS: 90 }
} as const satisfies Record<string, { words: string; per: string; many: string; startS: number }>;

export type Operation = keyof typeof OPERATIONS;
export const OPERATION_KEYS = Object.keys(OPERATIONS) as [Operation, ...Operation[]];
export const OperationKey = z.enum(OPERATION_KEYS);

/** A time that someone recorded: how long so many took. */
export interface TimedWork {
  op: Operation;
  count: number;
  seconds: number;
}

/** Seconds for one, and whose figure that is. */
export interface OperationTime {
  secondsEach: number;
  from: 'recorded' | 'shop' | 'starting';
  /** how many recorded works stand behind it */
  records: number;
}

/** Fewer recorded works than this say too little. */
const ENOUGH_RECORDS = 3;

/**
 * Seconds for one of an operation: the median of what the shop has recorded once there are three, else the shop's own
 * figure, else a starting estimate.
 *
 * @param shop seconds each that the shop set by hand
 * @param recorded works with their counts, any operation
 */
export function operationTime(
  op: Operation,
  shop: Readonly<Partial<Record<Operation, number>>>,
  recorded: readonly TimedWork[]
): OperationTime {
  const own = recorded.filter((work) => work.op === op && work.count > 0);
  if (own.length >= ENOUGH_RECORDS)
    return {
      secondsEach: median(own.map(({ seconds, count }) => seconds / count)),
      from: 'recorded',
      records: own.length
    };
  const set = shop[op];
  return set === undefined
    ? { secondsEach: OPERATIONS[op].startS, from: 'starting', records: own.length }
    : { secondsEach: set, from: 'shop', records: own.length };
}
