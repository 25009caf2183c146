import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { csvParse } from 'd3';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { patternOf } from '../../src/core/exchange/pattern.ts';
import { tile } from '../../src/core/exchange/tiles.ts';
import { readJointFile } from '../../src/core/exchange/joint-file.ts';
import type { JointLayout } from '../../src/core/plan/plan-shape.ts';
import { DEFAULT_PROFILE } from '../../src/core/rules/profile.ts';
import { PLAIN_FILE, type FileWish, type JointFileName } from '../../src/lib/joint-files.ts';
import { addJob } from '../../src/lib/server/services/jobs.ts';
import { makeJointFile } from '../../src/lib/server/services/joint-files.ts';
import { addJoint } from '../../src/lib/server/services/joints.ts';
import { addProfile } from '../../src/lib/server/services/profiles.ts';
import { resultOf } from '../support/cases.ts';
import { definition, entered, layoutOf } from '../support/joints.ts';
import { useDatabase } from './database.ts';

const database = useDatabase();
const folder = mkdtempSync(join(tmpdir(), 'zanjador-files-'));
afterAll(() => rmSync(folder, { recursive: true }));

const LONG = [
  'line',
  ['0.032', '0.040'],
  {
    carries: 'attach',
    dash: 4,
    lengthIn: '26 3/8',
    flangeIn: '1',
    bendRadiusIn: '1/8',
    edits: [
      {
        id: 'latch',
        line: 'line-1',
        index: 2,
        of: 19,
        state: 'held-open',
        nudgeIn: '',
        reason: '=latch',
        drill: '#21',
        asRivets: false,
        blind: '',
        blindLeastIn: '',
        blindMostIn: ''
      }
    ]
  }
] as const;
/** the same with a flange so deep that a sheet of paper holds one length only */
const DEEP = { ...LONG[2], flangeIn: '4 1/2' };
const laidWith = (fields: object): JointLayout =>
  layoutOf(definition('line', [...LONG[1]], structuredClone(fields) as never));
const layout = laidWith(LONG[2]);
let joint = '';
let deep = '';

beforeAll(async () => {
  await addProfile(database(), DEFAULT_PROFILE);
  const job = await addJob(database(), { number: '7', title: 't', place: 'p', data: 'd' });
  if (!job.ok) throw new Error(job.message);
  const made = await addJoint(
    database(),
    job.value,
    'Rib 4 – flange (left)',
    entered('line', [...LONG[1]], structuredClone(LONG[2]) as never)
  );
  if (!made.ok) throw new Error(made.message);
  joint = made.value;
  const deeper = await addJoint(
    database(),
    job.value,
    'Rib 4 – flange (left)',
    entered('line', [...LONG[1]], structuredClone(DEEP) as never)
  );
  if (!deeper.ok) throw new Error(deeper.message);
  deep = deeper.value;
});

async function file(name: JointFileName, wish: Partial<FileWish> = {}, of = joint) {
  const made = await makeJointFile(database(), of, name, { ...PLAIN_FILE, ...wish });
  if (!made.ok) throw new Error(made.message);
  return made.value;
}

/** Circles of one page as another reader draws them: middle and size in points, from the curves themselves. */
function circlesOf(svg: string): { x: number; y: number; size: number }[] {
  return [...svg.matchAll(/<path[^>]* d="([^"]+)"([^>]*)>/g)].flatMap(([, d = '', after = '']) => {
    if ((d.match(/C/g) ?? []).length !== 4) return [];
    const numbers = (d.match(/-?\d+(\.\d+)?/g) ?? []).map(Number);
    const xs = numbers.filter((_, index) => index % 2 === 0);
    const ys = numbers.filter((_, index) => index % 2 === 1);
    const [a = 1, b = 0, c = 0, e = 1, tx = 0, ty = 0] = (
      /matrix\(([^)]+)\)/.exec(after)?.[1] ?? '1,0,0,1,0,0'
    )
      .split(/[, ]+/)
      .map(Number);
    const middle = (list: number[]) => (Math.min(...list) + Math.max(...list)) / 2;
    const [x, y] = [middle(xs), middle(ys)];
    return [
      {
        x: a * x + c * y + tx,
        y: b * x + e * y + ty,
        size: (Math.max(...xs) - Math.min(...xs)) * Math.hypot(a, b)
      }
    ];
  });
}

describe.each([
  ['a4', 'a sheet a piece', DEEP],
  ['letter', 'a sheet a piece', DEEP],
  ['a4', 'lengths to cut and tape', LONG[2]],
  ['letter', 'lengths to cut and tape', LONG[2]]
] as const)('the full-size pattern on %s, %s', (paper, how, fields) => {
  const lengths = how !== 'a sheet a piece';
  const path = join(folder, `${paper}-${fields.flangeIn.length}.pdf`);
  const layout = laidWith(fields);
  const tiling = resultOf(
    tile(patternOf({ layout, profile: DEFAULT_PROFILE, fixed: [], part: null }), paper)
  );
  beforeAll(async () =>
    writeFileSync(path, (await file('pattern.pdf', { paper }, lengths ? joint : deep)).body)
  );

  it('names its sheets and carries the check scale on each', () => {
    const pages = execFileSync('pdftotext', ['-layout', path, '-'], { encoding: 'utf8' })
      .split('\f')
      .filter((page) => page.trim() !== '');
    const [cover, ...sheets] = pages;
    expect(sheets).toHaveLength(tiling.pages);
    expect(tiling.tiles.length).toBeGreaterThan(2);
    expect(sheets).toHaveLength(lengths ? 1 : tiling.tiles.length);
    // what it is, which drill goes where, from where it is seen
    expect(cover).toMatch(/Rib 4 – flange \(left\), job 7, revision 1, all parts/);
    expect(cover).toMatch(/18 rivet holes \(1–2, 4–19\): drill #30, 0\.1285 in/);
    expect(cover).toMatch(/1 held open \(3\): drill #21, 0\.159 in/);
    expect(cover).toMatch(/manufactured head side/);
    expect(readFileSync(path, 'latin1')).toMatch(/\/PrintScaling \/?\(?None/);
    for (const page of sheets) {
      expect(page).toContain('100 mm: measure both');
      expect(page).toMatch(/4 in/);
    }
    if (lengths) {
      expect(sheets[0]).toMatch(/sheet 1 of 1: lengths A1, B1, C1/);
      expect(sheets[0]).toMatch(/length B of [CD]/);
      expect(cover).toMatch(/Cut the lengths out along the dashed lines/);
    } else expect(sheets[1]).toMatch(/sheet B1 of/);
    // each neighbor shows both match marks
    expect(sheets.join('').match(/A1\|B1/g)).toHaveLength(4);
    expect(pages.join('\n')).toContain('3 OPEN');
  });

  it('has every hole within 0.0005 in', () => {
    const found = tiling.tiles.flatMap(({ xIn, yIn, page, downIn }, index) => {
      const svg = join(folder, `${paper}-${how.length}-${index}.svg`);
      execFileSync('pdftocairo', [
        '-svg',
        // as a printer should: at 100 %
        '-noshrink',
        '-nocenter',
        '-f',
        String(page + 2),
        '-l',
        String(page + 2),
        path,
        svg
      ]);
      return circlesOf(readFileSync(svg, 'utf8')).map((circle) => ({
        xIn: circle.x / 72 - tiling.marginIn + xIn,
        yIn: circle.y / 72 - tiling.marginIn - downIn + yIn,
        diameterIn: circle.size / 72
      }));
    });
    for (const hole of layout.holes) {
      const near = found.filter(
        (circle) =>
          Math.abs(circle.diameterIn - (hole.state === 'held-open' ? 0.159 : 0.1285)) < 0.001 &&
          Math.hypot(circle.xIn - hole.xIn, circle.yIn - hole.yIn) < 0.0005
      );
      expect(near.length, `hole ${hole.number}`).toBeGreaterThanOrEqual(1);
    }
  });

  it('prints its check scale true: measured in pixels', () => {
    const DPI = 300;
    execFileSync('pdftoppm', [
      '-gray',
      '-r',
      String(DPI),
      '-f',
      '2',
      '-l',
      '2',
      path,
      join(folder, `${paper}-${how.length}-page`)
    ]);
    const raster =
      readdirSync(folder).find((name) => name.startsWith(`${paper}-${how.length}-page`)) ?? '';
    const bytes = readFileSync(join(folder, raster));
    const [, width = 0, height = 0] = (
      /^P5\s+(\d+)\s+(\d+)\s+255\s/.exec(bytes.subarray(0, 40).toString('latin1')) ?? []
    ).map(Number);
    const start = bytes.length - width * height;
    const black = (x: number, y: number) => (bytes[start + y * width + x] ?? 255) < 128;
    /** the longest black line of a pixel row, px */
    const longest = (y: number) => {
      let best = 0;
      for (let x = 0, run = 0; x < width; x++) {
        run = black(x, y) ? run + 1 : 0;
        best = Math.max(best, run);
      }
      return best;
    };
    // the foot lies below the drawing: the two bars are the longest lines there
    const foot = Math.floor((tiling.pageHIn - tiling.marginIn - 0.5) * DPI);
    const lengths = Array.from({ length: height - foot }, (_, row) => longest(foot + row));
    /** from tick to tick, middle to middle, a little above a bar */
    const tickToTick = (bar: number) => {
      const y = foot + lengths.indexOf(bar) - Math.round(0.07 * DPI);
      const ticks: number[] = [];
      for (let x = 0, from = -1; x <= width; x++) {
        if (black(x, y) && from < 0) from = x;
        else if (!black(x, y) && from >= 0) {
          ticks.push((from + x) / 2);
          from = -1;
        }
      }
      const first = ticks[0] ?? 0;
      // only the end ticks reach this high; writing begins beyond them
      return (ticks[1] ?? 0) - first;
    };
    const inchBar = Math.max(...lengths);
    const mmBar = Math.max(...lengths.filter((px) => px < inchBar - 5));
    expect(Math.abs(tickToTick(inchBar) / DPI - 4)).toBeLessThan(1.5 / DPI);
    expect(Math.abs((tickToTick(mmBar) / DPI) * 25.4 - 100)).toBeLessThan((1.5 * 25.4) / DPI);
  });
});

describe('other files out', () => {
  it('the table of marks reads back to the same places', async () => {
    const { body, name } = await file('marks.csv');
    expect(name).toBe('rib-4-flange-left-marks-in.csv');
    const rows = csvParse(String(body));
    expect(rows).toHaveLength(layout.drilled);
    rows.forEach((row, index) => {
      const hole = layout.holes[index];
      expect(Math.abs(Number(row.x_in) - (hole?.xIn ?? 9))).toBeLessThan(0.0005);
      expect(Math.abs(Number(row.y_in) - (hole?.yIn ?? 9))).toBeLessThan(0.0005);
      expect(Number(row.hole)).toBe(hole?.number);
    });
    expect(rows[2]).toMatchObject({ state: 'held open', rivet: '' });
    // what begins like a formula is kept from running in a spreadsheet
    expect(rows[2]?.reason).toBe("'=latch");
    expect(rows[0]).toMatchObject({ rivet: 'MS20470AD4-4', drill: '#30' });
  });

  it('one part alone names it; a part that is none is refused with those there are', async () => {
    const { name, body } = await file('pattern.dxf', { part: 'flange', unit: 'mm' });
    expect(name).toBe('rib-4-flange-left-flange-pattern-mm.dxf');
    expect(String(body)).toMatch(/^999\r\nRib 4 .* flange \(left\), job 7, revision 1, flange/);
    const refused = await makeJointFile(database(), joint, 'pattern.dxf', {
      ...PLAIN_FILE,
      part: 'wing'
    });
    expect(refused.ok ? '' : refused.message).toBe(
      'this joint has no part "wing"; its parts are flange'
    );
  });

  it('the joint file opens again as it was', async () => {
    const read = readJointFile(String((await file('joint.json')).body));
    expect(read.ok && read.file.definition).toEqual(
      entered('line', [...LONG[1]], structuredClone(LONG[2]) as never)
    );
  });

  it('a joint that cannot be read makes no pattern, and says why', async () => {
    const job = await addJob(database(), { number: '8', title: 't', place: 'p', data: 'd' });
    const made = await addJoint(
      database(),
      job.ok ? job.value : '',
      'x',
      entered('lap', ['0.4', '0.04'])
    );
    const refused = await makeJointFile(database(), made.ok ? made.value : '', 'pattern.dxf');
    expect(refused.ok ? '' : refused.message).toMatch(/decimal point|needed|expected/);
  });
});
