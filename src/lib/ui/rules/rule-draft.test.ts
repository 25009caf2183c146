import { describe, expect, it } from 'vitest';
import { DEFAULT_PROFILE } from '../../../core/rules/profile.ts';
import { draftOf } from './rule-draft.ts';

const nothing = { changes: {}, typed: {}, name: '' };

describe('rules as they are being changed', () => {
  it('are the rules themselves while nothing was changed', () => {
    expect(draftOf(DEFAULT_PROFILE, nothing).data).toEqual(DEFAULT_PROFILE);
  });

  it('have a limit as typed, and a name of their own from version 1 on', () => {
    const { data } = draftOf(
      { ...DEFAULT_PROFILE, version: 4 },
      { changes: {}, typed: { pitchMaxD: '8' }, name: ' Floats ' }
    );
    expect(data?.multipliers.pitchMaxD).toBe(8);
    expect(data).toMatchObject({ name: 'Floats', version: 1 });
  });

  it('say where a figure cannot be read, and where longer icebox times name no data', () => {
    const wrong = draftOf(DEFAULT_PROFILE, { ...nothing, typed: { pitchMaxD: 'eight' } });
    expect(wrong.error?.issues[0]?.path.join('.')).toBe('multipliers.pitchMaxD');
    const longer = draftOf(DEFAULT_PROFILE, {
      ...nothing,
      typed: { 'icebox.DD.dueMinutes': '15', 'icebox.DD.limitMinutes': '90' }
    });
    expect(longer.success).toBe(false);
  });
});
