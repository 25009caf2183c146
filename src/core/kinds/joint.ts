import { z } from 'zod';
import type { Ask } from './asks.ts';
import type { Kind, WayToTry } from './kind.ts';
import * as rooms from './rooms.ts';

type Rooms = typeof rooms;
type Room = Rooms[keyof Rooms];
export type JointKind = Room['key'];
type RoomOf<K extends JointKind> = Extract<Room, { key: K }>;

export type JointOf<K extends JointKind> = z.output<RoomOf<K>['read']>;
export type EnteredOf<K extends JointKind> = z.output<RoomOf<K>['entered']>;

/** The definition of a joint, every length read into inches. Sheets: the first under the manufactured head. */
export type Joint = { [K in JointKind]: JointOf<K> }[JointKind];
/**
 * A joint as its fields stand on the page, lengths as typed: this is what is stored, so that a half-typed
 * or slipped figure is still there after a restart.
 */
export type EnteredJoint = { [K in JointKind]: EnteredOf<K> }[JointKind];

/** A kind as those ask of it who have a joint and do not care which. */
export interface AnyKind extends Omit<
  Kind<JointKind, z.ZodType<Joint>, z.ZodType<EnteredJoint>>,
  'asks' | 'waysOut'
> {
  asks: Record<'size' | 'layout', readonly Ask<EnteredJoint>[]>;
  waysOut(joint: Joint, context: { diameterIn: number; pitchMinD: number }): WayToTry[];
}

/** Every kind in the order they are offered. */
export const KINDS: readonly AnyKind[] = (Object.values(rooms) as unknown as AnyKind[]).sort(
  (a, b) => a.place - b.place
);

const BY_KEY = new Map(KINDS.map((kind) => [kind.key, kind]));

/** The room of a kind. */
export function kindOf({ kind }: { kind: JointKind }): AnyKind {
  const found = BY_KEY.get(kind);
  if (!found)
    throw new RangeError(`no kind of joint ${kind}; expected ${[...BY_KEY.keys()].join()}`);
  return found;
}

type Options<T> = Parameters<typeof z.discriminatedUnion>[1] & readonly z.ZodType<T>[];
const unionOf = <T>(schemas: readonly z.ZodType<T>[]) =>
  z.discriminatedUnion('kind', schemas as Options<T>) as unknown as z.ZodType<T>;

export const Joint = unionOf<Joint>(KINDS.map(({ read }) => read));
export const EnteredJoint = unionOf<EnteredJoint>(KINDS.map(({ entered }) => entered));
