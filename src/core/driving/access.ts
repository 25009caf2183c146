import { z } from 'zod';

/** The sides of a joint as its plan view shows it. */
export const SIDES = ['left', 'right', 'top', 'bottom'] as const;
export type Side = (typeof SIDES)[number];

const MOST_IN = 1200;
const distance = (what: string) =>
  z
    .number(`${what} is a length`)
    .min(0, `${what} is at least 0`)
    .max(MOST_IN, `${what} is at most ${MOST_IN}`);
const room = (what: string) => distance(what).nullable();

/** What stands up beside the rivets: a flange, a stiffener's leg, a wall. */
export const Upstand = z.strictObject({
  id: z.string().min(1).max(60),
  /** the side that it runs along */
  side: z.enum(SIDES),
  /** from the outline's edge on that side inwards to its face, in; negative where it stands beyond the outline */
  insetIn: z.number().min(-MOST_IN).max(MOST_IN),
  heightIn: z.number().positive('it stands up more than nothing').max(MOST_IN),
  /** on the side of the manufactured heads or of the shop heads */
  on: z.enum(['head', 'shop'])
});
export type Upstand = z.output<typeof Upstand>;

/** A closed member that the bar goes into: its outside height at both ends of the joint, as it tapers. */
export const ClosedMember = z.strictObject({
  /** outside height at the datum end and at the far end of the joint's outline */
  nearIn: z.number().positive('the height at the datum end is more than nothing').max(100),
  farIn: z.number().positive('the height at the far end is more than nothing').max(100),
  /** both walls together at the datum end: the sheets under the rivet and the wall across */
  wallsIn: z.number().positive('the walls are more than nothing').max(20),
  /** the same at the far end; null where it was told before walls could taper: as at the datum end */
  wallsFarIn: z
    .number()
    .positive('the walls are more than nothing')
    .max(20)
    .nullable()
    .default(null),
  /** which end the rod goes in by */
  from: z.enum(['left', 'right']),
  /** from that end of the outline to where the rod's marks begin, plus what the bar stands off on it */
  offsetIn: z.number().min(-MOST_IN).max(MOST_IN)
});
export type ClosedMember = z.output<typeof ClosedMember>;

export const DrivingAccess = z.strictObject({
  /** on each side, how far beyond the joint's outline the part ends, so that a yoke comes over that edge; null: it does not */
  edges: z.strictObject({
    left: room('the way to the left edge'),
    right: room('the way to the right edge'),
    top: room('the way to the top edge'),
    bottom: room('the way to the bottom edge')
  }),
  upstands: z.array(Upstand).max(12),
  /** clear depth over the manufactured heads and behind the shop heads, in; null: as much as one likes */
  headRoomIn: room('the room over the heads'),
  shopRoomIn: room('the room behind the shop heads'),
  /** the part can lie on a plate with its manufactured heads down */
  faceDown: z.boolean(),
  /** one person reaches both sides */
  armsReach: z.boolean(),
  /** inside a closed member: nobody's arm and no yoke gets there */
  closedMember: z.boolean(),
  /** measured, where it is one */
  member: ClosedMember.nullable().default(null)
});
/** How one gets at the rivets of a release; lengths in inches. */
export type DrivingAccess = z.output<typeof DrivingAccess>;
