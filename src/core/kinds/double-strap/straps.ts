import { above } from '../../units/tolerance.ts';
import type { KindLayout } from '../kind-layout.ts';
import type { DoubleStrap } from './fields.ts';

/** What is held: the two ends of the member and the straps on it, the one under the manufactured head first. */
export interface Straps {
  near: string;
  far: string;
  straps: { name: string; layer: 'over' | 'under'; thicknessIn: number }[];
  warnings: KindLayout['warnings'];
}

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
    far: `${held.name}, other part`,
    straps: [
      { name: top.name, thicknessIn: top.thicknessIn, layer: 'over' },
      ...rest.map(({ name, thicknessIn }) => ({ name, thicknessIn, layer: 'under' as const }))
    ],
    warnings
  };
}
