import { notPossible, workLine, type Answer, type WorkLine } from '../answer.ts';
import { limitsCalled, NOMINAL_HEIGHT_D } from '../catalog/head-limits.ts';
import { rivetSize } from '../catalog/rivets.ts';
import { by, len } from '../notation.ts';
import { predictHead } from '../stack/predict-head.ts';
import type { HeadSetup } from './tool-setup.ts';

/** The heights at which this rivet’s head is good in height and width alike; inches. */
export interface HeadBand {
  lowIn: number;
  highIn: number;
  targetIn: number;
  /** of the rivet past the sheets before it is driven, past the dimple where there is one */
  freeIn: number;
  volumeIn3: number;
  work: WorkLine[];
}

/** Nobody aims at a limit itself: so much of what lies between them is kept inside. */
const KEPT_INSIDE = 0.25;

/**
 * Where to stop: nominal height where the metal allows it, else well inside the heights at which the head is neither too
 * narrow nor too wide.
 *
 * @returns `not-possible` where no height gives a good head: another length is wanted
 * @throws never
 * @source drive and inspect; calculation `predict-head`
 */
export function headBand(setup: HeadSetup): Answer<HeadBand> {
  const { dash, head, gripIn, lengthIn, holeIn, limits, dimpled, wideIn3 } = setup;
  const { diameterIn: D, head: heads } = rivetSize(dash);
  const found = predictHead(
    { dash, head, gripIn, lengthIn, holeIn, limits, dimpled },
    { volumeIn3: wideIn3, work: [] }
  );
  if (!found.ok) return found;
  const { heightBandD, volumeIn3 } = found.result;
  if (heightBandD === null)
    return notPossible('lengthIn', {
      code: 'no-good-head',
      dash,
      lengthIn,
      gripIn,
      limits: limitsCalled(limits)
    });
  const lowIn = heightBandD.low * D;
  const highIn = heightBandD.high * D;
  const nominalIn = NOMINAL_HEIGHT_D * D;
  const insideIn = KEPT_INSIDE * (highIn - lowIn);
  const targetIn = Math.min(highIn - insideIn, Math.max(lowIn + insideIn, nominalIn));
  const sunkIn = dimpled ? heads.countersunk.heightIn : 0;
  const freeIn = lengthIn - gripIn - sunkIn;
  const work = [
    ...found.work,
    workLine('lowest good head', by`${heightBandD.low.toFixed(3)} × ${len(D)}`, lowIn, 'in'),
    workLine('highest good head', by`${heightBandD.high.toFixed(3)} × ${len(D)}`, highIn, 'in'),
    workLine(
      'aim at',
      by`½ D = ${len(nominalIn)}, inside these by a quarter of what lies between`,
      targetIn,
      'in'
    ),
    workLine(
      'protrusion before driving',
      by`${len(lengthIn)} − ${len(gripIn)}${dimpled ? by` − ${len(sunkIn)}` : ''}`,
      freeIn,
      'in'
    )
  ];
  return { ok: true, result: { lowIn, highIn, targetIn, freeIn, volumeIn3, work }, work };
}
