import { expect, openDemo, test } from './app.ts';
import { STATIONS } from '../../src/lib/stations/stations.ts';

/**
 * What a first visit to a joint may ask for before it listens: sizes are not noisy. Compressed script, kB, as it stands; a
 * heavier page is a choice somebody makes, not something that happens.
 */
const MOST_SCRIPT_KB = {
  size: 238,
  layout: 262,
  'stack-up': 282,
  prepare: 260,
  drive: 266,
  inspect: 285,
  sign: 235
};
const MOST_SCRIPTS = 20;
const MOST_STYLE_KB = 20;

test('a first visit to a joint is as light as it was', async ({ page, app, browser }) => {
  await openDemo(page, app, /Bottom skin lap, bay 9/, 'layout');
  const joint = new URL(page.url()).pathname.split('/')[2];
  for (const { key } of STATIONS) {
    // nobody has been there before
    const visitor = await browser.newContext({ storageState: await page.context().storageState() });
    const first = await visitor.newPage();
    await first.addInitScript(() =>
      new MutationObserver((_, watch) => {
        if (document.documentElement.dataset['awake'] === undefined) return;
        performance.mark('awake');
        watch.disconnect();
      }).observe(document, { attributes: true, subtree: true, attributeFilter: ['data-awake'] })
    );
    await first.goto(`${app.url}/joints/${joint}/${key}`);
    await first.waitForLoadState('networkidle');
    const loaded = await first.evaluate(() => {
      const awake = performance.getEntriesByName('awake')[0]?.startTime ?? Infinity;
      return (performance.getEntriesByType('resource') as PerformanceResourceTiming[])
        .filter(({ startTime }) => startTime < awake)
        .map(({ name, encodedBodySize }) => ({ name, bytes: encodedBodySize }));
    });
    const of = (ending: string) => loaded.filter(({ name }) => name.endsWith(ending));
    const kB = (ending: string) => of(ending).reduce((sum, { bytes }) => sum + bytes, 0) / 1000;
    expect(kB('.js'), `${key}: no script was counted`).toBeGreaterThan(100);
    expect(kB('.js'), `${key}: script, kB`).toBeLessThan(MOST_SCRIPT_KB[key]);
    expect(of('.js').length, `${key}: scripts`).toBeLessThanOrEqual(MOST_SCRIPTS);
    expect(kB('.css'), `${key}: style, kB`).toBeLessThan(MOST_STYLE_KB);
    await visitor.close();
  }
});
