import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { readStockCsv, stockCsv } from './stock-csv';

const BINS = [
  {
    id: '0a52f3f2-07c2-4ce2-8f52-0f5a3c0e4a01',
    partNumber: 'MS20470AD4-4.5',
    lot: '=L7',
    place: 'A, 3',
    cold: false,
    count: 140,
    events: []
  },
  {
    id: '0a52f3f2-07c2-4ce2-8f52-0f5a3c0e4a02',
    partNumber: 'MS20470DD5-6',
    lot: 'C2',
    place: '',
    cold: true,
    count: 0,
    events: []
  }
];
describe('the bins as a table', () => {
  it('are read by any reader of CSV, and no cell runs as a formula', () => {
    const { data } = Papa.parse<string[]>(stockCsv(BINS).trim());
    expect(data).toEqual([
      ['part_number', 'lot', 'place', 'cold', 'count'],
      ['MS20470AD4-4.5', "'=L7", 'A, 3', 'no', '140'],
      ['MS20470DD5-6', 'C2', '', 'yes', '0']
    ]);
  });

  it('are received, part numbers as people type them', () => {
    const read = readStockCsv(
      'Part_Number,Lot,Count,Cold\r\nms20470 ad4-5,77,200,\r\nAN426DD4-6,78,30,yes\r\n',
      'received',
      []
    );
    expect(read.ok && read.moves).toMatchObject([
      { kind: 'received', partNumber: 'MS20470AD4-5', lot: '77', cold: false, count: 200 },
      { kind: 'received', partNumber: 'AN426DD4-6', cold: true, count: 30 }
    ]);
  });

  it('are counted where the bin is known, nothing left included, and received where not', () => {
    const read = readStockCsv(
      'part_number,lot,place,cold,count\nMS20470DD5-6,C2,,yes,0\nMS20470AD3-4,N1,B1,no,12\n',
      'counted',
      BINS
    );
    expect(read.ok && read.moves).toMatchObject([
      { kind: 'counted', binId: BINS[1]?.id, count: 0 },
      { kind: 'received', lot: 'N1', place: 'B1', count: 12 }
    ]);
  });

  it('come back as they went out', () => {
    const read = readStockCsv(stockCsv(BINS), 'counted', BINS);
    expect(read.ok && read.moves).toMatchObject([
      { kind: 'counted', binId: BINS[0]?.id, count: 140 },
      { kind: 'counted', binId: BINS[1]?.id, count: 0 }
    ]);
  });

  it('say every line that cannot be read, and take none', () => {
    const read = readStockCsv(
      'part_number,lot,count,cold\nMS20470AD4-5,1,10,\nMS2047AD4-5,1,10,\nMS20470AD4-5,,10,\nMS20470AD4-5,1,ten,\nMS20470AD4-5,1,1,warm\n',
      'received',
      []
    );
    expect(read.ok ? [] : read.problems).toEqual([
      expect.stringMatching(/^line 3: "MS2047AD4-5" does not start with MS20470/),
      expect.stringMatching(/^line 4: Lot missing/),
      expect.stringMatching(/^line 5: /),
      expect.stringMatching(/^line 6: cold is yes or no; "warm"/)
    ]);
    expect(readStockCsv('a,b\n1,2\n', 'received', [])).toMatchObject({
      ok: false,
      problems: [expect.stringMatching(/^the first line must name .*"a, b"$/)]
    });
    expect(readStockCsv('part_number,lot,count\n', 'received', [])).toMatchObject({
      ok: false,
      problems: ['the table has no bins below its first line']
    });
  });
});
