/** What the pages of people call things: tests find them by the same words. */
export const PEOPLE = {
  byPIN: 'By PIN',
  code: 'Code',
  comeIn: 'Come in',
  enterAndGiveACode: 'Enter, and give a code',
  keepThePasswordAndCome: 'Keep the password and come in',
  login: 'Login',
  name: 'Name',
  nameOfThisDevice: 'Name of this device',
  pIN: 'PIN',
  password: 'Password',
  peopleAndBenches: 'People and benches',
  signIn: 'Sign in',
  signOutEverywhere: 'Sign out everywhere',
  trustThisDevice: 'Trust this device',
  yourPassword: 'Your password'
};
