import type { MeasuredSpan } from '../../core/plan/measured-span.ts';
import type { WriteLength } from './writing.ts';

const tenThousandths = (lengthIn: number): number => Math.round(lengthIn * 1e4) / 1e4;

/** What a measured span says against the plan. */
export function spanInWords(
  { differenceIn, spaces, pitchIn, breaks }: MeasuredSpan,
  length: WriteLength
): string {
  const off = tenThousandths(Math.abs(differenceIn));
  const way = differenceIn > 0 ? 'more' : 'less';
  const against =
    breaks === null
      ? ''
      : `, ${breaks.rule === 'pitch-min' ? 'below minimum' : 'above maximum'} of ${length(breaks.limitIn)}`;
  return `${off === 0 ? 'As planned' : `${length(off)} ${way} than planned`}: ${spaces} spaces of ${length(tenThousandths(pitchIn))}${against}.`;
}
