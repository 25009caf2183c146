import { isPractice } from '../../../core/joint/practice.ts';
import {
  chipDigits,
  stageLetters,
  type Chip,
  type JobLine,
  type JointLine
} from '../../api/job-lines.ts';
import { countDriven, countInspected } from '../../words/counts.ts';
import type { JointSummary } from './joint-summaries.ts';
import type { JobView } from './jobs.ts';

/** The chips that a joint stands under. */
function chipsOf(joint: JointSummary): Chip[] {
  const { mine, state, marks, driven, holes, inspected } = joint;
  const open = state === 'checking' || state === 'checked';
  const bad = marks['drive-more'] + marks.replace + marks.refer + marks.out > 0;
  return [
    ...(mine ? ['mine' as const] : []),
    ...(bad && open ? ['bad' as const] : []),
    ...(open && driven < holes ? ['to-drive' as const] : []),
    ...(open && inspected < holes ? ['to-inspect' as const] : []),
    ...(open && !bad && inspected === holes ? ['to-sign' as const] : []),
    ...(state === 'signed' ? ['signed' as const] : [])
  ];
}

/** How far its driving and inspection are. */
const farOf = ({ state, driven, holes, inspected }: JointSummary): string =>
  state !== 'checking' && state !== 'checked'
    ? ''
    : [...(driven > 0 ? [countDriven(driven, holes)] : []), countInspected(inspected, holes)].join(
        ', '
      );

/** One joint as lists show it: what is only not filled in yet needs nobody. */
export const lineOf = (joint: JointSummary): JointLine => ({
  id: joint.id,
  title: joint.title,
  parts: joint.headline,
  stages: stageLetters(joint.stages),
  chips: chipDigits(chipsOf(joint)),
  far: farOf(joint),
  needs: joint.state === 'unreadable' && joint.isOnlyUnfilled ? [] : joint.attention,
  savedMs: Date.parse(joint.savedAt)
});

export const jobLine = ({ id, number, title, place, data, joints }: JobView): JobLine => ({
  id,
  number,
  title,
  place,
  data,
  practice: isPractice({ number }),
  joints: joints.map(lineOf)
});
