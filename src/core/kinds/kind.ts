import type { WidthPlace } from '../size/need.ts';
import { z } from 'zod';
import { typed } from '../joint/as-typed.ts';
import { commonPicked, commonReading, enteredLists, readLists } from '../joint/common.ts';
import { enteredSheets, readLayers, type Sheet } from '../joint/sheets.ts';
import type { WayOut } from '../joint/way-out.ts';
import type { Dash } from '../schema/fields.ts';
import type { Ask } from './asks.ts';
import type { LaidKind, LayContext } from './kind-layout.ts';

type Shape = Readonly<Record<string, z.ZodType>>;

/** The schemas of one kind of joint, as read and as typed, from its picked and its measured fields. */
export function schemasOf<K extends string, P extends Shape, R extends Shape>(
  key: K,
  picked: P,
  reading: R,
  sheets: typeof readLayers = readLayers
) {
  const kind = z.literal(key);
  return {
    read: z.strictObject({
      kind,
      sheets,
      ...picked,
      ...reading,
      ...commonPicked,
      ...commonReading,
      ...readLists
    }),
    entered: z.strictObject({
      kind,
      sheets: enteredSheets,
      ...picked,
      ...typed(reading),
      ...commonPicked,
      ...typed(commonReading),
      ...enteredLists
    })
  };
}

/** One width of the joint that rivets must carry. */
export interface Width {
  key: string;
  where: WidthPlace;
  widthIn: number;
  dash: Dash;
}

/** A sheet that rivets load, as thin as it gets; `told` is its material where it is known. */
export interface LoadedSheet {
  told: Sheet['material'];
  thicknessIn: number;
}

/** What the sheets of a joint are to its rivets; inches. */
export interface MetalSheets {
  /** every thickness that sizes the rivet; a tapered layer with both ends */
  sizing: number[];
  /** the guidance is read for this one, whatever the joint chose; null: as it chose */
  countedOnIn: number | null;
  loaded: LoadedSheet[];
  /** in how many places each rivet is cut before the joint parts */
  shear: 'single' | 'double';
}

/** Which sheets stand where: counted from each end those whose place is their role. */
export interface SheetRoles {
  first: number;
  last: number;
  /** there may be more or fewer */
  vary: boolean;
  /** a layer may begin, end or taper along the joint */
  layered: boolean;
  /** layers taper as a rule, so that is asked from the beginning */
  tapers?: true;
}

/** One change that may make an impossible joint possible: as read, to be tried, and as one types it. */
export interface WayToTry extends WayOut {
  read: Record<string, unknown>;
  /** how near it is to what was asked for: 1 other rows, 2 another shape, 3 another size of the joint */
  rank: 1 | 2 | 3;
}

/** Another way to lay the same joint out. */
export interface OtherWay {
  name: string;
  change: WayOut['change'];
}

/** What a kind looks like from above in a few strokes; in a frame of 70 by 44. */
export interface KindPicture {
  strokes: readonly {
    look: 'under' | 'over' | 'strap' | 'dash' | 'cut' | 'block';
    path: string;
  }[];
  holes: readonly (readonly [x: number, y: number])[];
}

/** Fields that the outline of a drawing fills. */
export interface OutlineFields {
  across: string;
  /** null where nothing down the drawing is a field of the kind */
  down: string | null;
  /** one field for both: offered for a round outline only */
  round?: boolean;
}

/** Everything that the program knows of one kind of joint. */
export interface Kind<Key extends string, Read extends z.ZodType, Entered extends z.ZodType> {
  key: Key;
  /** as one says it */
  name: string;
  /** where it stands among those offered */
  place: number;
  read: Read;
  entered: Entered;
  /** everything still to be measured */
  blank: z.output<Entered>;
  asks: Record<'size' | 'layout', readonly Ask<z.output<Entered>>[]>;
  /** what its own fields are called where they are spoken of */
  names: Readonly<Record<string, string>>;
  outline: OutlineFields;
  roles: SheetRoles;
  /** its shape spaces the rivets, so no practice of spacing is chosen */
  spacedByShape?: true;
  /** the guidance counts its rivets on one sheet of it, whatever is chosen elsewhere */
  countedOnOne?: true;
  metal(joint: z.output<Read>): MetalSheets;
  /** empty where the joint only holds parts together */
  widths(joint: z.output<Read>, dash: Dash): Width[];
  lay(joint: z.output<Read>, context: LayContext): LaidKind;
  waysOut(joint: z.output<Read>, context: { diameterIn: number; pitchMinD: number }): WayToTry[];
  otherWays(joint: z.output<Read>): OtherWay[];
  /** how far its rivet lines run, in: what planning it past obstacles costs */
  linesIn(joint: z.output<Read>): number;
  /** holes given in the line by the kind itself, which cost too */
  given(joint: z.output<Read>): number;
  picture: KindPicture;
}

/** Ties a kind's types together; a kind that lacks anything does not compile. */
export const defineKind = <Key extends string, Read extends z.ZodType, Entered extends z.ZodType>(
  kind: Kind<Key, Read, Entered>
): Kind<Key, Read, Entered> => kind;
