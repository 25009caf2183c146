import type { z } from 'zod';

const TAB_KEY = 'zanjador.tab';
let own: string | null = null;

/** A lock that lives as long as this page does tells other tabs that this one is still there. */
function hold(tab: string): Promise<boolean> {
  return new Promise((resolve) => {
    void navigator.locks.request(`${TAB_KEY}.${tab}`, { ifAvailable: true }, (lock) => {
      resolve(lock !== null);
      return lock === null ? undefined : new Promise<void>(() => undefined);
    });
  });
}

/** This tab's name: the same after a reload, another in a duplicated tab. */
async function ownTab(): Promise<string> {
  if (own !== null) return own;
  const remembered = sessionStorage.getItem(TAB_KEY);
  own = remembered !== null && (await hold(remembered)) ? remembered : crypto.randomUUID();
  if (own !== remembered) await hold(own);
  sessionStorage.setItem(TAB_KEY, own);
  return own;
}

async function liveTabs(): Promise<Set<string>> {
  const { held = [] } = await navigator.locks.query();
  return new Set(held.map((lock) => (lock.name ?? '').slice(TAB_KEY.length + 1)));
}

/**
 * What this browser keeps of a document until the server has acknowledged it, tab by tab: two open
 * tabs do not take each other's, and what a closed or crashed tab left behind is found again.
 */
export class Kept<S extends z.ZodType> {
  #prefix: string;
  #schema: S;
  #tab: string | null = null;
  #waiting: z.output<S> | null = null;

  constructor(name: string, schema: S) {
    this.#prefix = `zanjador.${name}.`;
    this.#schema = schema;
  }

  write(value: z.output<S>): void {
    this.#waiting = value;
    if (this.#tab === null) return;
    try {
      localStorage.setItem(this.#prefix + this.#tab, JSON.stringify(value));
    } catch {
      // Storage that is full or switched off: the server still gets everything.
    }
  }

  forget(): void {
    this.#waiting = null;
    if (this.#tab !== null) localStorage.removeItem(this.#prefix + this.#tab);
  }

  /**
   * What this tab kept before a reload, or a tab that is gone left behind; this tab's own first.
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
      const left = key.slice(this.#prefix.length);
      if (left !== tab && live.has(left)) continue;
      const kept = this.#schema.safeParse(parse(localStorage.getItem(key)));
      // What this version cannot read stays for one that can.
      if (!kept.success) continue;
      localStorage.removeItem(key);
      values.push(kept.data);
    }
    this.#tab = tab;
    if (this.#waiting !== null) this.write(this.#waiting);
    return values;
  }
}

function parse(text: string | null): unknown {
  try {
    return JSON.parse(text ?? 'null');
  } catch {
    return null;
  }
}
