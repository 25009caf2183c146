import { answer, notPossible, num, workLine, type Answer } from '../answer.ts';
import { gaugeOfMetric } from '../catalog/gauges.ts';
import { LEAST_SHEET_IN, LOCATION_FACTOR, MOST_PER_INCH } from '../catalog/families.ts';
import type { Dash, Family, Head, Location } from '../schema/fields.ts';
import { below, ceilTo } from '../units/tolerance.ts';
import {
  countOver,
  perInchLimits,
  rivetsRequired,
  type RivetsRequiredResult
} from './rivets-required.ts';

export interface NeededInput {
  family: Family;
  thicknessIn: number;
  dash: Dash;
  widthIn: number;
  location: Location;
  head: Head;
  /** `double`: every rivet is cut in two places before the joint parts */
  shear: 'single' | 'double';
  /** the job's own figure with its reason, instead of the guidance's */
  own: { perInch: number; reason: string } | null;
}

/** Rivets needed, and on what the figure rests. */
export interface Needed extends Omit<RivetsRequiredResult, 'critical' | 'warnings'> {
  basis: 'guidance' | 'double-shear' | 'own-data';
  /** null when the job's own figure stands instead of the guidance's */
  critical: 'shear' | 'bearing' | null;
  /** the gauge that a metric sheet was taken for; null where its own thickness was taken */
  asGaugeIn: number | null;
}

function byOwnData(
  { widthIn, location }: NeededInput,
  own: { perInch: number; reason: string },
  guidance: Answer<RivetsRequiredResult>
): Answer<Needed> {
  const factor = LOCATION_FACTOR[location];
  const required = ceilTo(own.perInch * widthIn * factor);
  return answer(
    {
      perInchExact: own.perInch,
      perInch: own.perInch,
      critical: null,
      factor,
      required,
      requiredExact: required,
      asGaugeIn: null,
      basis: 'own-data'
    },
    [
      workLine(
        'the guidance would give',
        guidance.ok ? 'rivets per inch' : [{ refused: guidance.error.said }],
        guidance.ok ? guidance.result.perInch : 'refused',
        guidance.ok ? '/in' : ''
      ),
      workLine('per inch, this job’s own data', own.reason, own.perInch, '/in'),
      workLine(
        'rivets required',
        `⌈per inch × width × factor⌉ = ⌈${num(own.perInch)} × ${num(widthIn)} × ${factor}⌉`,
        required,
        'rivets'
      )
    ]
  );
}

function inDoubleShear(
  input: NeededInput,
  guidance: Answer<RivetsRequiredResult>,
  asGaugeIn: number | null
): Answer<Needed> {
  const { family, thicknessIn, dash, widthIn, location } = input;
  const { bearing, shear } = perInchLimits(family, thicknessIn, dash);
  const half = shear / 2;
  const counted = countOver({ bearing, shear: half }, widthIn, LOCATION_FACTOR[location]);
  const { perInch, critical, factor, required } = counted;
  if (perInch > MOST_PER_INCH)
    return notPossible('dash', {
      code: 'rivet-too-small',
      dash,
      thicknessIn,
      perInch,
      mostPerInch: MOST_PER_INCH,
      shear: 'double'
    });
  return answer(
    {
      ...counted,
      asGaugeIn,
      basis: 'double-shear'
    },
    [
      workLine('bearing', 'as in single shear', bearing, '/in'),
      workLine('shear, two shear planes', `½ × ${num(shear)}`, half, '/in'),
      workLine(`per inch, ${critical} governs`, 'the larger, to one decimal', perInch, '/in'),
      workLine(
        'rivets required',
        `⌈per inch × width × factor⌉ = ⌈${num(perInch)} × ${num(widthIn)} × ${factor}⌉`,
        required,
        'rivets'
      ),
      workLine(
        'in single shear, as the guidance is printed',
        'for comparison',
        guidance.ok ? guidance.result.required : 'refused',
        guidance.ok ? 'rivets' : ''
      )
    ]
  );
}

/**
 * How many rivets a joint needs: by the guidance, by the guidance with the shear limit halved where each
 * rivet is cut twice, or by the job's own rivets-per-inch figure.
 *
 * @returns the count with its basis; a rivet too large for its sheet is refused unless own data says otherwise
 * @throws never
 * @source size; double shear halves the shear term of its formula
 */
export function needed(asked: NeededInput): Answer<Needed> {
  const asGaugeIn = gaugeOfMetric(asked.thicknessIn);
  const input = { ...asked, thicknessIn: asGaugeIn ?? asked.thicknessIn };
  const { family, thicknessIn, dash, widthIn, location, head, own, shear } = input;
  const guidance = rivetsRequired({ family, thicknessIn, dash, widthIn, location, head });
  if (own) return byOwnData(input, own, guidance);
  const tooLarge = below(thicknessIn, LEAST_SHEET_IN[dash] ?? 0);
  if (shear === 'double' && !tooLarge) return inDoubleShear(input, guidance, asGaugeIn);
  if (!guidance.ok) return guidance;
  const { perInch, perInchExact, required, requiredExact, factor, critical } = guidance.result;
  return answer(
    {
      perInch,
      perInchExact,
      required,
      requiredExact,
      factor,
      critical,
      asGaugeIn,
      basis: 'guidance'
    },
    guidance.work
  );
}
