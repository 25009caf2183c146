import type { Multipliers } from './multipliers.ts';

/** A limit in multiples of D. */
export interface LimitSetting {
  /** dotted within the multipliers */
  key: string;
  label: string;
  why: string;
  unit: 'D' | '× pitch';
  of: (limits: Multipliers) => number;
  set: (limits: Multipliers, value: number) => Multipliers;
}

const plain = (
  key: Exclude<keyof Multipliers, 'edgeMinD'>,
  label: string,
  why: string,
  unit: LimitSetting['unit'] = 'D'
): LimitSetting => ({
  key,
  label,
  why,
  unit,
  of: (limits) => limits[key],
  set: (limits, value) => ({ ...limits, [key]: value })
});

const edgeMin = (head: 'universal' | 'countersunk', label: string, why: string): LimitSetting => ({
  key: `edgeMinD.${head}`,
  label,
  why,
  unit: 'D',
  of: (limits) => limits.edgeMinD[head],
  set: (limits, value) => ({ ...limits, edgeMinD: { ...limits.edgeMinD, [head]: value } })
});

/** Every limit of the profile with what it guards against (layout and stack-up). */
export const LIMITS: LimitSetting[] = [
  edgeMin(
    'universal',
    'Minimum edge distance, protruding',
    'Nearer to the edge the sheet tears out.'
  ),
  edgeMin(
    'countersunk',
    'Minimum edge distance, flush or dimpled',
    'The countersink or dimple removes metal toward the edge.'
  ),
  plain('edgeMaxD', 'Maximum edge distance', 'Beyond it the sheet is a loose flap.'),
  plain('pitchMinD', 'Minimum pitch', 'Below this the sheet may tear between holes.'),
  plain('pitchMaxD', 'Maximum pitch', 'Further apart the sheets open between the rivets.'),
  plain(
    'transverseMinD',
    'Minimum transverse pitch',
    'Also between nearest rivets of staggered rows.'
  ),
  plain(
    'transverseMaxD',
    'Maximum transverse pitch',
    'Rows further apart no longer share the load.'
  ),
  plain('transverseOfPitch', 'Usual transverse pitch', 'As a share of the pitch.', '× pitch'),
  plain(
    'protrusionMinD',
    'Minimum protrusion',
    'Less makes no full head; it must be more than this.'
  ),
  plain('protrusionMaxD', 'Maximum protrusion', 'More folds over; it must be less than this.')
];
