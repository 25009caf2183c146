/** What is said at the panel of an instrument. */
export const INSTRUMENTS = {
  whichOne: 'Instrument',
  simulated: 'The simulated one, for practice',
  typesItself: 'Types its own reading and presses Enter',
  serial: 'On a serial or USB line',
  shows: 'Its display shows',
  inches: 'inches',
  millimeters: 'millimeters',
  landsHere: 'Reading from the instrument',
  pressWithTheBoxSelected: 'Keep this box selected and press the button on the instrument.',
  notAReading: (text: string) =>
    `“${text}” is not a reading. Wanted: one decimal number, such as 0.189. Press its button again.`,
  notConnected:
    'Not connected. Close this panel and open it again to choose a line, or type the reading.',
  typeIt: 'Type what you read.'
} as const;
