import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { writeCsv } from './csv.ts';
import { readHolesCsv } from './read-holes-csv.ts';

describe('holes from a CSV file', () => {
  it('reads columns by name, in their unit', () => {
    const read = readHolesCsv('hole,x_mm,y_mm\n1,25.4,12.7\n2,"50.8",-3\n');
    expect(read.ok && read.found).toMatchObject({
      holes: [
        { x: 25.4, y: 12.7 },
        { x: 50.8, y: -3 }
      ],
      inPerUnit: 1 / 25.4
    });
  });

  it('asks for the unit where the columns do not say', () => {
    const read = readHolesCsv('x;y\n1;2\n');
    expect(read.ok && read.found.inPerUnit).toBeNull();
  });

  it.each([
    ['no named columns', '1,2\n3,4\n', /must name the columns/],
    ['a place that is no number', 'x_in,y_in\n1,2\nleft,4\n', /line 3 has no place: x_in: "left"/],
    ['an empty place', 'x_in,y_in\n1,\n', /line 2 has no place: y_in: it is empty/],
    ['hexadecimal figures', 'x_in,y_in\n0x10,1\n', /"0x10" is not a number/],
    [
      'a decimal comma between commas',
      'x_in,y_in\n1,5,2\n',
      /line 2 has 3 cells for 2 columns.*decimal comma/
    ],
    ['a quoted decimal comma', 'x_in,y_in\n"1,5",2\n', /write 1\.5/],
    [
      'one axis in inches, the other in millimetres',
      'x_in,y_mm\n1,2\n',
      /x_in is in inches, y_mm is in millimeters/
    ],
    ['one axis without a unit', 'x_mm,y\n1,2\n', /x_mm is in millimeters, y names no unit/],
    ['a column named twice', 'x_in,y_in,x_in\n1,2,3\n', /two columns are named "x_in"/],
    // the file's own lines: a quoted note over two of them, and an empty one
    ['a wrong line after others', 'note,x_in,y_in\n"a\nb",1,2\n\nc,no,2\n', /line 5 has no place/],
    ['no holes', 'x_in,y_in\n', /no holes/],
    ['nothing', '', /must name the columns/],
    ['too many', `x_in,y_in\n${'1,2\n'.repeat(20_001)}`, /over 20000 lines/]
  ])('refuses %s', (_, text, message) => {
    const read = readHolesCsv(text);
    expect(read.ok ? '' : read.message).toMatch(message);
  });

  it('reads decimal commas where semicolons stand between the columns', () => {
    const read = readHolesCsv('x_mm;y_mm\n12,5;-0,75\n3;,5\n');
    expect(read.ok && read.found.holes.map(({ x, y }) => [x, y])).toEqual([
      [12.5, -0.75],
      [3, 0.5]
    ]);
  });

  it('takes the unit of its own columns, whatever other columns are in', () => {
    const read = readHolesCsv('x_in,x_mm,grip_mm,y_in\n1,25.4,2.2,0.5\n');
    expect(read.ok && read.found).toMatchObject({ holes: [{ x: 1, y: 0.5 }], inPerUnit: 1 });
  });
});

describe('a table that goes out', () => {
  it('holds no cell that a table program would run', () => {
    const cells = ['=1+1', '+1', '-1+cmd|x', '@a', '-5', '-.5', '-1e3', '-latch', '-1-1', 'plain'];
    const text = writeCsv(
      ['a'],
      cells.map((a) => ({ a }))
    );
    expect(Papa.parse<string[]>(text.trim()).data.slice(1).flat()).toEqual([
      "'=1+1",
      "'+1",
      "'-1+cmd|x",
      "'@a",
      '-5',
      '-.5',
      '-1e3',
      "'-latch",
      "'-1-1",
      'plain'
    ]);
  });
});
