/** What the pages of cages call things: tests find them by the same words. */
export const CAGES = {
  backingUnderIt: 'Backing under it',
  cage: 'Cage',
  clicksOnTheCage: 'Clicks on the cage',
  cutter: 'Cutter',
  cutterDiameter: 'Cutter diameter',
  holesCutSoFar: 'Holes cut so far',
  keepThisHole: 'Keep this hole',
  keepThisReCheck: 'Keep this re-check',
  pilotDiameter: 'Pilot diameter',
  pilotLength: 'Pilot length',
  practice: 'Practice',
  practiceOnly: 'practice only',
  saveCage: 'Save cage',
  theCouponAsMeasured: 'The coupon, as measured',
  theHole: 'The hole',
  theSheetToCut: 'The sheet to cut',
  tooDeep: '✕ too deep',
  zeroOnBareSkin: 'Zero on bare skin',
  zeroTheGaugeOnThe: 'Zero the gauge on the bare skin first: an unzeroed reading is not taken.'
};
