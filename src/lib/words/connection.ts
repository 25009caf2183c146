/** What is said when the server does not answer or nobody is signed in: one event, one sentence. */
export const CONNECTION = {
  offlineKept: 'Offline. Your input is kept. Try again.',
  offline: 'Offline. Try again.',
  signInFirst: 'Sign in first',
  notSentOffline: 'Not sent: offline'
} as const;

const NO_ANSWER = 'No answer from the server';
/** Of what is made only once, however often it is sent. */
export const onceOnly = (what: string): string => `${NO_ANSWER}. Try again; ${what}.`;
/** Of what may have been done: what to do before it is sent again. */
export const maybeDone = (what: string): string => `${NO_ANSWER}: ${what}`;
