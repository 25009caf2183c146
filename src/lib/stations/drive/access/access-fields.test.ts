import { describe, expect, it } from 'vitest';
import { ACCESS_PRESETS, saysSo } from './access-presets';
import { accessOf, draftOf, newUpstand, typedOf } from './access-fields';

const said = () => ({
  ...typedOf(null),
  ...{ faceDown: false, armsReach: true, closedMember: false }
});

describe('what is entered about access', () => {
  it('nothing is answered by itself', () => {
    expect([...accessOf(typedOf(null)).wrong.keys()]).toEqual([
      'faceDown',
      'armsReach',
      'closedMember'
    ]);
    const upstand = newUpstand('top');
    expect([...accessOf({ ...said(), upstands: [upstand] }).wrong.keys()].sort()).toEqual(
      ['height', 'inset', 'on'].map((key) => `${upstand.id}.${key}`)
    );
    const member = { ...said(), closedMember: true };
    expect([...accessOf(member).wrong.keys()]).toContain('member.from');
  });

  it('a picture answers what its words say, and no length', () => {
    for (const { answers } of ACCESS_PRESETS)
      expect(Object.keys(answers).sort()).toEqual(['armsReach', 'closedMember', 'faceDown']);
    for (const preset of ACCESS_PRESETS) {
      const told = { ...typedOf(null), ...preset.answers };
      expect(saysSo(preset, told)).toBe(true);
      expect(saysSo(preset, { ...told, closedMember: !told.closedMember })).toBe(false);
    }
    const stringer = ACCESS_PRESETS.find(({ key }) => key === 'stringer')?.answers;
    expect([...accessOf({ ...typedOf(null), ...stringer }).wrong.keys()]).toEqual(['armsReach']);
  });

  it('the drawing reckons with what is there: a question left open is no way in', () => {
    expect(draftOf(typedOf(null))).toMatchObject({
      armsReach: false,
      faceDown: false,
      closedMember: false
    });
    expect(draftOf({ ...typedOf(null), closedMember: true })).toMatchObject({ closedMember: true });
    const edges = { ...typedOf(null).edges, top: '1/2' };
    expect(draftOf({ ...typedOf(null), edges })?.edges).toMatchObject({ top: 0.5, bottom: null });
    // an obstruction without its place hides no hole, and clears none
    expect(draftOf({ ...said(), upstands: [newUpstand('left')] })).toBeNull();
  });
});
