import { CLOCK_SLACK_MS } from '../../core/events/clock-slack.ts';

/** How far apart two clocks are. */
export const inWords = (offMs: number): string => {
  const minutes = Math.round(Math.abs(offMs) / 60_000);
  const hours = Math.floor(minutes / 60);
  return hours === 0 ? `${minutes} min` : `${hours} h ${minutes % 60} min`;
};

/**
 * What is asked of a sender whose clock is far from the server's: its events carry instants of that clock.
 *
 * @param said the sender's clock as it sends, and whether a person said that it is right; null where it says nothing
 * @returns null where nothing need be asked
 */
export function clockQuestion(
  said: { clock: string | null; right: boolean },
  now: number
): { message: string; clockOffMs: number } | null {
  const theirs = Date.parse(said.clock ?? '');
  if (said.right || Number.isNaN(theirs) || Math.abs(theirs - now) <= CLOCK_SLACK_MS) return null;
  const clockOffMs = theirs - now;
  return {
    clockOffMs,
    message: `This device’s clock is ${inWords(clockOffMs)} ${clockOffMs > 0 ? 'ahead of' : 'behind'} the server. Its entries carry the wrong time`
  };
}
