import { describe, expect, it } from 'vitest';
import { layerProfile } from './layer-profile';
import { layersOf } from './layers';

const sheet = (name: string, thicknessIn: number, more = {}) => ({ name, thicknessIn, ...more });

describe('layers along a joint', () => {
  it('lie one beneath the other', () => {
    const { pieces, tallestIn, middlesIn } = layerProfile(
      layersOf([sheet('skin', 0.04), sheet('doubler', 0.05)], 10),
      10
    );
    expect(pieces).toMatchObject([
      { layer: 0, fromIn: 0, toIn: 10, topFromIn: 0, thickToIn: 0.04 },
      { layer: 1, topFromIn: 0.04, topToIn: 0.04, thickFromIn: 0.05 }
    ]);
    expect(tallestIn).toBeCloseTo(0.09, 12);
    expect(middlesIn[1]).toBeCloseTo(0.065, 12);
  });

  it('leave room only where they are', () => {
    const { pieces, tallestIn } = layerProfile(
      layersOf([sheet('skin', 0.04), sheet('strip', 0.032, { toIn: 6 }), sheet('web', 0.05)], 10),
      10
    );
    // beyond 6 in the web lies against the skin
    const beyond = pieces.filter(({ fromIn }) => fromIn === 6);
    expect(beyond.map(({ layer, topFromIn }) => [layer, topFromIn])).toEqual([
      [0, 0],
      [2, 0.04]
    ]);
    expect(tallestIn).toBeCloseTo(0.122, 12);
  });

  it('thin out along a taper, sealant counted between', () => {
    const { pieces } = layerProfile(
      layersOf(
        [sheet('skin', 0.08, { endThicknessIn: 0.04, coatIn: 0.002 }), sheet('web', 0.05)],
        10
      ),
      10
    );
    expect(pieces[1]?.topFromIn).toBeCloseTo(0.082, 4);
    expect(pieces[1]?.topToIn).toBeCloseTo(0.042, 4);
  });
});
