/** An instant as the reader's own clock shows it. */
export const whenInWords = (at: string): string =>
  new Date(at).toLocaleString([], { dateStyle: 'medium', timeStyle: 'short' });

/** The same in files and logs: always UTC. */
export const whenUtc = (at: string): string => `${at.slice(0, 16).replace('T', ' ')} UTC`;
