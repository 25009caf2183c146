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
  setItRight: 'Set it right',
  whatWasWrongWithTheClock: 'What was wrong with the clock',
  yourPassword: 'Your password'
};

/** What each log is of. */
export const LOG_OF: Readonly<Record<string, string>> = {
  drive: 'driving',
  hole: 'looks at heads',
  rework: 'rework',
  'old-work': 'findings of old work',
  sign: 'signature',
  step: 'steps before driving',
  stock: 'movements of a bin',
  cold: 'a batch out of the cold',
  cage: 'setting of a stop countersink',
  tool: 'setting of a tool'
};
