import type { Page } from '@playwright/test';
import { SPAR_CAP } from '../../scripts/demo-data.ts';
import { DRIVE } from '../../src/lib/words/pages/drive.ts';
import { COMMON } from '../../src/lib/words/pages/common.ts';
import { CHECK } from '../../src/lib/words/pages/inspect.ts';
import { answerAccess, firstPress, expect, openOwn, test, headNow } from './app.ts';

/** What the picture really shows of a head and of the scale, in its own pixels. */
async function truth(page: Page, number: number) {
  const href = (await page.getByTestId('camera').locator('image').getAttribute('href')) ?? '';
  const svg = Buffer.from(href.split(',')[1] ?? '', 'base64').toString('utf8');
  const heads = svg.matchAll(
    /<ellipse cx="([\d.]+)" cy="([\d.]+)" rx="([\d.]+)" ry="([\d.]+)" fill="url\(#head\)".*?>(\d+)<\/text>/g
  );
  const head = [...heads].find(([, , , , , of]) => Number(of) === number);
  const scale = /<rect x="([\d.]+)" y="([\d.]+)" width="([\d.]+)" height="44"/.exec(svg);
  const [x, y, rx, ry] = (head ?? []).slice(1, 5).map(Number);
  const [left, top, width] = (scale ?? []).slice(1, 4).map(Number);
  if (!x || !y || !rx || !ry || !left || !top || !width) throw new Error('no head in the picture');
  return { x, y, radius: (rx + ry) / 2, left, top, width };
}

/** Drags something of the picture to a place in it. */
async function dragTo(page: Page, handle: string, from: [number, number], to: [number, number]) {
  await expect(page.getByTestId('circle')).toHaveAttribute('data-gestures', '');
  const box = await page.getByTestId('camera').boundingBox();
  if (!box) throw new Error(`nothing to drag: ${handle}`);
  const at = ([x, y]: [number, number]): [number, number] => [
    box.x + (x * box.width) / 960,
    box.y + (y * box.width) / 960
  ];
  await page.mouse.move(...at(from));
  await page.mouse.down();
  await page.mouse.move(...at(to), { steps: 6 });
  await page.mouse.up();
}

test('a head inside a closed member is measured in the camera’s picture, and Check knows how closely', async ({
  page,
  app
}) => {
  await openOwn(page, app, SPAR_CAP, 'drive');
  await page.getByRole('button', { name: DRIVE.releaseItAndStartDriving }).click();
  await page.getByRole('button', { name: DRIVE.howDoesOneGetAt }).click();
  await answerAccess(page, { closedMember: 'yes' });
  await page.getByTestId('rod-left').click();
  await page.getByLabel(DRIVE.outsideHeightDatumEnd).fill('2.39');
  await page.getByLabel(DRIVE.outsideHeightFarEnd).fill('1.8');
  await page.getByLabel(DRIVE.bothWallsTogetherDatumEnd).fill('0.29');
  await page.getByLabel(DRIVE.bothWallsTogetherFarEnd).fill('0.2');
  await page.getByLabel(DRIVE.rodAndBarOffset).fill('3 1/2');
  await page.getByRole('button', { name: COMMON.keepIt }).click();
  const member = page.getByTestId('member');
  await expect(member).toContainText('for rivet 1');
  await firstPress(page, () => page.keyboard.press('Space'));
  await page.keyboard.press('Space');
  await expect(page.getByTestId('member-looks')).toContainText('2 driven, 0 seen by camera');

  await member.getByTestId('open-camera').click();
  await expect(page.getByTestId('camera')).toBeVisible();
  const reading = page.getByTestId('camera-reading');
  const send = page.getByRole('button', { name: DRIVE.sendItToCheck });
  await expect(reading).toContainText(DRIVE.layOnTheCircleAnd);
  await expect(send).toBeDisabled();

  const real = await truth(page, 1);
  const circle = page.getByTestId('circle');
  const radius = async () => Number(await circle.getAttribute('data-radius'));
  await dragTo(page, 'circle', [480, 288], [real.x, real.y]);
  const before = await radius();
  await dragTo(page, 'size', [real.x + before, real.y], [real.x + real.radius, real.y]);
  // the rest by keys
  await circle.focus();
  for (let presses = 0; presses < 60; presses++) {
    const now = await radius();
    if (Math.abs(now - real.radius) <= 0.3) break;
    await page.keyboard.press(now < real.radius ? '+' : '-');
  }
  await expect(reading).toContainText(DRIVE.nowTheMarksOnThe);
  for (const [end, target] of [
    ['right', real.left + real.width],
    ['left', real.left]
  ] as const) {
    const mark = page.getByRole('slider', { name: new RegExp(`^${end} end`) });
    await mark.focus();
    for (let presses = 0; presses < 200; presses++) {
      const off = target - Number(await mark.getAttribute('data-at'));
      if (Math.abs(off) <= 0.3) break;
      const key = off > 0 ? 'ArrowRight' : 'ArrowLeft';
      await page.keyboard.press(Math.abs(off) > 8 ? `Shift+${key}` : key);
    }
  }
  await expect(reading).toContainText('±');
  const [, wide, off] =
    /([\d.]+) in ± ([\d.]+) in wide/.exec((await reading.textContent()) ?? '') ?? [];
  // dash 6 is 0.09375 high, the lens 2.5 off: 0.01875 less than it looks
  const looks = ((2 * real.radius) / real.width) * 0.5;
  expect(Number(wide)).toBeCloseTo(looks * (1 - 0.01875), 2);
  expect(Number(off)).toBeLessThan(0.015);
  await send.click();
  await expect(page.getByTestId('camera-sent')).toContainText('practice');
  await page.getByTestId('camera-next').click();
  // another picture: laid on anew
  await expect(reading).toContainText(DRIVE.layOnTheCircleAnd);
  await page.keyboard.press('Escape');
  // nothing was logged by keys pressed in the dialog
  await expect(page.getByTestId('member-looks')).toContainText('2 driven, 1 seen by camera');

  await page.goto(page.url().replace('/drive', '/inspect'));
  await expect(page.getByTestId('seen-by-camera')).toContainText(`${wide} in ± ${off} in wide`);
  await expect(page.getByTestId('seen-by-camera')).toContainText(
    CHECK.simulatedCameraPracticeNotFor
  );
  // it counts until it is said to be false
  await page.getByTestId('void-camera').click();
  await page.getByLabel(CHECK.whyItIsFalse).fill('a shadow over the edge');
  await page.getByRole('button', { name: CHECK.voidThisLook }).click();
  await expect(page.getByTestId('seen-by-camera')).toHaveCount(0);
  await page.reload();
  await expect(headNow(page, 1)).toBeVisible();
  await expect(page.getByTestId('seen-by-camera')).toHaveCount(0);
});
