import type { SettingChange } from '../../core/prepare/cage/tasks.ts';
import type { ChangedSaid } from '../../core/prepare/rests-changed.ts';
import type { WriteLength } from './writing.ts';

const STEP_PARTS = {
  metal: 'the sheets (order, material, thickness, film or ends)',
  places: 'the places or the sizes of the holes',
  setting: 'its tool or its setting',
  unknown: 'the joint'
} as const;

/** What a step was ticked off on and is no longer. */
export const stepChangesInWords = (changed: readonly ChangedSaid[]): string =>
  changed
    .map((one) =>
      one.what === 'count' ? `the count, ${one.was} to ${one.now}` : STEP_PARTS[one.what]
    )
    .join('; ');

const SETTING_PARTS: Record<SettingChange['what'], string> = {
  dash: 'rivet size',
  seat: 'what lies in the cut',
  sheet: 'sheet',
  material: 'material',
  skin: 'dimpled sheets above',
  hole: 'hole',
  school: 'flushness',
  angle: 'cutter',
  film: 'film'
};
const LENGTHS: readonly SettingChange['what'][] = ['sheet', 'skin', 'hole'];

function valueInWords(what: SettingChange['what'], value: unknown, length: WriteLength): string {
  if (value === null || value === '') return 'none';
  if (what === 'film') return value === true ? 'on' : 'off';
  if (what === 'dash') return `dash ${String(value)}`;
  if (what === 'angle') return `${String(value)}°`;
  return LENGTHS.includes(what) ? length(Number(value), 'fine') : String(value);
}

/** What a cage was set for and what its step is now. */
export const settingChangesInWords = (
  changes: readonly SettingChange[],
  length: WriteLength
): string =>
  changes
    .map(
      ({ what, was, now }) =>
        `${SETTING_PARTS[what]} ${valueInWords(what, was, length)} to ${valueInWords(what, now, length)}`
    )
    .join('; ');
