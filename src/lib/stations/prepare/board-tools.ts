import type { ReadyStep } from '../../../core/prepare/step-list.ts';
import type { StepSaid } from '../../../core/prepare/step-said.ts';
import { stepInWords } from '../../words/ready-steps.ts';
import type { WriteLength } from '../../words/writing.ts';

/** What a tool looks like from across the bench. */
export type Silhouette =
  'drill' | 'saw' | 'cutter' | 'dies' | 'holder' | 'clamp' | 'punch' | 'deburr' | 'brush' | 'file';

/** One tool that a joint's steps ask for. */
export interface BoardTool {
  /** the same tool of several steps is there once */
  key: string;
  silhouette: Silhouette;
  /** as the step names it */
  name: string;
  /** what it is set to; a tool set otherwise is another one */
  setting: string;
  /** steps that take it, by their place in the list */
  steps: number[];
}

const LOOKS: Record<StepSaid['op'], Silhouette> = {
  relief: 'drill',
  cutOut: 'saw',
  cutPart: 'saw',
  fit: 'file',
  stopDrill: 'drill',
  match: 'drill',
  clamp: 'clamp',
  punch: 'punch',
  pilot: 'drill',
  holder: 'holder',
  upDrill: 'drill',
  openDrill: 'drill',
  growth: 'drill',
  part: 'file',
  edges: 'file',
  chips: 'brush',
  deburr: 'deburr',
  reassemble: 'holder',
  clean: 'brush',
  prime: 'brush',
  film: 'file',
  dimple: 'dies',
  countersink: 'cutter'
};

/** The tools of a joint's steps in the order they are first taken up, each once. */
export function boardTools(steps: readonly ReadyStep[], length: WriteLength): BoardTool[] {
  const tools = new Map<string, BoardTool>();
  steps.forEach((step, index) => {
    const { tool, setting } = stepInWords(step, length);
    if (tool === '') return;
    const key = `${LOOKS[step.said.op]} ${tool} ${setting}`;
    const known = tools.get(key);
    if (known) known.steps.push(index + 1);
    else
      tools.set(key, {
        key,
        silhouette: LOOKS[step.said.op],
        name: tool,
        setting,
        steps: [index + 1]
      });
  });
  return [...tools.values()];
}
