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

  it('change where one begins or ends inside the joint, and nowhere else', () => {
    const { placesIn, pieces, tallestIn, middlesIn } = layerProfile(
      layersOf(
        [
          sheet('skin', 0.04, { fromIn: 0, toIn: 10, coatIn: 0.003 }),
          sheet('early', 0.02, { fromIn: -2, toIn: 3 }),
          sheet('late', 0.06, { fromIn: 7, toIn: 12 })
        ],
        10
      ),
      10
    );
    expect(placesIn).toEqual([0, 3, 7, 10]);
    expect(pieces.map(({ layer, fromIn, toIn }) => [layer, fromIn, toIn])).toEqual([
      [0, 0, 3],
      [1, 0, 3],
      [0, 3, 7],
      [0, 7, 10],
      [2, 7, 10]
    ]);
    // 0.040 + 0.003 + 0.060; the late one's middle lies under skin and sealant, where the early one is gone
    expect(tallestIn).toBeCloseTo(0.103, 12);
    expect(middlesIn).toEqual([0.02, 0.053, 0.073].map((at): unknown => expect.closeTo(at, 12)));
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
