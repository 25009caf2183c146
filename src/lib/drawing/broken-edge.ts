/**
 * The zigzag where a drawing breaks a sheet off, as path commands going on from the current point.
 *
 * @param fromX start, px
 * @param toX end, px
 * @param y the line it runs along, px
 * @param depth how far the teeth go, px
 */
export function brokenEdge(fromX: number, toX: number, y: number, depth = 6): string {
  const teeth = Math.max(2, 2 * Math.round(Math.abs(toX - fromX) / 90));
  const step = (toX - fromX) / teeth;
  return Array.from({ length: teeth }, (_, tooth) => {
    const x = fromX + (tooth + 1) * step;
    return `L${x} ${tooth % 2 === 0 ? y + depth : y}`;
  }).join(' ');
}
