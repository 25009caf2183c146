import type { JointLayout } from '../plan/plan-shape.ts';
import type { PatternLayer } from './strokes.ts';

/** A hole that gets no rivet: where a cut ends, or a crack. */
export interface EndHole {
  /** as it is called beside its drawing: R1 a relief, S1 a stop-drill */
  name: string;
  layer: Extract<PatternLayer, 'RELIEFS' | 'STOP_DRILL'>;
  xIn: number;
  yIn: number;
  diameterIn: number;
  /** by name; null where it is made by whatever makes that size */
  drill: string | null;
  /** the part that it is in */
  part: string;
}

/** A crack is stopped in the sheet that is cracked. */
const CRACKED = 'skin';

/**
 * Every hole of a joint that gets no rivet and is made all the same, numbered by its kind.
 *
 * @param part one part by its key, or all of them
 */
export function endHolesOf(
  { parts, reliefs, drilledOnly }: Pick<JointLayout, 'parts' | 'reliefs' | 'drilledOnly'>,
  part: string | null
): EndHole[] {
  const cut = parts.find(({ openings }) => openings.length > 0)?.key ?? CRACKED;
  const all: EndHole[] = [
    ...reliefs.map((relief, at) => ({
      name: `R${at + 1}`,
      layer: 'RELIEFS' as const,
      ...relief,
      drill: null,
      part: cut
    })),
    ...drilledOnly.map(({ xIn, yIn, diameterIn, drill }, at) => ({
      name: `S${at + 1}`,
      layer: 'STOP_DRILL' as const,
      ...{ xIn, yIn, diameterIn, drill },
      part: CRACKED
    }))
  ];
  return part === null ? all : all.filter((one) => one.part === part);
}
