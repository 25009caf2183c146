import { expect, it } from 'vitest';
import { newSheet } from '$core/joint/sheets.ts';
import { newJoint } from '$core/kinds/new-joint.ts';
import { bothHands } from './both-hands';

const base = {
  title: 'Lap',
  definition: {
    ...newJoint('lap'),
    widthIn: '10',
    sheets: [newSheet('a', '0.040', 'sheet-1'), newSheet('b', '0.050', 'sheet-2')]
  }
};
const by = (change: object, title = 'Lap') => ({
  title,
  definition: { ...base.definition, ...change }
});

it('shows both hands’ changes side by side, and puts together what does not cross', () => {
  const { rows, crossings, together } = bothHands(
    base,
    by({ widthIn: '11' }),
    by({ edgeIn: '0.4', widthIn: '10' }, 'Lap, bay 9'),
    {}
  );
  expect(rows).toEqual([
    { path: 'definition.widthIn', was: '10', mine: '11', theirs: '' },
    { path: 'title', was: 'Lap', mine: '', theirs: 'Lap, bay 9' },
    { path: 'definition.edgeIn', was: 'empty', mine: '', theirs: '0.4' }
  ]);
  expect(crossings).toEqual([]);
  expect(together).toMatchObject({
    title: 'Lap, bay 9',
    definition: { widthIn: '11', edgeIn: '0.4' }
  });
});

it('asks where they cross, and makes no joint of two kinds', () => {
  const mine = by({ widthIn: '11' });
  const theirs = by({ widthIn: '12' });
  expect(bothHands(base, mine, theirs, {}).crossings).toEqual(['definition.widthIn']);
  const chosen = bothHands(base, mine, theirs, { 'definition.widthIn': 'mine' });
  expect(chosen.together?.definition).toMatchObject({ widthIn: '11' });
  const other = { title: 'Lap', definition: newJoint('patch') };
  expect(bothHands(base, mine, other, {}).together).toBeNull();
});
