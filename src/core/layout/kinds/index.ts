import type { Joint } from '../../joint/kinds.ts';
import type { LaidKind, LayContext } from './kind-layout.ts';
import { layLap } from './lap.ts';
import { layLine } from './line.ts';
import { layPanel } from './panel.ts';
import { layPatch } from './patch.ts';
import { layRound } from './round.ts';
import { layTapered } from './tapered.ts';
import { laySandwich, laySplice } from './two-sided.ts';

/**
 * Lays a joint out by its kind.
 *
 * @returns parts, rivet lines and figures, or the limit that stops it
 * @source handbook 4.2
 */
export function layKind(joint: Joint, context: LayContext): LaidKind {
  switch (joint.kind) {
    case 'lap':
      return layLap(joint, context);
    case 'splice':
      return laySplice(joint, context);
    case 'sandwich':
      return laySandwich(joint, context);
    case 'patch':
      return layPatch(joint, context);
    case 'round':
      return layRound(joint, context);
    case 'line':
      return layLine(joint, context);
    case 'tapered':
      return layTapered(joint, context);
    case 'panel':
      return layPanel(joint, context);
  }
}
