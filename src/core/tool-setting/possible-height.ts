import { notPossible, type Answer } from '../answer.ts';
import { above } from '../units/tolerance.ts';
import { headBand } from './head-band.ts';
import type { ToolSetup } from './tool-setup.ts';

/** The head cannot stand higher than the rivet did; lengths of rivets vary by so much. */
const LONGER_RIVET_IN = 0.015;
const NOTHING: Answer<null> = { ok: true, result: null, work: [] };

/**
 * A height over what stood out before driving is a slipped figure.
 *
 * @param heightIn null where none was measured
 * @param gripIn of the stack that the head was made in; null: that of the setting
 * @throws never
 */
export function possibleHeight(
  setup: ToolSetup,
  heightIn: number | null,
  gripIn: number | null = null
): Answer<null> {
  if (heightIn === null || setup.tool === 'dies') return NOTHING;
  const band = headBand(gripIn === null ? setup : { ...setup, gripIn });
  if (!band.ok) return band;
  const { freeIn } = band.result;
  return above(heightIn, freeIn + LONGER_RIVET_IN)
    ? notPossible('heightIn', { code: 'head-over-free-end', heightIn, freeIn })
    : NOTHING;
}
