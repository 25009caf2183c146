/** What the pages of cages call things: tests find them by the same words. */
export const CAGES = {
  backingUnderIt: 'Backing thickness',
  cage: 'Stop countersink',
  clicksOnTheCage: 'Clicks',
  cutter: 'Cutter',
  cutterDiameter: 'Cutter diameter',
  holesCutSoFar: 'Holes cut so far',
  keepThisHole: 'Save test hole',
  keepThisReCheck: 'Save re-check',
  pilotDiameter: 'Pilot diameter',
  pilotLength: 'Pilot length',
  practice: 'Practice',
  practiceOnly: 'practice only',
  saveCage: 'Save stop countersink',
  theCouponAsMeasured: 'Coupon thickness, measured',
  theHole: 'The hole',
  theSheetToCut: 'Sheet thickness',
  tooDeep: '✕ too deep',
  zeroOnBareSkin: 'Zero on bare skin',
  zeroTheGaugeOnThe: 'Zero the gauge on the bare skin first. Readings before that are rejected.'
};
