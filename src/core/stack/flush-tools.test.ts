import { describe, expect, it } from 'vitest';
import type { FlushMethod } from './flush-method';
import { arithmetic } from '../../../tests/support/words';
import { flushTools, type FlushTool } from './flush-tools';
import { heldAt, layersOf } from './layers';

const held = (...thick: number[]) =>
  heldAt(
    layersOf(
      thick.map((thicknessIn, at) => ({ name: `sheet ${at + 1}`, thicknessIn })),
      null
    ),
    0
  );
/** flush to 0.002 high: the middle is 0.001 */
const by = (dimpleAngles: 'stepped' | 'all-100') => ({
  dimpleAngles,
  flushness: 'two-proud' as const
});
const ops = (thick: number[], method: FlushMethod, school: 'stepped' | 'all-100') =>
  flushTools(held(...thick), 4, method, by(school), 'clad-2024').map((tool) =>
    tool.op === 'dimple'
      ? `dimple ${tool.punchDeg}/${tool.dieDeg}${tool.together ? ' together' : ''}`
      : tool.op === 'countersink'
        ? `countersink ${tool.cutDeg}`
        : 'plain'
  );

describe('tools for a flush head', () => {
  it.each([
    [[0.063, 0.04], 'countersink', ['countersink 100', 'plain'], ['countersink 100', 'plain']],
    [
      [0.02, 0.02],
      'dimple-together',
      ['dimple 100/110 together', 'dimple 110/120 together'],
      ['dimple 100/100 together', 'dimple 100/100 together']
    ],
    [
      [0.025, 0.032, 0.025],
      'dimple-each',
      // no angle is told for a third sheet
      ['dimple 100/110', 'dimple 110/120', 'dimple 120/null'],
      ['dimple 100/100', 'dimple 100/100', 'dimple 100/100']
    ],
    [
      [0.025, 0.071, 0.04],
      'dimple-top-countersink-under',
      ['dimple 100/110', 'countersink 110', 'plain'],
      ['dimple 100/100', 'countersink 100', 'plain']
    ]
  ] as const)('%j: %s', (thick, method, stepped, all100) => {
    expect(ops([...thick], method, 'stepped')).toEqual(stepped);
    expect(ops([...thick], method, 'all-100')).toEqual(all100);
  });

  it('cuts deeper beneath a dimple and says what is left', () => {
    const [, cut] = flushTools(
      held(0.025, 0.071),
      4,
      'dimple-top-countersink-under',
      by('all-100'),
      'clad-2024'
    );
    // 0.042 + 0.3054073 × 0.025 = 0.0496352, 0.001 less for a head 0.001 high; seven whole clicks more;
    // 0.225 + 2·tan 50° × 0.0076352
    expect(cut).toMatchObject({
      op: 'countersink',
      whenFlushIn: expect.closeTo(0.0496352, 6) as number,
      depthIn: expect.closeTo(0.0486352, 6) as number,
      wallIn: expect.closeTo(0.0223648, 6) as number,
      diameterIn: expect.closeTo(0.2431984, 6) as number,
      byTrial: false,
      nest: { clicks: 7 }
    });
    const stepped = flushTools(
      held(0.025, 0.071),
      4,
      'dimple-top-countersink-under',
      by('stepped'),
      'clad-2024'
    )[1];
    // the same mouth from a #30 hole with a 110° cutter; clicks past flush belong to the 100° one
    expect(stepped).toMatchObject({
      cutDeg: 110,
      byTrial: true,
      nest: null,
      depthIn: expect.closeTo((0.2431984 - 0.1285) / (2 * 1.428148), 6) as number,
      diameterIn: expect.closeTo(0.2431984, 6) as number
    });
  });

  it('shows how deep it cuts and what is left', () => {
    const workOf = (tool: FlushTool | undefined) =>
      tool?.op === 'countersink' ? arithmetic(tool.work) : [];
    const [top] = flushTools(held(0.063, 0.04), 4, 'countersink', by('stepped'), 'clad-2024');
    expect(top).toMatchObject({ byTrial: false, nest: null, diameterIn: 0.225 });
    expect(workOf(top)).toEqual([
      'depth when flush: 100° head of dash 4 = 0.042 in',
      'low limit: shop practice = 0 in',
      'high limit: shop practice = 0.002 in',
      'target: (0 + 0.002) / 2 = 0.001 in',
      'depth of the cut: 0.042 − 0.001 = 0.041 in',
      'left under it: 0.063 − 0.041 = 0.022 in'
    ]);
    const under = (school: 'all-100' | 'stepped') =>
      workOf(
        flushTools(
          held(0.025, 0.071),
          4,
          'dimple-top-countersink-under',
          by(school),
          'clad-2024'
        )[1]
      );
    expect(under('all-100').slice(-2)).toEqual([
      'depth of the cut: 0.049635 − 0.001 = 0.048635 in',
      'left under it: 0.071 − 0.048635 = 0.022365 in'
    ]);
    // the nest's own four lines come first; by the stepped school the last of them is the depth
    expect([under('all-100').length, under('stepped').length]).toEqual([10, 5]);
    expect(under('stepped').at(-1)).toBe('left under it: 0.071 − 0.040156 = 0.030844 in');
  });

  it('names the sheets in their order, the plain ones too', () => {
    expect(
      flushTools(
        held(0.025, 0.071, 0.04),
        4,
        'dimple-top-countersink-under',
        by('stepped'),
        'clad-2024'
      ).map(({ op, sheet, name }) => [op, sheet, name])
    ).toEqual([
      ['dimple', 0, 'sheet 1'],
      ['countersink', 1, 'sheet 2'],
      ['plain', 2, 'sheet 3']
    ]);
  });

  it.each([
    // a top sheet thick enough to be cut is not
    [[0.025, 0.025, 0.03], 'dimple-each', ['dimple', 'dimple', 'dimple']],
    [[0.025, 0.025, 0.05], 'dimple-each', ['dimple', 'dimple', 'dimple']],
    [[0.03, 0.032, 0.036], 'none', ['dimple', 'dimple', 'dimple']],
    [[0.025, 0.045], 'none', ['dimple', 'countersink']],
    [[0.04, 0.063], 'none', ['countersink', 'plain']]
  ] as const)('%j by %s', (thick, method, expected) => {
    expect(
      flushTools(held(...thick), 4, method, by('all-100'), 'clad-2024').map(({ op }) => op)
    ).toEqual(expected);
  });

  it('leaves less than nothing where the cut goes through', () => {
    const [top] = flushTools(held(0.04, 0.04), 5, 'none', by('stepped'), 'clad-2024');
    expect(top).toMatchObject({ op: 'countersink', wallIn: expect.closeTo(-0.015, 12) as number });
  });

  it('asks for heat in the harder tempers', () => {
    const [skin, doubler] = held(0.025, 0.032);
    if (!skin || !doubler) throw new Error('two sheets');
    const hot = (material: typeof skin.material, family: 'clad-2024' | 'high-strength') =>
      flushTools([{ ...skin, material }, doubler], 4, 'dimple-each', by('stepped'), family).map(
        (tool) => (tool.op === 'dimple' ? tool.hot : '')
      );
    expect(hot('7075-T6 clad', 'clad-2024')).toEqual(['hot', 'cold']);
    expect(hot('', 'high-strength')).toEqual(['ask', 'ask']);
    expect(hot('2024-T3 clad', 'high-strength')).toEqual(['cold', 'ask']);
  });
});
