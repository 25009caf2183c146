import { layersOf } from '../../stack/layers.ts';
import type { LaidKind, LayContext } from '../kind-layout.ts';
import { layTwoSided } from '../shared/two-sided.ts';
import type { DoubleStrap } from './fields.ts';
import { layAlong } from './lay-along.ts';
import { strapsOf } from './straps.ts';

/**
 * Two thin straps, one on each side of a broken member. Rivets run in rows across a wide member and in lines along a narrow
 * one; where neither was chosen, along it as soon as three rows across do not hold them.
 */
export function layDoubleStrap(joint: DoubleStrap, context: LayContext): LaidKind {
  const held = strapsOf(joint);
  if (joint.run === 'along') return layAlong(joint, context, held);
  const across = layTwoSided(joint, context, {
    ...held,
    stackings: [{ name: 'both sides', layers: layersOf(joint.sheets, joint.widthIn) }]
  });
  if (across.ok || joint.run === 'across') return across;
  const along = layAlong(joint, context, held);
  return along.ok ? along : across;
}
