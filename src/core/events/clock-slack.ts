/** Clocks of benches and of the server may differ by this, ms: what lies nearer together is taken as it is said. */
export const CLOCK_SLACK_MS = 2 * 60 * 1000;
