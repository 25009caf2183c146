// One line a kind: everything else about it stands in its own room.
export { doubleStrap } from './double-strap/kind.ts';
export { lap } from './lap/kind.ts';
export { line } from './line/kind.ts';
export { panel } from './panel/kind.ts';
export { patch } from './patch/kind.ts';
export { round } from './round/kind.ts';
export { splice } from './splice/kind.ts';
export { tapered } from './tapered/kind.ts';
