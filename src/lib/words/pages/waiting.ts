/** What the pages of waiting call things: tests find them by the same words. */
export const WAITING = {
  entriesThatAreNotStored: 'Entries that are not stored',
  letGoOfIt: 'Let go of it',
  loadItAnew: 'Load it anew',
  loggedOnThisDeviceCould: 'logged on this device could not be taken.',
  noServerSince: 'No server since',
  notStoredYet: 'Not stored yet',
  nothingAllThatWasLogged: 'Nothing: all that was logged on this device is stored.',
  takeAllOfItOut: 'Take all of it out as a file',
  theServersTime: 'The server’s time',
  thisDevicesTimeIsRight: 'This device’s time is right',
  yesItIsGoneThen: 'Yes, it is gone then'
};
