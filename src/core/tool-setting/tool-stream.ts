import { notPossible } from '../answer.ts';
import { heldAgainst } from '../inspect/at-its-limit.ts';
import { drivenHead } from '../inspect/driven-head.ts';
import type { Verdict } from '../inspect/findings.ts';
import { trialStream, type TrialMove } from '../trial-setting/trial-stream.ts';
import { possibleHeight } from './possible-height.ts';
import { FoundTool, ToolMove, type Judged, type Made, type ToolTrial } from './tool-moves.ts';
import { roomOf } from './tool-rooms.ts';
import type { ToolSetup } from './tool-setup.ts';

/** How a head or dimple is judged; a cracked or ringed dimple is damaged metal. */
function judged(setup: ToolSetup, made: Made): Pick<Judged, 'verdict' | 'good'> {
  const plain = (verdict: Verdict) => ({ verdict, good: verdict === 'accept' });
  if (made.what === 'dimple')
    return plain(made.cracks || made.ring ? 'refer' : made.nests ? 'accept' : 'drive-more');
  if (setup.tool === 'dies') return plain('refer');
  const { dash, limits } = setup;
  const { diameterIn, heightIn } = made;
  const head = drivenHead({
    ...heldAgainst({ dash, limits, diameterIn, heightIn }),
    flags: []
  });
  if (!head.ok) return plain('refer');
  const { verdict, findings } = head.result;
  return { verdict, good: verdict === 'accept' && findings.length === 0 };
}

type Looked = Pick<ToolMove & { kind: 'made' }, 'made' | 'gripIn' | 'lot'>;

function told(move: ToolMove): TrialMove<ToolTrial, null, Looked> {
  switch (move.kind) {
    case 'trial':
      return { does: 'try', trial: move.trial };
    case 'struck':
      return { does: 'strike', trial: move.trial, why: move.why };
    case 'kept':
      return { does: 'keep', kept: null };
    case 'made':
      return { does: 'look', made: move };
    case 'withdrawn':
      return { does: 'withdraw', why: move.why };
  }
}

/** The trials of one setting of a tool, the first heads made with it, and every look after them. */
export const toolStream = trialStream<
  ToolSetup,
  ToolMove,
  ToolTrial,
  null,
  FoundTool,
  Looked,
  Judged
>({
  name: 'tool',
  Move: ToolMove,
  Found: FoundTool,
  told,
  mayTry: (setup, state, trial) => roomOf(setup).mayTry(state, trial),
  found: (setup, state) => roomOf(setup).found(state),
  mayLook(setup, _, { made, gripIn }) {
    if ((made.what === 'dimple') !== (setup.tool === 'dies'))
      return notPossible('made', { code: 'not-this-tool' });
    return possibleHeight(setup, made.what === 'head' ? made.heightIn : null, gripIn);
  },
  judged: (setup, { made, gripIn, lot }) => ({ made, ...judged(setup, made), gripIn, lot })
});
