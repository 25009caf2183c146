import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import DxfParser from 'dxf-parser';
import { LAYOUT } from '../../src/lib/words/pages/layout.ts';
import { KIT } from '../../src/lib/words/pages/kit.ts';
import { COMMON } from '../../src/lib/words/pages/common.ts';
import { JOBS } from '../../src/lib/words/pages/jobs.ts';
import { beginJoint, expect, figure, holes, openDemo, saved, test, toStation } from './app.ts';

async function download(page: Page, name: string): Promise<{ name: string; path: string }> {
  const waiting = page.waitForEvent('download');
  await page.getByRole('button', { name }).click();
  const file = await waiting;
  return { name: file.suggestedFilename(), path: await file.path() };
}
const give = (page: Page, name: string, text: string | Buffer) =>
  page
    .locator('[role=dialog] input[type=file]')
    .filter({ visible: true })
    .setInputFiles({ name, mimeType: 'application/octet-stream', buffer: Buffer.from(text) });

test('every file goes out, and the joint file comes back in', async ({ page, app }) => {
  await openDemo(page, app, /Frame 11 flange/, 'layout');
  await page.getByRole('button', { name: LAYOUT.files }).click();

  await page.getByText(KIT.letter, { exact: true }).click();
  const pdf = await download(page, 'Full-size pattern, PDF');
  expect(pdf.name).toBe('frame-11-flange-to-skin-pattern-letter.pdf');
  expect(readFileSync(pdf.path).subarray(0, 5).toString()).toBe('%PDF-');

  const dxf = await download(page, 'Pattern, DXF');
  const circles = (
    new DxfParser().parseSync(readFileSync(dxf.path, 'utf8'))?.entities ?? []
  ).filter((entity) => entity.type === 'CIRCLE' && ['HOLES', 'EXISTING'].includes(entity.layer));
  expect(circles).toHaveLength(16);

  // in millimetres
  await page.getByTestId('unit-mm').click();
  const mm = await download(page, 'Pattern, DXF');
  const inMm = new DxfParser().parseSync(readFileSync(mm.path, 'utf8'));
  expect(inMm?.header.$INSUNITS).toBe(4);
  await page.getByTestId('unit-in').click();
  // what cannot be made is refused, with what can
  const id = /joints\/([^/]+)/.exec(page.url())?.[1] ?? '';
  const refused = await page.request.get(`${app.url}/api/joints/${id}/files/pattern.pdf?paper=a3`);
  expect(refused.status()).toBe(400);
  expect(await refused.text()).toContain('paper is a4 or letter');

  const csv = await download(page, 'Marks, CSV');
  expect(readFileSync(csv.path, 'utf8').trim().split('\r\n')).toHaveLength(18);

  const svg = await download(page, 'Pattern, SVG');
  const drawn = await page.evaluate(
    (text) => {
      const root = new DOMParser().parseFromString(text, 'image/svg+xml').documentElement;
      return [...root.querySelectorAll('#HOLES circle, #EXISTING circle')].map((circle) => [
        Number(circle.getAttribute('cx')) / 1000,
        Number(circle.getAttribute('cy')) / 1000
      ]);
    },
    readFileSync(svg.path, 'utf8')
  );
  const table = readFileSync(csv.path, 'utf8')
    .trim()
    .split('\r\n')
    .map((line) => line.split(','));
  const column = (name: string) => table[0]?.indexOf(name) ?? -1;
  const places = table
    .slice(1)
    .filter((row) => row[column('state')] !== 'held open')
    .map((row) => [Number(row[column('x_in')]), Number(row[column('y_in')])]);
  const inOrder = (list: (number | undefined)[][]) =>
    list.toSorted((a, b) => (a[0] ?? 0) - (b[0] ?? 0));
  expect(drawn).toHaveLength(places.length);
  const found = inOrder(drawn);
  inOrder(places).forEach(([x, y], index) => {
    expect(Math.abs((x ?? 0) - (found[index]?.[0] ?? 9))).toBeLessThan(0.0005);
    expect(Math.abs((y ?? 0) - (found[index]?.[1] ?? 9))).toBeLessThan(0.0005);
  });

  const file = await download(page, 'The joint as a file');
  await page.getByRole('button', { name: COMMON.close }).click();
  // a new joint made of it on the job's page
  await page.getByRole('link', { name: /Job 0318/ }).click();
  await page.locator('input[name=file]').setInputFiles(file.path);
  await page.getByRole('button', { name: JOBS.openIt }).click();
  await page.waitForURL(/\/size$/);
  await toStation(page, 2);
  await expect(holes(page)).toHaveCount(17);
  await expect(page.locator('[data-kind="held-open"]')).toHaveCount(1);

  // and opened over another one, one undo away
  await page.getByRole('button', { name: LAYOUT.files }).click();
  await give(
    page,
    'other.json',
    readFileSync(file.path, 'utf8').replace('"lengthIn": "19 1/4"', '"lengthIn": "12"')
  );
  await expect(page.getByText('imported')).toBeVisible();
  await page.getByRole('button', { name: COMMON.close }).click();
  await page.keyboard.press('Control+z');
  await expect(holes(page)).toHaveCount(17);
});

test('wrong and hostile files are refused in words, and nothing is lost', async ({ page, app }) => {
  await openDemo(page, app, /Hull side, flush patch/, 'layout');
  await page.getByRole('button', { name: LAYOUT.files }).click();
  for (const [name, text, said] of [
    ['cut.json', '{"format":"zanjador-joint",', /not JSON/],
    ['other.json', '{"a":1}', /not a joint file/],
    ['large.json', Buffer.alloc(5 * 1024 * 1024 + 1, 32), /up to 5 MB/],
    ['empty.json', '', /empty/]
  ] as const) {
    await give(page, name, text);
    await expect(page.getByText(said)).toBeVisible();
  }
  await page.getByRole('button', { name: COMMON.close }).click();
  await page.getByRole('button', { name: LAYOUT.pickUpExistingHoles }).click();
  await page.getByText(LAYOUT.aDrawingOrTable).click();
  for (const [name, text, said] of [
    ['bad.dxf', 'MZ\u0000\u0001', /no DXF file/],
    ['cut.dxf', '0\nSECTION\n2\nENTITIES\n0\nCIRCLE\n10', /cannot be read|nothing to pick up/],
    ['bad.csv', 'a,b\n1,2\n', /must name the columns/],
    ['line.csv', 'x_in,y_in\n1,two\n', /line 2 has no place/],
    ['picture.png', 'PNG', /only .dxf and .csv/],
    ['large.csv', Buffer.alloc(5 * 1024 * 1024 + 1, 49), /up to 5 MB/]
  ] as const) {
    await give(page, name, text);
    await expect(page.getByText(said)).toBeVisible();
  }
  await page.getByRole('button', { name: COMMON.close }).click();
  await expect(figure(page, 'Holes')).toContainText('72');
});

test('existing holes come in from DXF and CSV', async ({ page, app }) => {
  await beginJoint(page, app, 'line', 'Old flange', ['0.032', '0.040']);
  await page.getByTestId('asked-lengthIn').fill('10');
  await page.getByTestId('asked-flangeIn').fill('1');
  await page.getByTestId('asked-bendRadiusIn').fill('1/8');
  await page.getByTestId('asked-carries-attach').click();
  await toStation(page, 2);
  await page.getByRole('button', { name: LAYOUT.pickUpExistingHoles }).click();
  await page.getByText(LAYOUT.aDrawingOrTable).click();
  // millimetres, y up: 2 in and 5 in along, 9/32 down; and one far off
  const circle = (x: number, y: number) => `0\nCIRCLE\n8\n0\n10\n${x}\n20\n${y}\n40\n1.6\n`;
  const body = circle(50.8, -7.14375) + circle(127, -7.14375) + circle(50.8, 60);
  await give(page, 'old.dxf', `0\nSECTION\n2\nENTITIES\n${body}0\nENDSEC\n0\nEOF\n`);
  await page.getByTestId('unit-mm').click();
  await expect(page.getByTestId('found-preview')).toBeVisible();
  // another file: what is left out is said, the unit it names is shown and can be changed, layers are chosen
  const other =
    circle(25.4, -7.14375) +
    circle(30, -7.14375).replace('8\n0', '8\nBOLTS') +
    circle(0, 0).replace('1.6', '0');
  await give(
    page,
    'layers.dxf',
    `0\nSECTION\n2\nHEADER\n9\n$INSUNITS\n70\n4\n0\nENDSEC\n0\nSECTION\n2\nENTITIES\n${other}0\nENDSEC\n0\nEOF\n`
  );
  await expect(page.getByTestId('left-out')).toContainText('1 without a radius');
  await expect(page.getByRole('radio', { name: 'millimeters' })).toBeChecked();
  await expect(page.getByTestId('take-up')).toBeVisible();
  await page.getByRole('checkbox', { name: /BOLTS/ }).uncheck();
  await expect(page.getByTestId('take-up')).toBeVisible();
  await give(page, 'old.dxf', `0\nSECTION\n2\nENTITIES\n${body}0\nENDSEC\n0\nEOF\n`);
  await page.getByTestId('unit-mm').click();
  await page.getByTestId('take-up').click();
  await expect(page.getByText('2 fixed holes added')).toBeVisible();
  await expect(page.getByText('1 hole not on a rivet row')).toBeVisible();
  await give(page, 'more.csv', 'x_in,y_in\n7.5,0.28125\n');
  await page.getByTestId('take-up').click();
  await page.getByRole('button', { name: COMMON.close }).click();
  await expect(page.locator('[data-kind="existing"]')).toHaveCount(3);
  await expect(page.getByTestId('existing-at').nth(1)).toHaveValue('5');
  await saved(page);
});
