/** What the pages of waiting call things: tests find them by the same words. */
export const WAITING = {
  entriesThatAreNotStored: 'Entries that are not stored',
  letGoOfIt: 'Discard',
  loadItAnew: 'Reload',
  loggedOnThisDeviceCould: 'from this device were rejected.',
  noServerSince: 'Offline since',
  notStoredYet: 'Not sent yet',
  nothingAllThatWasLogged: 'All entries have been sent.',
  takeAllOfItOut: 'Download all',
  theServersTime: 'Use server time',
  thisDevicesTimeIsRight: 'Use device time',
  yesItIsGoneThen: 'Confirm discard'
};
