import type { EnteredOf, Joint, JointKind, JointOf } from '../../src/core/kinds/joint.ts';
import { newJoint } from '../../src/core/kinds/new-joint.ts';
import { readEntered } from '../../src/core/kinds/read-entered.ts';
import { plan } from '../../src/core/plan/plan.ts';
import type { JointLayout, Plan } from '../../src/core/plan/plan-shape.ts';
import { DEFAULT_PROFILE, type RuleProfile } from '../../src/core/rules/profile.ts';
import { refusal } from './words.ts';

/** A joint of a kind as typed, with the thicknesses of its usual sheets. */
export function entered<K extends JointKind>(
  kind: K,
  thick: readonly string[],
  change: Partial<EnteredOf<K>> = {}
): EnteredOf<K> {
  const blank = newJoint(kind);
  const sheets = thick.map((thicknessIn, index) => ({
    ...(blank.sheets[index] ?? {
      ...blank.sheets[0],
      id: `sheet-${index + 1}`,
      name: `sheet ${index + 1}`
    }),
    thicknessIn
  }));
  const said = kind === 'panel' ? { plasticReason: 'sleeves, sheet QR-3' } : {};
  return { ...blank, sheets, ...said, ...change };
}

/** The same read into inches; what cannot be read fails the test with its reasons. */
export function definition<K extends JointKind>(
  kind: K,
  thick: readonly string[],
  change: Partial<EnteredOf<K>> = {}
): JointOf<K> {
  const read = readEntered(entered(kind, thick, change));
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  return read.definition as JointOf<K>;
}

export const planned = (joint: Joint, profile: RuleProfile = DEFAULT_PROFILE): Plan =>
  plan(joint, profile);

/** The layout of a joint that can be laid out. */
export function layoutOf(joint: Joint, profile: RuleProfile = DEFAULT_PROFILE): JointLayout {
  const { layout } = plan(joint, profile);
  if (!layout.ok) throw new Error(refusal(layout.error));
  return layout.result;
}
