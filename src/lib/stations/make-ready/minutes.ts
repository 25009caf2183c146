/** A time to allow, to the minute. */
export const minutes = (value: number): string => `${Math.round(value)} min`;
