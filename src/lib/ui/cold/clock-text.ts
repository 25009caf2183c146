const MINUTE_S = 60;
const HOUR_S = 3600;

/**
 * What is left on a clock: `9:05 left`, from an hour `1 h 02 min left`; nothing is rounded up.
 *
 * @param remainingS seconds, at least 0
 */
export function clockText(remainingS: number): string {
  const whole = Math.floor(remainingS);
  if (whole <= 0) return 'no time left';
  const two = (part: number) => String(part).padStart(2, '0');
  return whole >= HOUR_S
    ? `${Math.floor(whole / HOUR_S)} h ${two(Math.floor((whole % HOUR_S) / MINUTE_S))} min left`
    : `${Math.floor(whole / MINUTE_S)}:${two(whole % MINUTE_S)} left`;
}
