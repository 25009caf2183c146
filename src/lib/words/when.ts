/** An instant as the reader's own clock shows it. */
export const whenInWords = (at: string): string =>
  new Date(at).toLocaleString([], { dateStyle: 'medium', timeStyle: 'short' });

/** A day as the reader's own calendar shows it. */
export const dayInWords = (at: string | Date): string =>
  new Date(at).toLocaleDateString([], { dateStyle: 'medium' });

/** A week, by its Monday, where a chart has little room: Nov 23. */
export const weekInWords = (monday: string): string =>
  new Date(`${monday}T00:00:00Z`).toLocaleDateString([], {
    month: 'short',
    day: 'numeric',
    timeZone: 'UTC'
  });

/** The same in files and logs: always UTC. */
export const whenUtc = (at: string): string => `${at.slice(0, 16).replace('T', ' ')} UTC`;
