import type { StationKey } from '../../src/lib/stations/stations.ts';
import { BENCH } from '../../src/lib/words/pages/bench.ts';
import { expect, openDemo, test } from './app.ts';

/** What somebody who hears the page meets at each station, in its order. */
const STATIONS: [StationKey, RegExp[]][] = [
  [
    'size',
    [
      /heading "Bottom skin lap, bay 9: Size"/,
      /region "Answers"/,
      /combobox "Thickness of sheet 1"/
    ]
  ],
  [
    'layout',
    [
      /heading "Bottom skin lap, bay 9: Layout"/,
      /application "Plan view to scale/,
      /complementary "Worksheet"/,
      /region "Running marks"/
    ]
  ],
  [
    'stack-up',
    [
      /heading "Bottom skin lap, bay 9: Stack-up"/,
      /img "Section through one rivet/,
      /slider "Driven height"/,
      /tab "Lengths"/
    ]
  ],
  [
    'prepare',
    [
      /heading "Bottom skin lap, bay 9: Prepare"/,
      /progressbar "Preparation progress"/,
      /button "Full screen"/
    ]
  ],
  [
    'inspect',
    [
      /heading "Bottom skin lap, bay 9: Inspect"/,
      /group "Hole map by result"/,
      /button "hole 1, accepted"/,
      /table "Heads measured"/,
      /textbox "Diameter"/
    ]
  ],
  ['drive', [/heading .*Drive/]],
  ['sign', [/heading .*Sign/]]
];

for (const [station, meets] of STATIONS)
  test(`the tree of ${station} names what it holds`, async ({ page, app }) => {
    await openDemo(page, app, /Bottom skin lap/, station);
    await expect(page.getByRole('heading', { level: 1 })).toHaveCount(1);
    const main = page.locator('main');
    await expect(main.getByRole('navigation', { name: BENCH.stations })).toBeVisible();
    for (const what of meets)
      await expect.poll(() => main.ariaSnapshot(), { message: String(what) }).toMatch(what);
    // nothing that can be pressed is without a name
    const tree = await main.ariaSnapshot();
    expect(
      tree
        .split('\n')
        .filter((line) => /- (button|link|textbox|slider|combobox)( \[|$|:)/.test(line))
    ).toEqual([]);
  });
