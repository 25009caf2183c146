import { notPossible, type Answer } from '../answer.ts';
import { countedOf } from '../trial-setting/trial-stream.ts';
import { diesGuide, type DimpleTrial } from './dies-guide.ts';
import { gunGuide, type GunTrial } from './gun-guide.ts';
import { possibleHeight } from './possible-height.ts';
import { squeezerGuide, type SqueezeTrial } from './squeezer-guide.ts';
import type { DiesSetup, GunSetup, SqueezerSetup, ToolSetup } from './tool-setup.ts';
import type { FoundTool, ToolState, ToolTrial } from './tool-moves.ts';

/** Trials that count, as each guide takes them. */
export const squeezes = (state: ToolState): SqueezeTrial[] =>
  countedOf(state).flatMap((trial) => (trial.what === 'squeeze' ? [trial] : []));
export const bursts = (state: ToolState): GunTrial[] =>
  countedOf(state).flatMap((trial): GunTrial[] =>
    trial.what === 'wood'
      ? [{ ...trial, on: 'wood' }]
      : trial.what === 'burst'
        ? [{ ...trial, on: 'rivet' }]
        : []
  );
export const dimples = (state: ToolState): DimpleTrial[] =>
  countedOf(state).flatMap((trial) => (trial.what === 'dimple' ? [trial] : []));

/** What is a tool's own while it is set. */
interface ToolRoom {
  mayTry(state: ToolState, trial: ToolTrial): Answer<null>;
  /** what the trials have found; a refusal where they are not done */
  found(state: ToolState): Answer<FoundTool>;
}

const NOTHING: Answer<null> = { ok: true, result: null, work: [] };
const NOT_THIS_TOOL = notPossible('trial', { code: 'not-this-tool' });
const NOT_DONE = notPossible('kind', { code: 'readings-not-done', here: null });

const squeezerRoom = (setup: SqueezerSetup): ToolRoom => ({
  mayTry(state, trial) {
    if (trial.what !== 'squeeze') return NOT_THIS_TOOL;
    const before = squeezes(state).at(-1);
    if (before && trial.divisions < before.divisions && !trial.fresh)
      return notPossible('fresh', { code: 'fresh-rivet-first' });
    return possibleHeight(setup, trial.read.by === 'caliper' ? trial.read.heightIn : null);
  },
  found(state) {
    const guide = squeezerGuide(setup, squeezes(state));
    if (!guide.ok) return guide;
    const { said, line, work } = guide.result;
    if (said.state !== 'done' || !line) return NOT_DONE;
    const { divisions } = said;
    return { ok: true, result: { tool: 'squeezer', divisions, slopeIn: line.slopeIn }, work };
  }
});

const gunRoom = (setup: GunSetup): ToolRoom => ({
  mayTry(state, trial) {
    if (trial.what === 'wood') return NOTHING;
    if (trial.what !== 'burst') return NOT_THIS_TOOL;
    const guide = gunGuide(setup, bursts(state));
    if (!guide.ok) return guide;
    if (guide.result.airPsi === null) return notPossible('trial', { code: 'wood-first' });
    if (guide.result.said.state === 'over-driven' && !trial.fresh)
      return notPossible('fresh', { code: 'fresh-rivet-first' });
    return possibleHeight(setup, trial.heightIn);
  },
  found(state) {
    const guide = gunGuide(setup, bursts(state));
    if (!guide.ok) return guide;
    const { said, work } = guide.result;
    if (said.state !== 'done') return NOT_DONE;
    const { airPsi, seconds } = said;
    return { ok: true, result: { tool: 'gun', airPsi, seconds }, work };
  }
});

const diesRoom = (setup: DiesSetup): ToolRoom => ({
  mayTry: (_, trial) => (trial.what === 'dimple' ? NOTHING : NOT_THIS_TOOL),
  found(state) {
    const { said } = diesGuide(setup, dimples(state));
    return said.state === 'done'
      ? { ok: true, result: { tool: 'dies', divisions: said.divisions }, work: [] }
      : NOT_DONE;
  }
});

/** The room of the tool that is set. */
export function roomOf(setup: ToolSetup): ToolRoom {
  switch (setup.tool) {
    case 'squeezer':
      return squeezerRoom(setup);
    case 'gun':
      return gunRoom(setup);
    case 'dies':
      return diesRoom(setup);
  }
}
