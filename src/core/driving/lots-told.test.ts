import { describe, expect, it } from 'vitest';
import type { DriveEvent } from './drive-events';
import { lotsTold, partsWithoutLot } from './lots-told';
import { latestLots, lotAt } from './rivet-lots';

const at = (minute: number) => `2031-04-07T09:${String(minute).padStart(2, '0')}:00.000Z`;
const told = (minute: number, part: string, lot: string) =>
  ({ kind: 'loaded', part, lot, at: at(minute), by: 'Ilse' }) as DriveEvent;
const driven = (minute: number, partNumber: string, batch: string | null = null) =>
  ({
    kind: 'driven',
    hole: 1,
    batch,
    at: at(minute),
    by: 'Ilse',
    frozen: { partNumber, cold: null }
  }) as DriveEvent;

describe('lots told while driving', () => {
  const events = [told(9, 'A', 'late'), told(2, 'A', 'early'), told(5, 'B', 'other')];

  it('count by when they were told, whenever they came in', () => {
    expect(latestLots(lotsTold(events)).get('A')?.lot).toBe('late');
    const lots = [1, 2, 8, 9].map((minute) => lotAt(lotsTold(events), 'A', Date.parse(at(minute))));
    expect(lots).toEqual([null, 'early', 'early', 'late']);
  });

  it('say which parts were driven before anybody told', () => {
    expect(
      partsWithoutLot([
        ...events,
        driven(1, 'A'),
        driven(6, 'B'),
        driven(7, 'C'),
        driven(8, 'D', 'x')
      ])
    ).toEqual(['A', 'C']);
  });
});
