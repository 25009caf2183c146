import { CONNECTION } from '../connection.ts';
/** What the door and the account say: the server says it, tests find it by the same words. */
export const SIGN_IN = {
  notThatPin: 'Wrong PIN',
  pinKept: 'PIN saved.',
  noPinMore: 'PIN removed.',
  lastLead: 'The shop needs at least one lead. Give another user the lead role first.',
  nameTaken: 'This name or login is already in use',
  sayWhoFirst: `${CONNECTION.signInFirst}.`
};
