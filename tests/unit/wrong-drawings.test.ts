import { expect, it } from 'vitest';
import { seeded } from '../../src/core/devices/random.ts';
import { readDxf } from '../../src/lib/exchange/dxf/read-dxf.ts';
import { readHolesCsv } from '../../src/lib/exchange/read-holes-csv.ts';
import { mutatedText, pick } from '../../scripts/fuzz/mutate.ts';

const TABLES = ['x_in,y_in,d_in\n1,2,0.128\n3.5,2,0.128\n', 'x_mm;y_mm\n10,5;20\n30;40\n'];

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

/** ./zanjador fuzz asks for more. */
const COUNT = Number(process.env['WRONG_DRAWINGS'] ?? 2000);
const SEED = Number(process.env['WRONG_DRAWINGS_SEED'] ?? 1);

it('reads any drawing or table, however broken, or refuses it in words', () => {
  const read = { drawings: 0, refused: 0 };
  for (let at = 0; at < COUNT; at++) {
    const random = seeded(SEED * 1_000_003 + at);
    const isDrawing = random() < 0.6;
    const text = mutatedText(random, isDrawing ? DRAWING : pick(random, TABLES));
    const found = isDrawing ? readDxf(text) : readHolesCsv(text);
    if (found.ok) read.drawings += 1;
    else read.refused += 1;
    expect(() => JSON.stringify(found), text).not.toThrow();
  }
  // both happened: neither everything is taken nor everything refused
  expect(Math.min(read.drawings, read.refused)).toBeGreaterThan(COUNT / 100);
});
