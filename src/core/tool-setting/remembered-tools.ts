import type { WorkLine } from '../answer.ts';
import type { Remembered } from '../trial-setting/remembered.ts';
import { median } from '../units/median.ts';
import { openingBetween } from './squeezer-guide.ts';
import type { HeadSetup, ToolSetup } from './tool-setup.ts';
import { isTrustedTool } from './tool-status.ts';
import type { FoundTool, ToolState } from './tool-moves.ts';

/** A setting that a tool was given once. */
export type RememberedTool = Remembered<ToolSetup, ToolState>;

/** Where to begin from, of what was found before. */
export type ToolOffer<R extends RememberedTool> =
  | { tool: 'squeezer'; from: R; divisions: number; openedBy: number; work: WorkLine[] }
  | { tool: 'gun'; from: R; seconds: number; airPsi: number }
  | { tool: 'dies'; from: R; divisions: number };

const sameRivet = (a: HeadSetup, b: HeadSetup) =>
  a.dash === b.dash && a.head === b.head && a.alloy === b.alloy && a.dimpled === b.dimpled;

/** What a head took at a setting: the middle of its first ones, or of the trial. */
export function secondsAt(state: ToolState, found: FoundTool & { tool: 'gun' }): number {
  const took = state.looks.flatMap(({ made }) =>
    made.what === 'head' && made.seconds !== null ? [made.seconds] : []
  );
  return took.length > 0 ? median(took) : found.seconds;
}

/**
 * The latest trusted setting of the same tool for the same kind of rivet, with how far to open it for this one.
 *
 * @param remembered the latest first
 * @throws never
 */
export function toolOffer<R extends RememberedTool>(
  setup: ToolSetup,
  remembered: readonly R[]
): ToolOffer<R> | null {
  for (const from of remembered) {
    const { setup: had, state } = from;
    const { found } = state;
    if (!isTrustedTool(state) || !found || had.name !== setup.name) continue;
    if (setup.tool === 'squeezer' && had.tool === 'squeezer' && found.tool === 'squeezer') {
      if (!sameRivet(had, setup) || had.turnIn !== setup.turnIn) continue;
      if (had.divisionsPerTurn !== setup.divisionsPerTurn) continue;
      const { divisions: openedBy, work } = openingBetween(had, setup);
      return {
        tool: 'squeezer',
        from,
        divisions: found.divisions - openedBy,
        openedBy,
        work
      };
    }
    if (setup.tool === 'gun' && had.tool === 'gun' && found.tool === 'gun') {
      if (!sameRivet(had, setup)) continue;
      return { tool: 'gun', from, seconds: secondsAt(state, found), airPsi: found.airPsi };
    }
    if (
      setup.tool === 'dies' &&
      had.tool === 'dies' &&
      found.tool === 'dies' &&
      had.dash === setup.dash &&
      had.sheetIn === setup.sheetIn &&
      had.material === setup.material
    )
      return { tool: 'dies', from, divisions: found.divisions };
  }
  return null;
}
