import type { z } from 'zod';

const TAB_KEY = 'zanjador.tab';
let own: Promise<string> | null = null;

/** A lock that lives as long as this page does tells other tabs that this one is still there. */
function hold(tab: string): Promise<boolean> {
  return new Promise((resolve) => {
    void navigator.locks.request(`${TAB_KEY}.${tab}`, { ifAvailable: true }, (lock) => {
      resolve(lock !== null);
      return lock === null ? undefined : new Promise<void>(() => undefined);
    });
  });
}

async function takeName(): Promise<string> {
  const remembered = sessionStorage.getItem(TAB_KEY);
  const tab = remembered !== null && (await hold(remembered)) ? remembered : crypto.randomUUID();
  if (tab !== remembered) await hold(tab);
  sessionStorage.setItem(TAB_KEY, tab);
  return tab;
}

/** This tab's name: the same after a reload, another in a duplicated tab. All who ask at once are given one. */
const ownTab = (): Promise<string> => (own ??= takeName());

async function liveTabs(): Promise<Set<string>> {
  const { held = [] } = await navigator.locks.query();
  return new Set(held.map((lock) => (lock.name ?? '').slice(TAB_KEY.length + 1)));
}

/**
 * What this browser keeps of a document until the server has acknowledged it, tab by tab: two open
 * tabs do not take each other's, and what a closed or crashed tab left behind is found again.
 *
 * A key is the name, the tab, and after a stroke what that tab took over from another. Nothing is ever only in memory: what
 * is taken over is written under its new key before the old one goes, and what cannot be read stays.
 */
export class Kept<S extends z.ZodType> {
  #prefix: string;
  #schema: S;
  #tab: string | null = null;
  #waiting: z.output<S> | null = null;
  /** texts that were found and that this version cannot read */
  unreadable: string[] = [];

  constructor(name: string, schema: S) {
    this.#prefix = `zanjador.${name}.`;
    this.#schema = schema;
  }

  write(value: z.output<S>): void {
    this.#waiting = value;
    if (this.#tab === null) return;
    try {
      localStorage.setItem(this.#prefix + this.#tab, JSON.stringify(value));
      this.#dropTaken();
    } catch {
      // Storage that is full or switched off: the server still gets everything.
    }
  }

  forget(): void {
    this.#waiting = null;
    if (this.#tab === null) return;
    localStorage.removeItem(this.#prefix + this.#tab);
    this.#dropTaken();
  }

  /**
   * What this tab kept before a reload, or a tab that is gone left behind; this tab's own first. It stays kept until
   * something is written in its place or it is forgotten.
   *
   * @param most how many are taken; the rest stays for the next one who asks
   */
  async found(most = Infinity): Promise<z.output<S>[]> {
    const tab = await ownTab();
    const live = await liveTabs();
    const values: z.output<S>[] = [];
    const ownKey = this.#prefix + tab;
    for (const key of [ownKey, ...Object.keys(localStorage).filter((other) => other !== ownKey)]) {
      if (values.length === most) break;
      if (!key.startsWith(this.#prefix)) continue;
      const [left = ''] = key.slice(this.#prefix.length).split('/');
      if (left !== tab && live.has(left)) continue;
      const text = localStorage.getItem(key);
      if (text === null) continue;
      const kept = this.#schema.safeParse(parse(text));
      if (!kept.success) this.unreadable.push(text);
      // What this version cannot read is left where no tab writes, for one that can.
      if (!kept.success && left === tab) move(key, this.#prefix + crypto.randomUUID(), text);
      if (!kept.success) continue;
      if (left !== tab) move(key, `${ownKey}/${crypto.randomUUID()}`, text);
      values.push(kept.data);
    }
    this.#tab = tab;
    if (this.#waiting !== null) this.write(this.#waiting);
    return values;
  }

  /** What was taken over stands in what was written since. */
  #dropTaken(): void {
    const taken = `${this.#prefix}${this.#tab ?? ''}/`;
    for (const key of Object.keys(localStorage))
      if (key.startsWith(taken)) localStorage.removeItem(key);
  }
}

/** Under its new key first: a page that goes away in between leaves it twice, never nowhere. */
function move(from: string, to: string, text: string): void {
  try {
    localStorage.setItem(to, text);
    localStorage.removeItem(from);
  } catch {
    // No room for it twice: it stays where it is.
  }
}

function parse(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}
