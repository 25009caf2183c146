import type { Refusal } from '../../../core/answer.ts';
import { dxfR12 } from '../../../core/exchange/dxf-r12.ts';
import { patternOf, withCaptions } from '../../../core/exchange/pattern.ts';
import { svgPattern } from '../../../core/exchange/svg.ts';
import { tile } from '../../../core/exchange/tiles.ts';
import type { Joint } from '../../../core/kinds/joint.ts';
import type { JointLayout, Plan } from '../../../core/plan/plan-shape.ts';
import type { InMetal } from '../../../core/releases/in-metal.ts';
import type { RuleProfile } from '../../../core/rules/profile.ts';
import type { LengthStyle } from '../../../core/units/format-length.ts';
import type { FileWish } from '../../joint-files.ts';
import { drilledInWords, SEEN_FROM } from '../../words/pattern.ts';
import { writing } from '../../words/writing.ts';
import { pdfPattern } from './pdf-pattern.ts';

/** What a pattern's file is made of. */
export interface PatternWish {
  file: 'pattern.pdf' | 'pattern.svg' | 'pattern.dxf';
  wish: FileWish;
  layout: JointLayout;
  profile: RuleProfile;
  fixed: Joint['fixed'];
  existing: Plan['existing'];
  reworked: readonly InMetal[];
  /** job, joint, revision and part */
  title: string;
  /** what stops the joint, in words */
  stops: readonly string[];
  /** null: decimal inches */
  style: LengthStyle | null;
}

/** The bytes of a pattern's file; a pattern that does not fit its paper says so. */
export type PatternBody =
  { ok: true; body: string | Uint8Array } | { ok: false; error: Pick<Refusal, 'said'> };

/** The pattern of one part, or of all parts on layers of their own. */
export async function patternBody({
  file,
  wish: { paper, unit, part },
  layout,
  profile,
  fixed,
  existing,
  reworked,
  title,
  stops,
  style
}: PatternWish): Promise<PatternBody> {
  const length = writing(style);
  const pattern = patternOf({ layout, profile, fixed, existing, reworked, part });
  const nameOf = (one: string | null) =>
    layout.parts.find((known) => known.key === one)?.name ?? '';
  const lines = [
    ...pattern.drills.map((row) => drilledInWords(row, nameOf(row.part), length)),
    SEEN_FROM
  ];
  if (file === 'pattern.pdf') {
    const tiling = tile(pattern, paper);
    return tiling.ok
      ? { ok: true, body: await pdfPattern(pattern, tiling.result, { title, lines, stops }) }
      : { ok: false, error: tiling.error };
  }
  const captioned = withCaptions(pattern, [
    { layer: 'TEXT', text: title },
    ...stops.map((text) => ({ layer: 'WARNINGS' as const, text })),
    ...lines.map((text) => ({ layer: 'TEXT' as const, text }))
  ]);
  return {
    ok: true,
    body:
      file === 'pattern.svg' ? svgPattern(captioned, title, stops) : dxfR12(captioned, title, unit)
  };
}
