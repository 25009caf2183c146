import { describe, expect, it } from 'vitest';
import { JOINT_KINDS, newJoint } from './new-joint';
import { kindOf, type EnteredJoint } from './joint';

const asksOf = (station: 'size' | 'layout', entered: EnteredJoint) =>
  kindOf(entered).asks[station].filter(({ when }) => when?.(entered) ?? true);

describe('the questions of each kind', () => {
  it.each(JOINT_KINDS)('ask for every measured field of a %s, and for nothing else', (kind) => {
    const joint = newJoint(kind);
    const asked = new Set(
      [...asksOf('size', { ...joint, crackIn: '1' } as never), ...asksOf('layout', joint)].map(
        ({ key }) => key
      )
    );
    for (const key of asked) expect(Object.keys(joint), key).toContain(key);
    // fields that other panels ask for
    const elsewhere = [
      'nearPitchIn',
      'holdPitchIn',
      'holdPitchReason',
      'perInch',
      'perInchReason',
      'closedReason',
      'headWideLowD',
      'headWideHighD',
      'headHighLowD',
      'headHighHighD',
      'headsReason',
      'toolClearanceIn'
    ];
    const measured = Object.entries(joint).filter(
      ([key, value]) => value === '' && !elsewhere.includes(key)
    );
    for (const [key] of measured) expect([...asked], key).toContain(key);
  });

  it('leave out what does not apply', () => {
    const patch = newJoint('patch');
    const keys = (joint: typeof patch) => asksOf('layout', joint).map(({ key }) => key);
    expect(keys(patch)).toContain('insertSheetIn');
    expect(keys({ ...patch, style: 'plate-over' })).not.toContain('insertSheetIn');
    expect(asksOf('size', patch).map(({ key }) => key)).not.toContain('crackDrill');
  });
});
