import { above } from '../../units/tolerance.ts';
import type { Shape } from '../../layout/shapes.ts';
import type { KindLayout } from '../kind-layout.ts';
import { beside, cutPieces, type Piece } from '../pieces.ts';
import type { DoubleStrap } from './fields.ts';

/** What is held: the two ends of the member and the straps on it, the one under the manufactured head first. */
export interface Straps {
  near: string;
  far: string;
  straps: { name: string; layer: 'over' | 'under'; thicknessIn: number }[];
  /** everything that is taken in hand, its straps of this outline */
  pieces(strap: Shape): Piece[];
  warnings: KindLayout['warnings'];
}

/** The layer of the broken member between its straps. */
const MEMBER = 2;
const otherPart = (name: string): string => `${name}, other part`;

/** The member and its straps by their names, with what is missing or too thin. */
export function strapsOf({ sheets }: DoubleStrap): Straps {
  const [first, member, ...rest] = sheets;
  const held = member ?? { name: 'member', thicknessIn: 0 };
  const top = first ?? { name: 'strap', thicknessIn: 0 };
  const strapsIn = top.thicknessIn + rest.reduce((sum, strap) => sum + strap.thicknessIn, 0);
  const warnings: KindLayout['warnings'] = [];
  if (rest.length === 0) warnings.push({ level: 'stop', said: { code: 'strap-missing' } });
  if (above(held.thicknessIn, strapsIn))
    warnings.push({
      level: 'attention',
      said: { code: 'straps-thinner', strapsIn, memberIn: held.thicknessIn, of: 'member' }
    });
  return {
    near: held.name,
    far: otherPart(held.name),
    straps: [
      { name: top.name, thicknessIn: top.thicknessIn, layer: 'over' },
      ...rest.map(({ name, thicknessIn }) => ({ name, thicknessIn, layer: 'under' as const }))
    ],
    pieces: (strap) =>
      beside(
        cutPieces(sheets, (layer) => layer !== MEMBER, strap),
        [{ name: otherPart(held.name), layer: MEMBER, thicknessIn: held.thicknessIn }]
      ),
    warnings
  };
}
