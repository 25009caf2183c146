import { alloyFacts } from '$core/catalog/alloys.ts';
import { FAMILY_CONSTANTS, LOCATION_FACTOR } from '$core/catalog/families.ts';
import { RIVET_SIZES } from '$core/catalog/rivets.ts';
import { SHEET_KEYS, SHEET_STRENGTHS } from '$core/catalog/strengths.ts';
import { KIT } from '$lib/words/pages/kit.ts';
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

export const ALLOY_OPTIONS = Alloy.options.map((value) => {
  const { mark, use } = alloyFacts(value);
  return { value, text: `${value}: ${mark}; ${use}` };
});

export const MATERIAL_OPTIONS = [
  { value: '' as const, text: 'Not specified (sheet family)' },
  ...SHEET_KEYS.map((value) => ({ value, text: value }))
];

export const SIZE_OPTIONS = [
  { value: 'rule', text: 'Auto (3 × thickness)' },
  ...RIVET_SIZES.map(({ dash }) => ({ value: `${dash}`, text: `${dash}` }))
];

export const HEAD_OPTIONS = [
  { value: 'universal', text: 'Universal' },
  { value: 'countersunk', text: KIT.flush100 }
] as const;

export const STRENGTH_OPTIONS = [
  { value: 'family' as const, text: 'Weakest alloy in the family' },
  ...SHEET_KEYS.map((value) => ({
    value,
    text: `${value}: ${SHEET_STRENGTHS[value].tensionKsi} ksi, reference only`
  }))
];
