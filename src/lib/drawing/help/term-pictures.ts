/** A schematic, not to scale, with the part that a term means drawn in color. */
export interface TermPicture {
  /** seen from above; cut through one rivet before and after driving; cut through a flush head; dimpled sheets */
  view: 'plan' | 'section' | 'flush' | 'dimple';
  /** what is colored: paths, in the view's 170 × 96 */
  paths: readonly string[];
  /** filled, not only outlined */
  fill?: boolean;
}

/** A dimension with strokes at its ends. */
const across = (x1: number, x2: number, y: number): string =>
  `M${x1} ${y}H${x2}M${x1} ${y - 5}v10M${x2} ${y - 5}v10`;
const upright = (x: number, y1: number, y2: number): string =>
  `M${x} ${y1}V${y2}M${x - 5} ${y1}h10M${x - 5} ${y2}h10`;
const DOME = 'M42 36a18 14 0 0 1 36 0z';
const DRIVEN_DOME = 'M102 36a18 14 0 0 1 36 0z';

export const TERM_PICTURES: Readonly<Record<string, TermPicture>> = {
  datum: { view: 'plan', paths: ['M12 8V88'] },
  'edge distance': { view: 'plan', paths: [upright(64, 14, 38)] },
  'keep-out': { view: 'plan', paths: ['M98 22h24v30h-24z'], fill: true },
  'layout mark': { view: 'plan', paths: [across(12, 94, 84), 'M94 38v46'] },
  'open hole': { view: 'plan', paths: ['M94 28l10 10l-10 10l-10 -10z'] },
  pitch: { view: 'plan', paths: [across(64, 94, 26)] },
  'rivet row': { view: 'plan', paths: ['M12 38H158'] },
  'transverse pitch': { view: 'plan', paths: [upright(146, 38, 64), 'M124 38h22M124 64h22'] },
  'driven height': { view: 'section', paths: [upright(152, 58, 69)] },
  grip: { view: 'section', paths: [upright(20, 36, 58)] },
  'manufactured head': { view: 'section', paths: [DOME, DRIVEN_DOME], fill: true },
  protrusion: { view: 'section', paths: [upright(82, 58, 84)] },
  'shop head': { view: 'section', paths: ['M100 58q-4 5 0 11h40q4 -6 0 -11z'], fill: true },
  'stack-up': { view: 'section', paths: ['M10 36h150v10h-150z', 'M10 46h150v12h-150z'] },
  'universal head': { view: 'section', paths: [DOME, DRIVEN_DOME], fill: true },
  countersink: { view: 'flush', paths: ['M58 36l17 14h20l17 -14z'] },
  'flush head': { view: 'flush', paths: ['M58 36l17 14h20l17 -14z'], fill: true },
  'bucking bar': { view: 'section', paths: ['M92 69h56v18h-56z'], fill: true },
  dimple: { view: 'dimple', paths: ['M10 32H52L70 46H100L118 32H160'] },
  'nested dimple': {
    view: 'dimple',
    paths: ['M10 32H52L70 46H100L118 32H160', 'M10 42H52L70 56H100L118 42H160']
  }
};
