import { z } from 'zod';
import { heardNow } from './server-clock';
import { keptEntries } from './store';
import { sendKept } from './send-kept';

const LOOK_MS = 15_000;
/** While it is away one looks more often. */
const LOOK_AWAY_MS = 4000;
const PATIENCE_MS = 5000;
/** A page that the server made is on the screen sooner; both times are the server’s. */
const JUST_NOW_MS = 60_000;
const Ready = z.object({ at: z.string() });

/** Whether the server is reached from here, and how much waits for it in this browser; one for all pages. */
class Reach {
  /** since when it is not, ms since 1970; null while it is */
  awaySince = $state<number | null>(null);
  /** it was away when this page was loaded, or since: what is shown may be older than what is stored */
  wasAway = $state(false);
  /** the page was not made just now: it was kept here, though the server is there; when it was made */
  keptAt = $state<string | null>(null);
  waiting = $state(0);
  /** what the server will never take, and nobody has let go of */
  aside = $state(0);
  /** how often something went to the server that its page had not sent: it reads it from there */
  sent = 0;
  #timer: ReturnType<typeof setTimeout> | undefined;
  /** looked at once: a page that stays open grows old before everyone’s eyes */
  #madeAt: string | null = null;

  /**
   * Looks now and from now on.
   *
   * @param madeAt when the server made this page, by its own clock
   * @returns ends it
   */
  begin(madeAt: string): () => void {
    this.#madeAt = madeAt;
    const look = () => void this.look();
    addEventListener('online', look);
    addEventListener('offline', look);
    look();
    return () => {
      clearTimeout(this.#timer);
      removeEventListener('online', look);
      removeEventListener('offline', look);
    };
  }

  /** How much lies in this browser. */
  async count(): Promise<void> {
    const entries = await keptEntries();
    this.aside = entries.filter(({ refused }) => refused !== undefined).length;
    this.waiting = entries.length - this.aside;
  }

  async look(): Promise<void> {
    clearTimeout(this.#timer);
    const reached = await fetch('/ready', {
      cache: 'no-store',
      signal: AbortSignal.timeout(PATIENCE_MS)
    })
      .then(async (answer) => (answer.ok ? Ready.parse(await answer.json()) : null))
      .catch(() => null);
    if (reached) {
      heardNow(reached.at);
      const madeAt = this.#madeAt;
      this.#madeAt = null;
      if (madeAt !== null && Date.parse(reached.at) - Date.parse(madeAt) > JUST_NOW_MS)
        this.keptAt = madeAt;
      this.awaySince = null;
      await sendKept(() => (this.sent += 1));
    } else {
      this.awaySince ??= Date.now();
      this.wasAway = true;
    }
    await this.count();
    this.#timer = setTimeout(() => void this.look(), reached ? LOOK_MS : LOOK_AWAY_MS);
  }
}
export const reach = new Reach();
