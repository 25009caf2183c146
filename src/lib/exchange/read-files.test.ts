import { describe, expect, it } from 'vitest';
import { readDxf } from './read-dxf';
import { readHolesCsv } from './read-holes-csv';

const dxf = (entities: string, header = '') =>
  `0\nSECTION\n2\nHEADER\n${header}0\nENDSEC\n0\nSECTION\n2\nENTITIES\n${entities}0\nENDSEC\n0\nEOF\n`;
const CIRCLE = '0\nCIRCLE\n8\nOLD\n10\n1.5\n20\n-0.75\n40\n0.0643\n';
const MM = '9\n$INSUNITS\n70\n4\n';

describe('holes from a DXF file', () => {
  it('reads circles and points, y turned down, with the file’s unit', () => {
    const read = readDxf(dxf(`${CIRCLE}0\nPOINT\n8\nP\n10\n38.1\n20\n12.7\n`, MM));
    expect(read).toEqual({
      ok: true,
      found: {
        holes: [
          { x: 1.5, y: 0.75, diameter: 0.1286, layer: 'OLD' },
          { x: 38.1, y: -12.7, diameter: null, layer: 'P' }
        ],
        outline: null,
        inPerUnit: 1 / 25.4
      }
    });
  });

  it('asks for the unit where the file does not say', () => {
    const read = readDxf(dxf(CIRCLE));
    expect(read.ok && read.found.inPerUnit).toBeNull();
  });

  it('takes the outline’s rectangle from lines', () => {
    const line = '0\nLINE\n8\nE\n10\n1\n20\n2\n11\n6\n21\n5\n';
    const read = readDxf(dxf(line));
    expect(read.ok && read.found.outline).toEqual({ x: 1, y: -5, w: 5, h: 3 });
  });

  it.each([
    ['an empty file', ''],
    ['a picture', '\x89PNG\r\n\x1a\n'],
    ['a file cut off in the middle', dxf(CIRCLE).slice(0, 70)],
    ['numbers that are none', dxf('0\nCIRCLE\n8\nA\n10\nNaN\n20\nabc\n40\n1\n')],
    ['nothing in it', dxf('')],
    ['a web page', '<html>SECTION</html>'],
    ['groups without end', '0\nSECTION\n'.repeat(20)]
  ])('refuses %s with a reason', (_, text) => {
    const read = readDxf(text);
    expect(read.ok).toBe(false);
    expect(read.ok ? '' : read.message.length).toBeGreaterThan(10);
  });

  it('refuses more than it would draw', () => {
    const read = readDxf(dxf(CIRCLE.repeat(20_001)));
    expect(read.ok ? '' : read.message).toMatch(/20001 entities; up to 20000/);
  });
});

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
    ['a place that is no number', 'x_in,y_in\n1,2\nleft,4\n', /line 3 has no place/],
    ['an empty place', 'x_in,y_in\n1,\n', /line 2 has no place/],
    ['no holes', 'x_in,y_in\n', /no holes/],
    ['nothing', '', /must name the columns/],
    ['too many', `x_in,y_in\n${'1,2\n'.repeat(20_001)}`, /over 20000 lines/]
  ])('refuses %s', (_, text, message) => {
    const read = readHolesCsv(text);
    expect(read.ok ? '' : read.message).toMatch(message);
  });
});
