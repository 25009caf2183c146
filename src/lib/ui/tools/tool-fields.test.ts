import { describe, expect, it } from 'vitest';
import { STARTING_TOOLS } from '$core/drive/driving-tools.ts';
import { blankTool, TOOL_GROUPS, toolsOf, typedTools } from './tool-fields.ts';

describe('the shop’s tools as typed', () => {
  it('come back as they were', () => {
    expect(toolsOf(typedTools(STARTING_TOOLS))).toEqual({
      tools: STARTING_TOOLS,
      wrong: new Map()
    });
  });

  it('take lengths as one writes them', () => {
    const typed = typedTools(STARTING_TOOLS);
    const [yoke] = typed.yokes;
    if (!yoke) throw new Error('no yoke');
    yoke['throatIn'] = '2 1/2';
    yoke['gapIn'] = '38.1 mm';
    expect(toolsOf(typed).tools?.yokes[0]).toMatchObject({
      throatIn: 2.5,
      gapIn: expect.closeTo(1.5, 12) as number
    });
    const [wedge] = typed.wedgeBars;
    if (!wedge) throw new Error('no wedge bar');
    wedge['shimsIn'] = '1/16, 0.2; 3 mm';
    expect(toolsOf(typed).tools?.wedgeBars[0]?.shimsIn).toEqual([0.0625, 0.2, 3 / 25.4]);
  });

  it('say which field of which tool is wrong, and keep nothing then', () => {
    const typed = typedTools(STARTING_TOOLS);
    const bars = TOOL_GROUPS.find(({ key }) => key === 'bars');
    const bar = blankTool(bars?.fields ?? []);
    typed.bars.push({ ...bar, name: 'bar, own', weightLb: 'heavy', radiusIn: '0.5' });
    const { tools, wrong } = toolsOf(typed);
    expect(tools).toBeNull();
    expect([...wrong.keys()].sort()).toEqual([`${bar.id}.heightIn`, `${bar.id}.weightLb`]);
  });
});
