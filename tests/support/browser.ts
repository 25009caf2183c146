/** As much of a browser's storage as the stores of the page use, in memory. */
class MemoryStorage {
  readonly entries = new Map<string, string>();
  full = false;
  getItem(key: string): string | null {
    return this.entries.get(key) ?? null;
  }
  setItem(key: string, value: string): void {
    if (this.full) throw new DOMException('full', 'QuotaExceededError');
    this.entries.set(key, value);
    // what is written is seen as a property too: `Object.keys` lists it
    Object.defineProperty(this, key, { value, enumerable: true, configurable: true });
  }
  removeItem(key: string): void {
    this.entries.delete(key);
    Reflect.deleteProperty(this, key);
  }
}

/** Locks that live until they are let go: a tab that is closed lets go of all of its own. */
export class Locks {
  readonly held = new Set<string>();
  request(
    name: string,
    _: { ifAvailable: true },
    run: (lock: { name: string } | null) => unknown
  ): Promise<void> {
    // a lock is given a turn later, as in a browser
    return Promise.resolve().then(() => {
      if (this.held.has(name)) return void run(null);
      this.held.add(name);
      void run({ name });
    });
  }
  query(): Promise<{ held: { name: string }[] }> {
    return Promise.resolve({ held: [...this.held].map((name) => ({ name })) });
  }
}

export interface FakeBrowser {
  local: MemoryStorage;
  locks: Locks;
  /** another page of this browser: a new tab, or with `session` the same tab loaded anew */
  page: (session?: MemoryStorage) => MemoryStorage;
}

/** Puts the globals of a browser in place. */
export function fakeBrowser(set: (name: string, value: unknown) => void): FakeBrowser {
  const local = new MemoryStorage();
  const locks = new Locks();
  const page = (session = new MemoryStorage()) => {
    set('sessionStorage', session);
    return session;
  };
  set('localStorage', local);
  set('navigator', { locks });
  page();
  return { local, locks, page };
}
