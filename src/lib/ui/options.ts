import { FAMILY_CONSTANTS, LOCATION_FACTOR } from '$core/catalog/families.ts';
import { RIVET_SIZES } from '$core/catalog/rivets.ts';
import { SHEET_KEYS, SHEET_STRENGTHS } from '$core/catalog/strengths.ts';
import { Alloy, Family, Location } from '$core/schema/fields.ts';

/** What the choices of a joint are called on screen. */
const FAMILY_WORDS: Record<Family, string> = {
  'high-strength': 'High strength',
  'clad-2024': 'Clad 2024',
  '5052': '5052'
};
export const FAMILY_OPTIONS = Family.options.map((value) => ({
  value,
  text: `${FAMILY_WORDS[value]}: ${FAMILY_CONSTANTS[value].sheets}`
}));

const LOCATION_WORDS: Record<Location, string> = {
  general: 'General',
  stringer: 'Stringer, upper wing or fuselage',
  'single-lap': 'Single-lap sheet joint',
  'intermediate-frame': 'Intermediate frame'
};
export const LOCATION_OPTIONS = Location.options.map((value) => ({
  value,
  text: `${LOCATION_WORDS[value]}: × ${LOCATION_FACTOR[value].toFixed(2)}`
}));

const ALLOY_WORDS: Record<Alloy, string> = {
  A: 'plain head, non-structural only',
  AD: 'one dimple, as received',
  D: 'one raised dot, refrigerated, 1 hour',
  DD: 'two raised dashes, refrigerated, 20 minutes',
  B: 'raised cross, for magnesium',
  E: 'raised ring, high strength'
};
export const ALLOY_OPTIONS = Alloy.options.map((value) => ({
  value,
  text: `${value}: ${ALLOY_WORDS[value]}`
}));

export const SIZE_OPTIONS = [
  { value: 'rule', text: 'By rule' },
  ...RIVET_SIZES.map(({ dash }) => ({ value: `${dash}`, text: `${dash}` }))
];

export const HEAD_OPTIONS = [
  { value: 'universal', text: 'Universal' },
  { value: 'countersunk', text: 'Flush 100°' }
] as const;

export const STRENGTH_OPTIONS = [
  { value: 'family' as const, text: 'The weakest of the family' },
  ...SHEET_KEYS.map((value) => ({
    value,
    text: `${value}: ${SHEET_STRENGTHS[value].tensionKsi} ksi, reference only`
  }))
];
