/** An instant as the reader's own clock shows it. */
export const whenInWords = (at: string): string =>
  new Date(at).toLocaleString([], { dateStyle: 'medium', timeStyle: 'short' });
