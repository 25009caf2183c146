import { describe, expect, it } from 'vitest';
import { definition, planned } from '../../../../tests/support/joints';
import { DEFAULT_PROFILE } from '../../../core/rules/profile';
import { readyPlan } from '../../../core/prepare/ready-plan';
import { STARTING_FIGURES } from '../../../core/prepare/shop-figures';
import { inInches } from '../../words/writing';
import { boardTools } from './board-tools';

const toolsOf = (head: 'universal' | 'countersunk') => {
  const joint = definition('lap', ['0.063', '0.063'], {
    widthIn: '8',
    dash: 4,
    head,
    perInch: '1.6',
    perInchReason: 'test'
  });
  const plan = planned(joint);
  return boardTools(readyPlan(joint, plan, DEFAULT_PROFILE, STARTING_FIGURES, []).steps, inInches);
};

describe('the tools of a joint', () => {
  it('are each there once, with the steps that take them', () => {
    const tools = toolsOf('universal');
    expect(new Set(tools.map(({ key }) => key)).size).toBe(tools.length);
    expect(tools.map(({ silhouette }) => silhouette)).toEqual(
      expect.arrayContaining(['clamp', 'punch', 'drill', 'holder', 'deburr'])
    );
    expect(tools.map(({ name }) => name).join()).toContain('#40');
    expect(tools.map(({ name }) => name).join()).toContain('#30');
    expect(tools.every(({ steps }) => steps.length > 0)).toBe(true);
    expect(tools.some(({ silhouette }) => silhouette === 'cutter')).toBe(false);
  });

  it('have a cutter where heads lie flush', () => {
    expect(toolsOf('countersunk').find(({ silhouette }) => silhouette === 'cutter')?.name).toMatch(
      /100°/
    );
  });
});
