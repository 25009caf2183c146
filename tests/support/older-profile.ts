/** A profile as it was stored before multiples of D and the later schools were part of it. */
export const OLDER_PROFILE = {
  name: 'Old profile',
  version: 1,
  diameter: 'thickest',
  pitch: 'fewest',
  housePitchIn: 1,
  drill: 'close',
  increments: 'half',
  lean: 'nearest',
  headLimits: 'tight'
};
