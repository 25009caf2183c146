import { describe, expect, it } from 'vitest';
import { readDxf } from './read-dxf.ts';
import { whyNot } from '../../../../tests/support/why-not.ts';

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
        outlines: [],
        inPerUnit: 1 / 25.4,
        leftOut: []
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
    expect(read.ok && read.found.outlines).toEqual([{ layer: 'E', x: 1, y: -5, w: 5, h: 3 }]);
  });

  it.each([
    ['an empty file', '', /no sections/],
    ['a picture', '\x89PNG\r\n\x1a\n', /no sections/],
    ['a file cut off in the middle', dxf(CIRCLE).slice(0, 70), /it was cut off/],
    [
      'numbers that are none',
      dxf('0\nCIRCLE\n8\nA\n10\nNaN\n20\nabc\n40\n1\n'),
      /nothing to pick up/
    ],
    ['nothing in it', dxf(''), /nothing to pick up$/],
    ['a web page', '<html>SECTION</html>', /cannot be read/],
    ['groups without end', '0\nSECTION\n'.repeat(20), /it was cut off/]
  ])('refuses %s with a reason', (_, text, why) => {
    expect(whyNot(readDxf(text))).toMatch(why);
  });

  it('refuses more than it would draw', () => {
    const read = readDxf(dxf(CIRCLE.repeat(20_001)));
    expect(read.ok ? '' : read.message).toMatch(/over 20000 entities/);
  });

  const holesOf = (text: string) => {
    const read = readDxf(text);
    if (!read.ok) throw new Error(read.message);
    return read.found.holes.map(({ x, y, diameter }) =>
      [x, y, diameter ?? 0].map((value) => Number(value.toFixed(6)) + 0)
    );
  };
  const leftOut = (text: string) => {
    const read = readDxf(text);
    return read.ok ? read.found.leftOut.map(({ what, count }) => `${count} ${what}`) : [];
  };
  const circle = (x: number, y: number, r: number, more = '') =>
    `0\nCIRCLE\n8\nH\n${more}10\n${x}\n20\n${y}\n40\n${r}\n`;
  const sections = (blocks: string, entities: string, tables = '') =>
    `0\nSECTION\n2\nTABLES\n${tables}0\nENDSEC\n0\nSECTION\n2\nBLOCKS\n${blocks}0\nENDSEC\n0\nSECTION\n2\nENTITIES\n${entities}0\nENDSEC\n0\nEOF\n`;
  const block = (name: string, entities: string) =>
    `0\nBLOCK\n8\n0\n2\n${name}\n70\n0\n10\n1\n20\n1\n30\n0\n${entities}0\nENDBLK\n8\n0\n`;

  it('finds holes in blocks: turned, enlarged, in columns, on the layer of the insertion', () => {
    // base 1, 1: the circle at 2, 1 lies 1 right of it; turned a quarter and twice as large, 2 above the insertion
    const insert =
      '0\nINSERT\n8\nSKIN\n2\nTAB\n10\n10\n20\n5\n41\n2\n42\n2\n50\n90\n70\n2\n44\n3\n';
    const read = readDxf(
      sections(block('TAB', circle(2, 1, 0.05).replace('8\nH', '8\n0')), insert)
    );
    expect(read.ok && read.found.holes.map(({ layer }) => layer)).toEqual(['SKIN', 'SKIN']);
    // the second column lies 3 further along the turned row: upwards
    expect(holesOf(sections(block('TAB', circle(2, 1, 0.05)), insert))).toEqual([
      [10, -7, 0.2],
      [10, -10, 0.2]
    ]);
  });

  it('turns round what is drawn mirrored', () => {
    expect(holesOf(dxf(circle(-3, 1, 0.1, '210\n0\n220\n0\n230\n-1\n')))).toEqual([[3, -1, 0.2]]);
    // a mirrored block: its insertion 4 left means 4 right, and what is right in it lies left
    const insert = '0\nINSERT\n8\n0\n2\nTAB\n10\n-4\n20\n0\n210\n0\n220\n0\n230\n-1\n';
    expect(holesOf(sections(block('TAB', circle(2, 1, 0.05)), insert))).toEqual([[3, 0, 0.1]]);
  });

  it('takes whole arcs and round polylines as holes', () => {
    const arc = (end: number) => `0\nARC\n8\nH\n10\n1\n20\n1\n40\n0.05\n50\n0\n51\n${end}\n`;
    // two half circles: from 2 to 2.2 and back
    const round = '0\nLWPOLYLINE\n8\nH\n90\n2\n70\n1\n10\n2\n20\n0\n42\n1\n10\n2.2\n20\n0\n42\n1\n';
    const many = Array.from({ length: 24 }, (_, at) => {
      const rad = (at * Math.PI) / 12;
      return `0\nVERTEX\n8\nH\n10\n${3 + 0.1 * Math.cos(rad)}\n20\n${0.1 * Math.sin(rad)}\n`;
    }).join('');
    const old = `0\nPOLYLINE\n8\nH\n66\n1\n70\n1\n${many}0\nSEQEND\n8\nH\n`;
    const box =
      '0\nLWPOLYLINE\n8\nE\n90\n4\n70\n1\n10\n0\n20\n0\n10\n6\n20\n0\n10\n6\n20\n4\n10\n0\n20\n4\n';
    const text = dxf(arc(360) + arc(180) + round + old + box);
    expect(holesOf(text)).toEqual([
      [1, -1, 0.1],
      [2.1, 0, 0.2],
      [3, 0, 0.2]
    ]);
    expect(leftOut(text)).toEqual(['1 of arcs that are no whole circle']);
    const read = readDxf(text);
    expect(read.ok && read.found.outlines).toEqual([{ layer: 'E', x: 0, y: -4, w: 6, h: 4 }]);
  });

  it('counts what it leaves out, with why', () => {
    const layers =
      '0\nTABLE\n2\nLAYER\n70\n2\n0\nLAYER\n2\nOLD\n70\n1\n62\n7\n0\nLAYER\n2\nOFF\n70\n0\n62\n-7\n0\nENDTAB\n';
    const text = sections(
      block('TITLE_A4', circle(9, 9, 0.2)),
      circle(1, 1, 0.1) +
        circle(1, 2, 0) +
        circle(1, 3, -0.1) +
        circle(1, 4, 0.1).replace('8\nH', '8\nOLD') +
        circle(1, 5, 0.1).replace('8\nH', '8\nOFF') +
        circle(1, 6, 0.1, '67\n1\n') +
        circle(1, 7, 0.1, '210\n1\n220\n0\n230\n0\n') +
        '0\nINSERT\n8\nH\n2\nTITLE_A4\n10\n0\n20\n0\n' +
        '0\nTEXT\n8\nH\n10\n0\n20\n0\n40\n1\n1\nA\n0\nHATCH\n8\nH\n10\n0\n20\n0\n',
      layers
    );
    expect(holesOf(text)).toEqual([[1, -1, 0.2]]);
    expect(leftOut(text)).toEqual([
      '2 without a radius',
      '2 on layers that are frozen or off',
      '1 in paper space',
      '1 out of the drawing’s plane',
      '1 in a title block',
      '2 of other kinds (text, dimensions, hatching, curves)'
    ]);
  });

  it('makes no hole of what a block stretches, and gives up on blocks that hold themselves', () => {
    const oval = '0\nINSERT\n8\n0\n2\nTAB\n10\n0\n20\n0\n41\n2\n42\n1\n';
    expect(leftOut(sections(block('TAB', circle(2, 1, 0.05)), oval + circle(0, 0, 1)))).toEqual([
      '1 in blocks stretched one way'
    ]);
    const itself = '0\nINSERT\n8\n0\n2\nTAB\n10\n0\n20\n0\n';
    expect(leftOut(sections(block('TAB', itself), itself + circle(0, 0, 1)))).toEqual([
      '1 in blocks that hold themselves'
    ]);
    const burst = '0\nINSERT\n8\n0\n2\nTAB\n10\n0\n20\n0\n70\n9000\n71\n9000\n';
    expect(whyNot(readDxf(sections(block('TAB', circle(2, 1, 0.05)), burst)))).toMatch(
      /over 20000 entities/
    );
  });

  it('reads no number more loosely than a table’s: such an entity is left out and counted', () => {
    const places: [string, (n: string) => string][] = [
      ['circle', (n) => `0\nCIRCLE\n8\nH\n10\n${n}\n20\n1\n40\n0.05\n`],
      ['radius', (n) => `0\nCIRCLE\n8\nH\n10\n1\n20\n1\n40\n${n}\n`],
      ['point', (n) => `0\nPOINT\n8\nH\n10\n1\n20\n${n}\n`],
      ['arc', (n) => `0\nARC\n8\nH\n10\n1\n20\n1\n40\n0.05\n50\n0\n51\n${n}\n`],
      ['line', (n) => `0\nLINE\n8\nH\n10\n1\n20\n1\n11\n${n}\n21\n3\n`],
      ['plane polyline', (n) => `0\nLWPOLYLINE\n8\nH\n90\n2\n10\n0\n20\n${n}\n10\n1\n20\n1\n`],
      [
        'old polyline',
        (n) =>
          `0\nPOLYLINE\n8\nH\n0\nVERTEX\n8\nH\n10\n${n}\n20\n1\n0\nVERTEX\n8\nH\n10\n2\n20\n1\n0\nSEQEND\n`
      ],
      ['extrusion', (n) => `0\nCIRCLE\n8\nH\n10\n1\n20\n1\n40\n0.05\n230\n${n}\n`],
      ['visibility', (n) => `0\nCIRCLE\n8\nH\n60\n${n}\n10\n1\n20\n1\n40\n0.05\n`]
    ];
    for (const wrong of ['12,7', '0x10', '1 1/2', '4mm', '1e999', 'NaN', '', '1.2.3', '１２'])
      for (const [what, drawn] of places) {
        const text = dxf(drawn(wrong) + circle(9, 9, 0.1));
        expect(holesOf(text), `${what} ${wrong}`).toEqual([[9, -9, 0.2]]);
        expect(leftOut(text).join(), `${what} ${wrong}`).toMatch(/^1 (with a number|on layers)/);
      }
    // and what is one is read
    for (const [right, value] of [
      [' 12.7 ', 12.7],
      ['+.5', 0.5],
      ['-3.', -3],
      ['1E1', 10]
    ] as const)
      expect(holesOf(dxf(circle(right as never, 0, 0.1)))[0]?.[0], right).toBe(value);
  });

  it('refuses a unit that is no number, instead of guessing it', () => {
    for (const unit of ['4mm', '4,0', '0x4', '4.5', 'mm'])
      expect(whyNot(readDxf(dxf(CIRCLE, `9\n$INSUNITS\n70\n${unit}\n`)))).toMatch(
        /the unit of the drawing \(\$INSUNITS\) is a whole number/
      );
  });

  it('says where a file is not built as one, and never goes round in it', () => {
    const from = performance.now();
    const vertex = '0\nVERTEX\n8\nH\n10\n1\n20\n1\n';
    expect(whyNot(readDxf(dxf(`0\nPOLYLINE\n8\nH\n${vertex}${CIRCLE}`)))).toMatch(
      /line 11: a POLYLINE without its SEQEND/
    );
    expect(whyNot(readDxf(dxf(`0\nPOLYLINE\n8\nH\n${vertex}`)))).toMatch(/without its SEQEND/);
    const stray = '0\nTEXT\n8\nH\nstray\n10\n0\n20\n0\n1\nA\n';
    expect(whyNot(readDxf(dxf(stray + CIRCLE)))).toMatch(
      /line 15: the number of a group is expected; it reads "stray"/
    );
    const layer = '0\nTABLE\n2\nLAYER\n70\n1\n0\nLAYER\nstray\n2\nOLD\n70\n1\n0\nENDTAB\n';
    expect(whyNot(readDxf(sections('', CIRCLE, layer)))).toMatch(
      /the number of a group is expected/
    );
    expect(whyNot(readDxf(sections('0\nBLOCK\n2\nTAB\n', CIRCLE)))).toMatch(/without its ENDBLK/);
    expect(performance.now() - from).toBeLessThan(1000);
  });

  it('takes names of layers and blocks in any case as the same', () => {
    const off = '0\nTABLE\n2\nLAYER\n0\nLAYER\n2\nOff\n70\n0\n62\n-7\n0\nENDTAB\n';
    const text = sections(
      block('Tab', circle(2, 1, 0.05)),
      circle(1, 1, 0.1).replace('8\nH', '8\nOFF') +
        circle(1, 2, 0.1).replace('8\nH', '8\nSkin') +
        circle(1, 3, 0.1).replace('8\nH', '8\nSKIN') +
        '0\nINSERT\n8\nskin\n2\nTAB\n10\n0\n20\n0\n',
      off
    );
    const read = readDxf(text);
    expect(read.ok && read.found.holes.map(({ layer }) => layer)).toEqual(['Skin', 'Skin', 'H']);
    expect(leftOut(text)).toEqual(['1 on layers that are frozen or off']);
  });
});
