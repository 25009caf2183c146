import { describe, expect, it } from 'vitest';
import { definition, layoutOf } from '../../../../tests/support/joints';
import type { Place } from './part-path';
import { dimTextPx } from '../dim-text';
import { besideDrawingPx, datumLine, placeDims } from './plan-dims';
import { extentOf } from './plan-scene';

const place: Place = { x: (inches) => 100 * inches, y: (inches) => 100 * inches, pxPerIn: 100 };
const write = (inches: number) => String(Number(inches.toFixed(4)));

describe('dimensions round a drawing', () => {
  const lap = layoutOf(
    definition('lap', ['0.040', '0.040'], {
      widthIn: '6',
      dash: 4,
      rows: 1,
      perInch: '2.1',
      perInchReason: 'test',
      datum: 'end'
    })
  );
  const extent = extentOf(lap.parts);
  const dims = placeDims(lap, lap.holes, extent, place, write);

  it('give the width, the lap and how the row divides', () => {
    expect(dims.map(({ text }) => text)).toEqual([
      '6',
      '0.5625 lap',
      '5.4375 between end rivets = 12 × 0.4531'
    ]);
    expect(dims[0]).toMatchObject({ axis: 'x', from: 0, to: 600, strong: true });
    expect(dims[2]?.from).toBeCloseTo(28.125, 9);
  });

  it('stand outside the metal', () => {
    expect(dims[0]?.at).toBeLessThan(100 * extent.yIn);
    expect(dims[1]?.at).toBeLessThan(0);
    expect(dims[2]?.at).toBeGreaterThan(100 * (extent.yIn + extent.hIn));
  });

  it('have room beside the drawing in every unit', () => {
    const inMm = (inches: number) => `${(25.4 * inches).toFixed(2)} mm`;
    const beside = dims.filter(({ axis }) => axis === 'y');
    for (const written of [write, inMm]) {
      const roomPx = besideDrawingPx(lap.dims, written);
      for (const { at, text } of placeDims(lap, lap.holes, extent, place, written).filter(
        ({ axis, side }) => axis === 'y' && side === 'left'
      ))
        // from the drawing's left edge: the line, a gap and the text
        expect(roomPx).toBeGreaterThanOrEqual(-at + 10 + dimTextPx(text));
    }
    expect(beside.length).toBeGreaterThan(0);
  });

  it('show where marks are measured from', () => {
    expect(datumLine(lap.lines[0], extent, place)).toMatchObject({ x1: 600, x2: 600 });
  });

  it('leave the foot to the cutout of a patch, and have no datum line for a ring', () => {
    const patch = layoutOf(
      definition('patch', ['0.032', '0.040'], {
        carries: 'attach',
        dash: 4,
        cutoutWIn: '4',
        cutoutHIn: '3',
        cornerRadiusIn: '1/4'
      })
    );
    const texts = placeDims(patch, patch.holes, extentOf(patch.parts), place, write).map(
      ({ text }) => text
    );
    expect(texts).toEqual(['5.125 doubler', '4.125 doubler', '4 cutout', '3 cutout']);
    const left = patch.lines.find(({ key }) => key === 'skin-left');
    expect(datumLine(left, extentOf(patch.parts), place)).toMatchObject({ y1: 0, y2: 0 });
    const round = layoutOf(
      definition('round', ['0.032', '0.040'], {
        cutoutIn: '3',
        dash: 4,
        insert: false,
        carries: 'attach'
      })
    );
    expect(datumLine(round.lines[0], extentOf(round.parts), place)).toBeNull();
  });
});
