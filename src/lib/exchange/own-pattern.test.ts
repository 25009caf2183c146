import { describe, expect, it } from 'vitest';
import { definition, layoutOf } from '../../../tests/support/joints.ts';
import { dxfR12 } from '../../core/exchange/dxf-r12.ts';
import { patternOf } from '../../core/exchange/pattern.ts';
import type { Joint } from '../../core/kinds/joint.ts';
import { DEFAULT_PROFILE } from '../../core/rules/profile.ts';
import { readDxf } from './dxf/read-dxf.ts';
import { holesMeant } from './own-pattern.ts';
import type { Found } from './found.ts';

const JOINTS: [string, Joint][] = [
  [
    'round patch',
    definition('round', ['0.032', '0.032'], { dash: 4, cutoutIn: '3', carries: 'attach' })
  ],
  [
    'patch with reliefs',
    definition('patch', ['0.032', '0.040'], {
      carries: 'attach',
      dash: 4,
      edgeIn: '5/16',
      cornerRadiusIn: '1/4',
      cutoutWIn: '3 1/8',
      cutoutHIn: '2 1/8'
    })
  ],
  [
    'cracked skin',
    definition('patch', ['0.032', '0.040'], {
      carries: 'attach',
      dash: 4,
      edgeIn: '3/8',
      cutoutWIn: '3',
      cutoutHIn: '3',
      crackIn: '2',
      crackTurnDeg: '90'
    })
  ],
  [
    'clear panel',
    definition('panel', ['0.040', '0.187', '0.050'], {
      dash: 4,
      widthIn: '17 1/2',
      heightIn: '11 1/4',
      frameIn: '1 1/4',
      deltaTC: '55'
    })
  ]
];

const readBack = (joint: Joint, unit: 'in' | 'mm'): Found => {
  const layout = layoutOf(joint);
  const pattern = patternOf({ layout, profile: DEFAULT_PROFILE, fixed: [], part: null });
  const read = readDxf(dxfR12(pattern, 'a joint', unit));
  if (!read.ok) throw new Error(read.message);
  return holesMeant(read.found);
};

describe('our own pattern taken back in', () => {
  it.each(JOINTS)('%s: every rivet once, and nothing that is none', (_, joint) => {
    const { holes } = layoutOf(joint);
    for (const unit of ['in', 'mm'] as const) {
      const found = readBack(joint, unit);
      expect(found.holes).toHaveLength(holes.length);
      const to = unit === 'mm' ? 25.4 : 1;
      for (const { xIn, yIn } of holes)
        expect(
          found.holes.some(({ x, y }) => Math.hypot(x / to - xIn, y / to - yIn) < 1e-3),
          `${xIn} ${yIn}`
        ).toBe(true);
      expect(found.leftOut.some(({ what }) => what.startsWith('pilots, rings'))).toBe(true);
    }
  });

  it('has the metal’s edges for an outline, not the lines and marks beside it', () => {
    const layers = readBack(JOINTS[1]?.[1] as Joint, 'in').outlines.map(({ layer }) => layer);
    expect(layers.length).toBeGreaterThan(0);
    expect(layers.every((layer) => layer.endsWith('EDGES'))).toBe(true);
  });
});

describe('another’s drawing', () => {
  const drawn = (holes: Found['holes']): Found => ({
    holes,
    outlines: [],
    inPerUnit: 1,
    leftOut: []
  });
  it('keeps its layers, however they are called, and one hole of circles about one middle', () => {
    const [hole, sunk, other] = [
      { x: 1, y: 2, diameter: 0.128, layer: 'HOLES' },
      { x: 1.0001, y: 2, diameter: 0.225, layer: 'CSK' },
      { x: 3, y: 2, diameter: null, layer: 'RELIEFS' }
    ] as const;
    expect(holesMeant(drawn([sunk, hole, other]))).toEqual({
      ...drawn([hole, other]),
      leftOut: [{ what: 'round a smaller circle about the same middle', count: 1 }]
    });
    // side by side they are two
    const beside = { ...hole, x: 1.2 };
    expect(holesMeant(drawn([hole, beside])).holes).toEqual([hole, beside]);
  });
});
