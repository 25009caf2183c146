import { expect, it } from 'vitest';
import { seeded } from '../../src/core/devices/random.ts';
import { readDxf } from '../../src/lib/exchange/dxf/read-dxf.ts';
import { readHolesCsv } from '../../src/lib/exchange/read-holes-csv.ts';
import { readStockCsv } from '../../src/lib/exchange/stock-csv.ts';
import { jointFile, readJointFile } from '../../src/core/exchange/joint-file.ts';
import { DEFAULT_PROFILE } from '../../src/core/rules/profile.ts';
import { entered } from '../support/joints.ts';
import { mutatedText, pick } from '../../scripts/fuzz/mutate.ts';

const TABLES = ['x_in,y_in,d_in\n1,2,0.128\n3.5,2,0.128\n', 'x_mm;y_mm\n10,5;20\n30;40\n'];

const CIRCLES = `0
SECTION
2
ENTITIES
${[3, 5, 7, 11].map((at) => `0\nCIRCLE\n8\nH\n10\n${at}.125\n20\n${at}.25\n40\n0.064\n`).join('')}0
ENDSEC
0
EOF
`;

/** A small drawing of circles, a polyline and a block, in millimeters. */
const DRAWING = `0
SECTION
2
HEADER
9
$INSUNITS
70
4
0
ENDSEC
0
SECTION
2
BLOCKS
0
BLOCK
2
HOLE
10
0
20
0
0
CIRCLE
8
0
10
0
20
0
40
1.6
0
ENDBLK
0
ENDSEC
0
SECTION
2
ENTITIES
0
CIRCLE
8
holes
10
12.5
20
7
40
1.6
0
INSERT
2
HOLE
10
40
20
7
41
2
50
30
0
LWPOLYLINE
90
3
70
1
10
0
20
0
42
1
10
3
20
0
0
ENDSEC
0
EOF
`;

/** What a store hands over. */
const STOCK =
  'part_number,lot,place,cold,count\nMS20470AD4-5,L-9,drawer 4,no,120\nMS20426DD5-8,L-3,icebox,yes,40\n';
const JOINT = JSON.stringify(
  jointFile('Lap', entered('lap', ['0.040', '0.050'], { widthIn: '6' }), DEFAULT_PROFILE)
);

/** Each kind of file that is taken in, and what reads it. */
const KINDS: readonly {
  kind: string;
  texts: readonly string[];
  read: (text: string) => { ok: boolean };
}[] = [
  { kind: 'drawing', texts: [DRAWING], read: readDxf },
  { kind: 'table of holes', texts: TABLES, read: readHolesCsv },
  { kind: 'table of stock', texts: [STOCK], read: (text) => readStockCsv(text, 'received', []) },
  { kind: 'joint file', texts: [JOINT], read: readJointFile }
];

/** ./zanjador fuzz asks for more. */
const COUNT = Number(process.env['WRONG_FILES'] ?? 800);
const SEED = Number(process.env['WRONG_FILES_SEED'] ?? 1);
/** Nobody waits longer for a file. */
const LONGEST_MS = 1000;

it.each(KINDS)(
  'reads any $kind, however broken, or refuses it in words, within a second',
  ({ texts, read }) => {
    const sums = { read: 0, refused: 0 };
    for (let at = 0; at < COUNT; at++) {
      const random = seeded(SEED * 1_000_003 + at);
      const text = mutatedText(random, pick(random, texts));
      const from = performance.now();
      const found = read(text);
      expect(performance.now() - from, text).toBeLessThan(LONGEST_MS);
      if (found.ok) sums.read += 1;
      else sums.refused += 1;
      expect(() => JSON.stringify(found), text).not.toThrow();
    }
    // both happened: neither everything is taken nor everything refused
    expect(Math.min(sums.read, sums.refused)).toBeGreaterThan(COUNT / 200);
  },
  LONGEST_MS * 120
);

it(
  'reads no number of a drawing that does not stand in it',
  () => {
    const NUMBER = /^\s*[+-]?(\d+\.?\d*|\.\d+)(e[+-]?\d{1,3})?\s*$/i;
    let holes = 0;
    for (let at = 0; at < COUNT; at++) {
      const random = seeded(SEED * 7_000_003 + at);
      // circles alone: what is read of them is what stands there, and nothing is reckoned of it
      const text = mutatedText(random, CIRCLES);
      const read = readDxf(text);
      if (!read.ok) continue;
      const stand = new Set(
        text.split(/\r\n|\r|\n/).flatMap((line) => (NUMBER.test(line) ? [Number(line)] : []))
      );
      for (const { x, y, diameter } of read.found.holes) {
        holes += 1;
        for (const value of [
          Math.abs(x),
          Math.abs(y),
          ...(diameter === null ? [] : [diameter / 2])
        ])
          expect(stand.has(value) || stand.has(-value), `${value} in\n${text}`).toBe(true);
      }
    }
    expect(holes).toBeGreaterThan(COUNT / 3);
  },
  LONGEST_MS * 120
);
