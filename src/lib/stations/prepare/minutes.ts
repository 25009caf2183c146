const HOURS_FROM = 90;

/** A time to allow, to the minute; long ones in hours. */
export function minutes(value: number): string {
  const whole = Math.round(value);
  if (whole <= HOURS_FROM) return `${whole} min`;
  const rest = whole % 60;
  return `${Math.floor(whole / 60)} h${rest === 0 ? '' : ` ${rest} min`}`;
}
