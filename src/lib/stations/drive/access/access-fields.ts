import { DrivingAccess, SIDES, type Side } from '$core/driving/access.ts';
import { parseLength } from '$core/units/parse-length.ts';

/** What one is asked about the place, as typed; lengths as one writes them. */
export interface TypedAccess {
  edges: Record<Side, string>;
  upstands: {
    id: string;
    side: Side;
    inset: string;
    height: string;
    /** null: not said */
    on: 'head' | 'shop' | null;
  }[];
  headRoom: string;
  shopRoom: string;
  /** null: not answered */
  faceDown: boolean | null;
  armsReach: boolean | null;
  closedMember: boolean | null;
  member: {
    near: string;
    far: string;
    walls: string;
    wallsFar: string;
    /** null: not said */
    from: 'left' | 'right' | null;
    offset: string;
  };
}

const text = (inches: number | null) => (inches === null ? '' : String(Number(inches.toFixed(6))));

/** What was told last, as it would be typed; before that everything open. */
export const typedOf = (access: DrivingAccess | null): TypedAccess => ({
  edges: Object.fromEntries(
    SIDES.map((side) => [side, text(access?.edges[side] ?? null)])
  ) as Record<Side, string>,
  upstands: (access?.upstands ?? []).map(({ id, side, insetIn, heightIn, on }) => ({
    id,
    side,
    inset: text(insetIn),
    height: text(heightIn),
    on
  })),
  headRoom: text(access?.headRoomIn ?? null),
  shopRoom: text(access?.shopRoomIn ?? null),
  faceDown: access?.faceDown ?? null,
  armsReach: access?.armsReach ?? null,
  closedMember: access?.closedMember ?? null,
  member: {
    near: text(access?.member?.nearIn ?? null),
    far: text(access?.member?.farIn ?? null),
    walls: text(access?.member?.wallsIn ?? null),
    wallsFar: text(access?.member?.wallsFarIn ?? access?.member?.wallsIn ?? null),
    from: access?.member?.from ?? null,
    offset: text(access?.member?.offsetIn ?? null)
  }
});

export const newUpstand = (side: Side): TypedAccess['upstands'][number] => ({
  id: crypto.randomUUID(),
  side,
  inset: '',
  height: '',
  on: null
});

/** A length, or what is wrong with it. */
type Read = { inches: number | null; wrong: string };
function read(typed: string, empty: number | null, needed: boolean): Read {
  if (typed.trim() === '') return { inches: empty, wrong: needed ? 'needed' : '' };
  const found = parseLength(typed);
  return found.ok ? { inches: found.valueIn, wrong: '' } : { inches: null, wrong: found.message };
}

/**
 * What was typed, read.
 *
 * @returns the access, or null with what is wrong field by field (`edges.left`, `headRoom`, `<id>.height`)
 */
export function accessOf(typed: TypedAccess): {
  access: DrivingAccess | null;
  wrong: ReadonlyMap<string, string>;
} {
  const wrong = new Map<string, string>();
  const field = (key: string, value: string, needed = false): number | null => {
    const { inches, wrong: why } = read(value, null, needed);
    if (why !== '') wrong.set(key, why);
    return inches;
  };
  for (const key of ['faceDown', 'armsReach', 'closedMember'] as const)
    if (typed[key] === null) wrong.set(key, 'yes or no');
  if (typed.closedMember && typed.member.from === null) wrong.set('member.from', 'which end');
  for (const { id, on } of typed.upstands) if (on === null) wrong.set(`${id}.on`, 'which side');
  const draft = {
    edges: Object.fromEntries(
      SIDES.map((side) => [side, field(`edges.${side}`, typed.edges[side])])
    ),
    upstands: typed.upstands.map(({ id, side, inset, height, on }) => ({
      id,
      side,
      insetIn: field(`${id}.inset`, inset, true) ?? 0,
      heightIn: field(`${id}.height`, height, true) ?? 0,
      on
    })),
    headRoomIn: field('headRoom', typed.headRoom),
    shopRoomIn: field('shopRoom', typed.shopRoom),
    faceDown: typed.faceDown,
    armsReach: typed.armsReach,
    closedMember: typed.closedMember,
    member: typed.closedMember
      ? {
          nearIn: field('member.near', typed.member.near, true) ?? 0,
          farIn: field('member.far', typed.member.far, true) ?? 0,
          wallsIn: field('member.walls', typed.member.walls, true) ?? 0,
          wallsFarIn: field('member.wallsFar', typed.member.wallsFar, true) ?? 0,
          from: typed.member.from,
          offsetIn: field('member.offset', typed.member.offset) ?? 0
        }
      : null
  };
  if (wrong.size > 0) return { access: null, wrong };
  const parsed = DrivingAccess.safeParse(draft);
  if (parsed.success) return { access: parsed.data, wrong };
  for (const { path, message } of parsed.error.issues) {
    const [group, at, what] = path.map(String);
    const own = group === 'upstands' ? typed.upstands[Number(at)] : undefined;
    const key = own
      ? `${own.id}.${what === 'insetIn' ? 'inset' : 'height'}`
      : group === 'edges' || group === 'member'
        ? `${group}.${String(at).replace(/In$/, '')}`
        : String(group).replace(/In$/, '');
    wrong.set(key, message);
  }
  return { access: null, wrong };
}

/**
 * What the drawing shows of reach while one still types: a question not answered counts as a no, and a closed member's
 * measures decide nothing about who gets there.
 *
 * @returns null where a length cannot be read, or an obstruction lacks its place or height
 */
export function draftOf(typed: TypedAccess): DrivingAccess | null {
  const { access } = accessOf({
    ...typed,
    faceDown: typed.faceDown ?? false,
    armsReach: typed.armsReach ?? false,
    closedMember: false
  });
  return access && { ...access, closedMember: typed.closedMember ?? false };
}
