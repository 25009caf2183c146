/** Volume swept by a closed outline (x from the axis, y along it) turned once about the axis. */
export function revolvedIn3(outline: readonly (readonly [number, number])[]): number {
  const sum = outline.reduce((total, [x, y], at) => {
    const [nextX, nextY] = outline[(at + 1) % outline.length] ?? [x, y];
    return total + (nextY - y) * (x * x + x * nextX + nextX * nextX);
  }, 0);
  return Math.abs((Math.PI / 3) * sum);
}
