import { describe, expect, it } from 'vitest';
import { OLDER_PROFILE } from '../../../tests/support/older-profile';
import { readEntered } from '../kinds/read-entered';
import { plan } from '../plan/plan';
import { DEFAULT_PROFILE } from '../rules/profile';
import { JOINT_DOCUMENT, PROFILE_DOCUMENT } from './documents';

const RIVET = {
  family: 'clad-2024',
  reckonOn: 'thickest',
  location: 'general',
  head: 'universal',
  alloy: 'AD',
  dash: 4,
  prefer: 'profile',
  scale: '1/32',
  edgeIn: '',
  nearPitchIn: ''
};
/** As the first version stored a lap: no sheets' metal, no obstacles, no other kind. */
const FIRST_LAP = {
  ...RIVET,
  kind: 'lap',
  rows: 'auto',
  pattern: 'in-line',
  sheets: [
    { name: 'a', thicknessIn: '.036' },
    { name: 'b', thicknessIn: '1.1 mm' }
  ],
  widthIn: '7 3/8'
};
/** As a line with obstacles was stored while items were known by their places. */
const PLACED_LINE = {
  ...FIRST_LAP,
  datum: 'fixed-1',
  fixed: [
    { kind: 'existing', line: 'row-1', name: 'old', atIn: '1.1', offIn: '' },
    { kind: 'pinned', line: 'row-1', name: '', atIn: '4.2', offIn: '' }
  ],
  keepOuts: [{ name: 'rib', shape: 'rect', xIn: '6', yIn: '0', wIn: '1/4', hIn: '' }],
  edits: [{ line: 'row-1', index: 2, of: 9, state: 'as-laid', nudgeIn: '1/32', reason: '' }],
  tries: [{ hole: 3, partNumber: 'MS20470AD4-5' }]
};
const STRAPS = {
  ...RIVET,
  kind: 'sandwich',
  shear: 'double',
  dash: 'rule',
  rows: 'auto',
  pattern: 'in-line',
  location: 'general',
  sheets: ['0.032', '0.040', '0.032'].map((thicknessIn) => ({ name: 'strap', thicknessIn })),
  widthIn: '5 1/2'
};

const raised = (stored: unknown, version = 1) => {
  const read = JOINT_DOCUMENT.read(version, stored);
  if (!read.ok) throw new Error(`${read.path}: ${read.problem}`);
  return read.value;
};

describe('a joint of an earlier version', () => {
  it('is read, planned, and has ids for all that was known by its place', () => {
    const joint = raised(FIRST_LAP);
    expect(joint.sheets.map(({ id }) => id)).toEqual(['sheet-1', 'sheet-2']);
    const read = readEntered(joint);
    if (!read.ok) throw new Error(JSON.stringify(read.problems));
    expect(plan(read.definition, DEFAULT_PROFILE).layout.ok).toBe(true);
  });

  it('stays where it was laid out: its edge on 1/32, its divisions from the first hole', () => {
    const raisedAs = (version: number, more: object) =>
      raised(
        {
          ...raised(FIRST_LAP),
          scale: '1mm',
          keepOuts: [
            { id: 'k', name: 'rib', shape: 'rect', xIn: '3.5', yIn: '0', wIn: '1/4', hIn: '' }
          ],
          ...more
        },
        version
      );
    const laid = (entered: ReturnType<typeof raised>) => {
      const read = readEntered(entered);
      if (!read.ok) throw new Error(JSON.stringify(read.problems));
      const { layout } = plan(read.definition, DEFAULT_PROFILE);
      if (!layout.ok) throw new Error('it has a layout');
      return layout.result.holes.filter(({ row }) => row === 1).map(({ xIn }) => xIn);
    };
    const stored = Object.fromEntries(
      Object.entries(raised(FIRST_LAP)).filter(([key]) => key !== 'divisionsFrom')
    );
    const before = laid(
      raisedAs(5, { ...stored, scale: '1mm', keepOuts: raisedAs(6, {}).keepOuts })
    );
    // dash 4: 2 D is 1/4 in
    expect(before[0]).toBe(9 / 32);
    const mm = (at: number) => at * 25.4;
    for (const at of before.slice(0, -1))
      expect(Math.abs(mm(at - 9 / 32) - Math.round(mm(at - 9 / 32)))).toBeLessThan(1e-9);
    const now = laid(raisedAs(6, { divisionsFrom: 'datum' }));
    expect(now[0]).toBeCloseTo(7 / 25.4, 12);
    for (const at of now) expect(Math.abs(mm(at) - Math.round(mm(at)))).toBeLessThan(1e-9);
  });

  it('keeps what its datum, its fixed holes and its edits referred to', () => {
    const joint = raised(PLACED_LINE);
    expect(joint.datum).toBe('fixed:fixed-2');
    expect(joint.fixed.map(({ id, atIn }) => [id, atIn])).toEqual([
      ['fixed-1', '1.1'],
      ['fixed-2', '4.2']
    ]);
    expect(joint.edits[0]).toMatchObject({ id: 'row-1:2/9', nudgeIn: '1/32' });
    expect([joint.keepOuts[0]?.id, joint.tries[0]?.id]).toEqual(['keep-out-1', 'try-1']);
  });

  it('of two straps is the same joint under its trade name', () => {
    const joint = raised(STRAPS);
    expect(joint).toMatchObject({ kind: 'double-strap', run: 'fits' });
    expect(joint.sheets.map(({ thicknessIn }) => thicknessIn)).toEqual(['0.032', '0.040', '0.032']);
    expect(readEntered(joint).ok).toBe(true);
  });

  it('of a plate over the skin calls both what they are, unless someone named them', () => {
    const [a, b] = FIRST_LAP.sheets;
    const named = (names: string[], style: string) =>
      raised({
        ...RIVET,
        kind: 'patch',
        style,
        carries: 'attach',
        rows: 1,
        crackDrill: '#40',
        sheets: [
          { ...a, name: names[0] },
          { ...b, name: names[1] }
        ]
      }).sheets.map(({ name }) => name);
    expect(named(['skin', 'doubler'], 'plate-over')).toEqual(['plate', 'skin']);
    expect(named(['skin', 'doubler'], 'flush')).toEqual(['skin', 'doubler']);
    expect(named(['skin', 'rib'], 'plate-over')).toEqual(['skin', 'rib']);
  });

  it('of this version is read as it is', () => {
    const joint = raised(PLACED_LINE);
    expect(raised(joint, JOINT_DOCUMENT.version)).toEqual(joint);
  });

  it('is refused with its path where it is damaged, or newer than the program', () => {
    expect(JOINT_DOCUMENT.read(1, { ...FIRST_LAP, widthIn: 4 })).toMatchObject({
      ok: false,
      path: 'widthIn'
    });
    expect(JOINT_DOCUMENT.read(JOINT_DOCUMENT.version + 1, FIRST_LAP)).toMatchObject({
      ok: false,
      problem: { code: 'told', text: expect.stringContaining('newer') as string }
    });
    expect(JOINT_DOCUMENT.read(1, [])).toMatchObject({ ok: false, path: '' });
    expect(JOINT_DOCUMENT.read(1, { ...PLACED_LINE, fixed: [null] })).toMatchObject({
      ok: false,
      path: 'fixed.0.kind'
    });
  });
});

it('reads a profile from before there were multiples of D and later schools', () => {
  const read = PROFILE_DOCUMENT.read(1, OLDER_PROFILE);
  expect(read).toMatchObject({
    ok: true,
    value: { headLimits: 'tight', multipliers: DEFAULT_PROFILE.multipliers }
  });
});
