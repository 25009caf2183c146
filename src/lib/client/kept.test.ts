import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { z } from 'zod';
import { fakeBrowser, type FakeBrowser } from '../../../tests/support/browser.ts';

const Typed = z.object({ text: z.string().max(5) });
let browser: FakeBrowser;
/** A page of its own: the module is loaded anew, as a browser does. */
async function load(session?: Parameters<FakeBrowser['page']>[0]) {
  vi.resetModules();
  const own = browser.page(session);
  const { Kept } = await import('./kept.ts');
  return { session: own, kept: () => new Kept('typed.7', Typed) };
}
beforeEach(() => {
  browser = fakeBrowser((name, value) => vi.stubGlobal(name, value));
});
afterEach(() => vi.unstubAllGlobals());

/** The tab is gone: it holds no lock any more. */
const close = () => browser.locks.held.clear();

describe('what a browser keeps of unsaved work', () => {
  it('is found by the same tab after a reload, whoever asks first, by all who ask at once', async () => {
    const before = await load();
    const written = before.kept();
    await written.found();
    written.write({ text: 'typed' });
    close();
    const after = await load(before.session);
    const [a, b] = [after.kept(), after.kept()];
    const found = await Promise.all([a.found(), b.found()]);
    expect(found).toEqual([[{ text: 'typed' }], [{ text: 'typed' }]]);
    expect(browser.locks.held.size).toBe(1);
  });

  it('stays kept until it is written anew or forgotten', async () => {
    const before = await load();
    const written = before.kept();
    await written.found();
    written.write({ text: 'typed' });
    for (let times = 0; times < 3; times++) {
      close();
      expect(await (await load(before.session)).kept().found()).toEqual([{ text: 'typed' }]);
    }
    close();
    const last = (await load(before.session)).kept();
    await last.found();
    last.forget();
    close();
    expect(await (await load(before.session)).kept().found()).toEqual([]);
  });

  it('of a living tab is not taken, of one that is gone it is, once', async () => {
    const first = (await load()).kept();
    await first.found();
    first.write({ text: 'one' });
    const second = (await load()).kept();
    expect(await second.found()).toEqual([]);
    close();
    const third = (await load()).kept();
    expect(await third.found()).toEqual([{ text: 'one' }]);
    const fourth = (await load()).kept();
    expect(await fourth.found()).toEqual([]);
    // the third is gone before it wrote anything: what it took over is still there
    close();
    expect(await (await load()).kept().found()).toEqual([{ text: 'one' }]);
  });

  it('that cannot be read is told, never deleted and never written over', async () => {
    const before = await load();
    const written = before.kept();
    await written.found();
    written.write({ text: 'too long for this version' });
    close();
    const after = (await load(before.session)).kept();
    expect(await after.found()).toEqual([]);
    expect(after.unreadable).toEqual(['{"text":"too long for this version"}']);
    after.write({ text: 'new' });
    after.forget();
    expect([...browser.local.entries.values()]).toEqual(['{"text":"too long for this version"}']);
    close();
    const again = (await load(before.session)).kept();
    await again.found();
    expect(again.unreadable).toHaveLength(1);
  });

  it('what was typed before it was looked for is kept too', async () => {
    const { session, kept } = await load();
    const early = kept();
    early.write({ text: 'early' });
    await early.found();
    close();
    expect(await (await load(session)).kept().found()).toEqual([{ text: 'early' }]);
  });

  it('storage that is full loses nothing that was there', async () => {
    const { kept } = await load();
    const first = kept();
    await first.found();
    first.write({ text: 'one' });
    close();
    browser.local.full = true;
    const second = (await load()).kept();
    expect(await second.found()).toEqual([{ text: 'one' }]);
    second.write({ text: 'two' });
    expect([...browser.local.entries.values()]).toEqual(['{"text":"one"}']);
  });
});
