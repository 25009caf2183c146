import { describe, expect, it } from 'vitest';
import { rulerTicks } from './tape';

const numbered = (ticks: ReturnType<typeof rulerTicks>) =>
  ticks.filter((tick) => tick.text !== null).map((tick) => [tick.atIn, tick.text]);

describe('a drawn ruler', () => {
  it('numbers whole inches and divides to the chosen scale', () => {
    const ticks = rulerTicks(2, '1/32', 500);
    expect(numbered(ticks)).toEqual([
      [0, '0 in'],
      [1, '1'],
      [2, '2']
    ]);
    // 32 divisions an inch over 2 in, both ends
    expect(ticks).toHaveLength(65);
  });

  it('leaves out divisions that could not be told apart', () => {
    // 64ths at 100 px/in would be 1.6 px apart: sixteenths are the finest left
    expect(rulerTicks(1, '1/64', 100)).toHaveLength(17);
  });

  it('numbers centimetres on a metric ruler', () => {
    const ticks = rulerTicks(3 / 2.54, '1mm', 500);
    expect(numbered(ticks).map(([, text]) => text)).toEqual(['0 cm', '1', '2', '3']);
    expect(ticks).toHaveLength(31);
  });

  it('numbers every second, fifth or tenth where numbers would stand over each other', () => {
    const texts = (pxPerIn: number) => numbered(rulerTicks(25, '1/32', pxPerIn)).map(([, t]) => t);
    expect(texts(30).slice(0, 4)).toEqual(['0 in', '2', '4', '6']);
    expect(texts(9).slice(0, 4)).toEqual(['0 in', '5', '10', '15']);
    expect(texts(4).slice(0, 3)).toEqual(['0 in', '10', '20']);
  });
});
