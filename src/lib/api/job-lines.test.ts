import { describe, expect, it } from 'vitest';
import { STATIONS } from '../stations/stations';
import {
  chipDigits,
  CHIPS,
  hasChip,
  STAGES,
  stageLetters,
  stagesOf,
  stageToOpen
} from './job-lines';

describe('a line of the list of jobs', () => {
  it('calls the stages as the stages do', () => {
    expect(STAGES).toEqual(STATIONS.map(({ key, name }) => [key, name]));
  });

  it('comes back as it was sent', () => {
    const marks = ['done', 'begun', 'blocked', 'not-begun'] as const;
    expect(stagesOf(stageLetters(marks))).toEqual(marks);
    const chips = chipDigits(['mine', 'signed']);
    expect(CHIPS.filter((chip) => hasChip({ chips }, chip))).toEqual(['mine', 'signed']);
  });

  it.each([
    ['b------', 'size'],
    ['dx-----', 'layout'],
    ['ddd----', 'drive'],
    ['dddb---', 'drive'],
    ['ddd-b--', 'drive'],
    ['ddd-dx-', 'inspect'],
    ['ddd-dd-', 'sign'],
    ['ddd-ddd', 'sign']
  ])('%s is gone on with at %s', (letters, stage) => {
    expect(stageToOpen(stagesOf(letters))).toBe(stage);
  });
});
