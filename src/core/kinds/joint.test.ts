import { describe, expect, it } from 'vitest';
import { differences } from '../joint/differences';
import { newJoint } from './new-joint';
import { readEntered } from './read-entered';
import { newSheet } from '../joint/sheets';

const FILLED = {
  ...newJoint('lap'),
  widthIn: '240mm',
  edgeIn: '',
  sheets: [newSheet('skin', '32 thou'), newSheet('strip', '.025')]
};

describe('reading the fields of a joint', () => {
  it('turns what was typed into inches', () => {
    const read = readEntered(FILLED);
    expect(read).toMatchObject({
      ok: true,
      definition: { edgeIn: null, sheets: [{ thicknessIn: 0.032 }, { thicknessIn: 0.025 }] }
    });
    expect(read.ok && read.definition.kind === 'lap' ? read.definition.widthIn : NaN).toBeCloseTo(
      240 / 25.4,
      12
    );
  });

  it('names every field that is still empty', () => {
    const read = readEntered(newJoint('lap'));
    expect(read.ok ? [] : read.problems.map((problem) => problem.path)).toEqual([
      'sheets.sheet-1.thicknessIn',
      'sheets.sheet-2.thicknessIn',
      'widthIn'
    ]);
  });

  it('offers the thickness that was probably meant', () => {
    const slipped = {
      ...FILLED,
      sheets: [newSheet('skin', '0.32'), ...FILLED.sheets.slice(1)]
    };
    const read = readEntered(slipped);
    expect(read.ok ? [] : read.problems).toEqual([
      {
        path: 'sheets.skin.thicknessIn',
        said: { code: 'slipped-sheet', valueIn: 0.32, must: 'over', limitIn: 0.25, meantIn: 0.032 },
        instead: '0.032'
      }
    ]);
  });

  it('offers it in the unit that was typed', () => {
    const slipped = { ...FILLED, sheets: [newSheet('skin', '9mm'), ...FILLED.sheets.slice(1)] };
    const read = readEntered(slipped);
    expect(read.ok ? [] : read.problems.map(({ instead }) => instead)).toEqual(['0.9 mm']);
  });

  it('takes a thick part that is meant, and asks again for another', () => {
    const wall = { ...FILLED, sheets: [newSheet('wall', '1/2'), ...FILLED.sheets.slice(1)] };
    const meant = { ...wall, thickMeant: { 'sheets.wall.thicknessIn': '1/2' } };
    expect(readEntered(wall)).toMatchObject({
      problems: [{ path: 'sheets.wall.thicknessIn', instead: '0.050' }]
    });
    const read = readEntered(meant);
    expect(read.ok && read.definition.sheets[0]?.thicknessIn).toBe(0.5);
    const changed = { ...meant, sheets: [newSheet('wall', '0.63'), ...FILLED.sheets.slice(1)] };
    expect(readEntered(changed)).toMatchObject({
      problems: [{ path: 'sheets.wall.thicknessIn', said: { valueIn: 0.63 } }]
    });
    const never = {
      ...FILLED,
      sheets: [newSheet('wall', '2.5'), ...FILLED.sheets.slice(1)],
      thickMeant: { 'sheets.wall.thicknessIn': '2.5' }
    };
    expect(readEntered(never)).toMatchObject({
      problems: [{ path: 'sheets.wall.thicknessIn', said: { limitIn: 2 } }]
    });
  });

  it('asks about every thickness that is typed', () => {
    const splice = { ...newJoint('splice'), farSheetIn: '0.4' };
    const asked = readEntered(splice);
    expect(
      asked.ok ? [] : asked.problems.map(({ path, said }) => [path, said.code])
    ).toContainEqual(['farSheetIn', 'slipped-sheet']);
  });
});

describe('what differs between two versions', () => {
  it('is told leaf by leaf', () => {
    const now = {
      ...FILLED,
      widthIn: '12',
      sheets: [newSheet('skin', '.040'), ...FILLED.sheets.slice(1)]
    };
    expect(differences(FILLED, now)).toEqual([
      { path: 'widthIn', was: '240mm', now: '12' },
      { path: 'sheets.skin.thicknessIn', was: '32 thou', now: '.040' }
    ]);
    expect(differences(FILLED, structuredClone(FILLED))).toEqual([]);
  });

  it('tells a sheet that came or went', () => {
    const [only] = differences(FILLED, { ...FILLED, sheets: FILLED.sheets.slice(0, 1) });
    expect(only).toMatchObject({ path: 'sheets.strip', now: 'empty' });
  });
});
