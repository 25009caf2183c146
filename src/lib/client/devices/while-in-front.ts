/** A browser keeps six connections to a server in all: one stream for all of its windows, or saves would wait. */
const STREAM = 'zanjador.stream';

/**
 * Runs something in the window that is looked at, and in one at a time: the one looked at last takes it over from the
 * one before.
 *
 * @param begin starts it; @returns what ends it
 * @returns ends it for good
 */
export function whileInFront(begin: () => () => void): () => void {
  let running: { end: () => void; letGo: () => void } | null = null;
  const leave = (): void => {
    const was = running;
    running = null;
    was?.end();
    was?.letGo();
  };
  const enter = (): void => {
    if (document.visibilityState !== 'visible') return leave();
    if (running) return;
    let letGo = (): void => undefined;
    const held = new Promise<void>((done) => (letGo = done));
    const mine = { end: begin(), letGo };
    running = mine;
    // refused once another window takes it
    void navigator.locks
      .request(STREAM, { steal: true }, () => held)
      .catch(() => {
        if (running === mine) leave();
      });
  };
  enter();
  document.addEventListener('visibilitychange', enter);
  window.addEventListener('focus', enter);
  return () => {
    document.removeEventListener('visibilitychange', enter);
    window.removeEventListener('focus', enter);
    leave();
  };
}
