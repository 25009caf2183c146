/** What the pages of people call things: tests find them by the same words. */
export const PEOPLE = {
  byPIN: 'Sign in with PIN',
  code: 'Code',
  comeIn: 'Sign in',
  enterAndGiveACode: 'Add user and create code',
  keepThePasswordAndCome: 'Set password and sign in',
  login: 'Login',
  name: 'Name',
  nameOfThisDevice: 'Name of this device',
  pIN: 'PIN',
  password: 'Password',
  peopleAndBenches: 'Users and shared devices',
  signIn: 'Sign in',
  signOutEverywhere: 'Sign out everywhere',
  trustThisDevice: 'Make this a shared device',
  setItRight: 'Set it right',
  whatWasWrongWithTheClock: 'What was wrong with the clock',
  yourPassword: 'Your password'
};

/** What each log is of. */
export const LOG_OF: Readonly<Record<string, string>> = {
  drive: 'driving',
  hole: 'head inspections',
  rework: 'rework',
  'old-work': 'findings of old work',
  sign: 'signature',
  step: 'steps before driving',
  stock: 'movements of a bin',
  cold: 'an icebox batch',
  cage: 'setting of a stop countersink',
  tool: 'setting of a tool'
};
