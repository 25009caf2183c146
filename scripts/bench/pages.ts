/// <reference lib="dom" />
import { chromium, type Browser, type BrowserContext, type Page } from '@playwright/test';
import type { Served } from './server.ts';
import { rowsOf } from '../../src/lib/server/db/transaction.ts';

/** What a page costs the first time it is opened. */
interface Cost {
  requests: number;
  scriptBytes: number;
  styleBytes: number;
  pageBytes: number;
}

/** Everything asked for until the page listens: what comes when it has nothing else to do keeps nobody waiting. */
async function costOf(context: BrowserContext, url: string): Promise<Cost> {
  const page = await context.newPage();
  await page.addInitScript(() => {
    new MutationObserver(() => {
      if (document.documentElement.dataset['awake'] !== undefined) performance.mark('awake');
    }).observe(document, { attributes: true, subtree: true, attributeFilter: ['data-awake'] });
  });
  await page.goto(url);
  await page.waitForLoadState('networkidle');
  const cost = await page.evaluate(() => {
    const awake = performance.getEntriesByName('awake')[0]?.startTime ?? Infinity;
    const before = (performance.getEntriesByType('resource') as PerformanceResourceTiming[]).filter(
      ({ startTime }) => startTime < awake
    );
    const [document] = performance.getEntriesByType('navigation') as PerformanceResourceTiming[];
    const sum = (ending: string) =>
      before
        .filter(({ name }) => name.endsWith(ending))
        .reduce((bytes, { encodedBodySize }) => bytes + encodedBodySize, 0);
    return {
      requests: before.filter(({ name }) => name.endsWith('.js')).length,
      scriptBytes: sum('.js'),
      styleBytes: sum('.css'),
      pageBytes: document?.encodedBodySize ?? 0
    };
  });
  await page.close();
  return cost;
}

/** Milliseconds from a key to the frame that shows it, for one field typed into again and again. */
async function keyToFrame(page: Page, label: string, texts: string[]): Promise<number[]> {
  const field = page.getByLabel(label).first();
  await field.waitFor();
  return field.evaluate(async (input: HTMLInputElement, typed: string[]) => {
    const times: number[] = [];
    const frame = () => new Promise<void>((resolve) => requestAnimationFrame(() => resolve()));
    const painted = () =>
      new Promise<void>((resolve) => {
        const { port1, port2 } = new MessageChannel();
        port1.onmessage = () => resolve();
        requestAnimationFrame(() => port2.postMessage(null));
      });
    for (const text of typed) {
      await frame();
      const from = performance.now();
      input.value = text;
      input.dispatchEvent(new Event('input', { bubbles: true }));
      await painted();
      times.push(performance.now() - from);
      await new Promise((resolve) => setTimeout(resolve, 30));
    }
    return times;
  }, texts);
}

const at = (times: readonly number[], share: number): number =>
  [...times].sort((a, b) => a - b)[Math.floor((times.length - 1) * share)] ?? NaN;
const ms = (time: number): string => `${time.toFixed(0)} ms`;

const kB = (bytes: number): string => `${(bytes / 1000).toFixed(0)} kB`;

const STATIONS: [station: string, field: string, texts: (index: number) => string][] = [
  ['size', 'Joint width', (index) => String(72 - (index % 4) * 0.25)],
  ['layout', 'Target pitch', (index) => String(0.36 + (index % 4) * 0.005)],
  ['stack-up', 'Thickness of sheet 1', (index) => (0.02 + (index % 4) * 0.001).toFixed(3)]
];
const KEYS = 60;
const FRAME_MS = 1000 / 60;

async function visiting(browser: Browser, { headers, url }: Served): Promise<BrowserContext> {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const [name = '', value = ''] = headers['cookie']?.split('=') ?? [];
  await context.addCookies([{ name, value, url }]);
  return context;
}

/** First visit and typing, in Debian's own browser. */
export async function browserRows(served: Served, jointId: string): Promise<string[]> {
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium-headless-shell',
    args: ['--no-sandbox', '--disable-gpu']
  });
  try {
    const lines: string[] = [];
    const [demo] = await rowsOf<{ id: string }>(
      served.database,
      'select joint_id as id from joint_issues limit 1'
    );
    for (const station of ['size', 'layout', 'stack-up', 'prepare', 'inspect']) {
      // nobody has been there before
      const visitor = await visiting(browser, served);
      const cost = await costOf(visitor, `${served.url}/joints/${demo?.id ?? ''}/${station}`);
      lines.push(
        `| first visit, ${station} | ${cost.requests} scripts | ${kB(cost.scriptBytes)} | ${kB(cost.styleBytes)} | ${kB(cost.pageBytes)} |`
      );
    }
    const page = await (await visiting(browser, served)).newPage();
    const typing: string[] = [];
    for (const [station, field, text] of STATIONS) {
      await page.goto(`${served.url}/joints/${jointId}/${station}`);
      await page.waitForLoadState('networkidle');
      const keys = Array.from({ length: KEYS }, (_, index) => text(index));
      const times = await keyToFrame(page, field, keys);
      const [middle, slow] = [at(times, 0.5), at(times, 0.95)];
      typing.push(`| ${station} | ${ms(middle)} | ${ms(slow)} | ${(slow / FRAME_MS).toFixed(1)} |`);
    }
    return [
      '## In the browser',
      '',
      'What a first visit loads until the page answers to keys; the other stations and Carry’s charts come after.',
      '',
      '| page | requests | script | style | page itself |',
      '|---|---|---|---|---|',
      ...lines,
      '',
      'Typing into a joint of 600 holes, from the key to the frame that shows it:',
      '',
      '| station | middle | slow twentieth | in frames of 60 a second |',
      '|---|---|---|---|',
      ...typing,
      ''
    ];
  } finally {
    await browser.close();
  }
}
