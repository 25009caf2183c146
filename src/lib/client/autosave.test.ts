import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { fakeBrowser, type FakeBrowser } from '../../../tests/support/browser.ts';
import { entered } from '../../../tests/support/joints.ts';

const lap = entered('lap', ['0.040', '0.040'], { widthIn: '7 3/4' });
let browser: FakeBrowser;
let answers: (() => Promise<Response>)[] = [];
let saves: { baseRevision: number; title: string }[] = [];
const saved = (revision: number) => () =>
  Promise.resolve(Response.json({ saved: true, revision, savedAt: '2026-03-04T10:00:00Z' }));

beforeEach(() => {
  vi.useFakeTimers();
  browser = fakeBrowser((name, value) => vi.stubGlobal(name, value));
  answers = [];
  saves = [];
  vi.stubGlobal('fetch', (path: string, { body }: { body: string }) => {
    // what another store of this worker still had to send is none of these saves
    if (path.startsWith('/api/events/')) return Promise.resolve(Response.json([]));
    saves.push(JSON.parse(body) as (typeof saves)[number]);
    return (answers.shift() ?? saved(2))();
  });
});
afterEach(() => {
  vi.unstubAllGlobals();
  vi.useRealTimers();
});

/** Typing that this browser holds; another store of this worker may still note what it sent. */
const keptTyping = () =>
  [...browser.local.entries.keys()].filter((key) => key.startsWith('zanjador.unsaved.')).length;

async function open(session?: Parameters<FakeBrowser['page']>[0]) {
  vi.resetModules();
  const own = browser.page(session);
  const { Autosave } = await import('./autosave.svelte.ts');
  const document = { title: 'Float lap', definition: lap };
  const save = new Autosave('j1', 1, '2026-03-04T09:00:00Z', () => document);
  const kept = await save.keptTyping();
  return { session: own, document, save, kept };
}

describe('saving as one types', () => {
  it('sends a moment after typing stops, once, upon the revision it knows', async () => {
    const { save, document } = await open();
    for (const title of ['F', 'Fl', 'Flo']) {
      document.title = title;
      save.touch();
      await vi.advanceTimersByTimeAsync(100);
    }
    await vi.advanceTimersByTimeAsync(400);
    expect(saves).toMatchObject([{ baseRevision: 1, title: 'Flo' }]);
    expect([save.revision, save.state.kind]).toEqual([2, 'saved']);
    expect(keptTyping()).toBe(0);
  });

  it('keeps what is typed while the server is away, over a reload, and sends it then', async () => {
    answers = [() => Promise.reject(new TypeError('no server'))];
    const before = await open();
    before.document.title = 'Typed without a server';
    before.save.touch();
    await vi.advanceTimersByTimeAsync(400);
    expect(before.save.state.kind).toBe('waiting');
    before.save.stop();
    browser.locks.held.clear();
    const after = await open(before.session);
    expect(after.kept).toMatchObject({ baseRevision: 1, title: 'Typed without a server' });
    // looking is not taking: it is still there until it is saved
    expect(keptTyping()).toBe(1);
  });

  it('typing during a save is sent after it', async () => {
    let release = (): void => undefined;
    answers = [
      () =>
        new Promise((resolve) => {
          release = () => void saved(2)().then(resolve);
        })
    ];
    const { save, document } = await open();
    document.title = 'one';
    save.touch();
    await vi.advanceTimersByTimeAsync(400);
    document.title = 'two';
    save.touch();
    release();
    await vi.advanceTimersByTimeAsync(1000);
    expect(saves.map(({ baseRevision, title }) => [baseRevision, title])).toEqual([
      [1, 'one'],
      [2, 'two']
    ]);
  });

  it('what is refused says why and stays; what somebody changed meanwhile waits for a choice', async () => {
    answers = [
      () => Promise.resolve(Response.json({ message: 'too long' }, { status: 400 })),
      () =>
        Promise.resolve(
          Response.json(
            {
              saved: false,
              revision: 5,
              title: 'Theirs',
              definition: lap,
              savedBy: 'Ilse',
              changes: []
            },
            { status: 409 }
          )
        )
    ];
    const { save } = await open();
    save.touch();
    await vi.advanceTimersByTimeAsync(400);
    expect(save.state).toEqual({ kind: 'refused', message: 'too long' });
    expect(keptTyping()).toBe(1);
    save.touch();
    await vi.advanceTimersByTimeAsync(400);
    expect(save.state.kind).toBe('stale');
    if (save.state.kind === 'stale') save.resolve(save.state.theirs, true);
    await vi.advanceTimersByTimeAsync(10);
    expect(saves.at(-1)?.baseRevision).toBe(5);
  });

  it('typing that does not fit is given out, not hidden behind “saved”', async () => {
    const before = await open();
    await vi.advanceTimersByTimeAsync(0);
    const key = 'zanjador.unsaved.j1.gone';
    const many = { ...lap, fixed: Array.from({ length: 3 }, () => ({ id: 'same' })) };
    browser.local.setItem(
      key,
      JSON.stringify({ baseRevision: 1, title: 't', documentVersion: 1, definition: many })
    );
    browser.locks.held.clear();
    const after = await open(before.session);
    expect(after.kept).toBeNull();
    expect(after.save.unreadable).toHaveLength(1);
    expect(browser.local.entries.has(key)).toBe(true);
  });
});
