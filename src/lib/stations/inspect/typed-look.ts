import { z } from 'zod';
import { Look, Place, SeenFlag } from '$core/inspect/findings.ts';
import { FlushLook } from '$core/inspect/flush-look.ts';
import { HeadReading } from '$core/inspect/head-report.ts';
import {
  MayBeOff,
  type CheckedHead,
  type EyedHead,
  type GaugedHead,
  type HoleLook
} from '$core/inspect/hole-look.ts';
import type { PlateUsed } from '$core/inspect/plate-look.ts';
import type { Unstamped } from '$core/events/stream.ts';
import { parseLength } from '$core/units/parse-length.ts';

export const WAYS = ['calipers', 'plate', 'eye'] as const;
/** How heads are looked at. */
export type LookWay = (typeof WAYS)[number];
export const HOWS = ['caliper', 'print', 'mirror', 'camera'] as const;

export const TypedLook = z.object({
  diameter: z.string(),
  height: z.string(),
  flags: z.array(SeenFlag),
  looked: z.array(Look).default([]),
  /** it was said that the height is from the dimple; asked of a reading that fits the sheet's flat */
  fromDimple: z.boolean().default(false),
  /** it was said that the figures are as read; asked of a reading that holds more metal than there is */
  asRead: z.boolean().default(false),
  how: z.enum(HOWS).default('caliper'),
  /** how far off either reading may be */
  plusMinus: z.string().default(''),
  /** from a device that does not exist */
  simulated: z.boolean().default(false),
  fitsOver: z.boolean().nullable().default(null),
  touchesSheet: z.boolean().nullable().default(null),
  upperFits: z.boolean().nullable().default(null),
  upperTouches: z.boolean().nullable().default(null),
  /** over (+) or under (−) the skin, as typed */
  flush: z.string().default(''),
  slip: z.enum(['catches', 'clears']).nullable().default(null),
  slipThick: z.string().default('0.003'),
  clean: z.array(Place).default([]),
  /** it was driven further since the look before */
  drivenOn: z.boolean().default(false)
});
/** A look as typed; nothing is lost by looking at another hole meanwhile. */
export type TypedLook = z.output<typeof TypedLook>;

export const NOTHING_TYPED: TypedLook = TypedLook.parse({ diameter: '', height: '', flags: [] });

/** Whether anything stands in it. */
export const isTyped = (typed: TypedLook): boolean =>
  JSON.stringify(typed) !== JSON.stringify(NOTHING_TYPED);

const lengthOf = (text: string): number | null => {
  const read = parseLength(text);
  return read.ok ? read.valueIn : null;
};

/** How flush as typed: a number before a slip; null where neither says something that can be. */
export function flushTyped({ flush, slip, slipThick }: TypedLook): FlushLook | null {
  const typed =
    flush.trim() !== ''
      ? { by: 'number', offIn: lengthOf(flush.replace('−', '-')) }
      : { by: 'slip', slipIn: lengthOf(slipThick), catches: slip === 'catches' };
  const read = FlushLook.safeParse(typed);
  return read.success && (flush.trim() !== '' || slip !== null) ? read.data : null;
}

/**
 * The look that is typed, as it would be sent.
 *
 * @param plate the plate that is used; null where there is none for the size
 * @returns null while something is missing or cannot be read
 */
export function lookTyped(
  hole: number,
  way: LookWay,
  typed: TypedLook,
  plate: PlateUsed | null
):
  | Unstamped<CheckedHead>
  | Unstamped<z.output<typeof GaugedHead>>
  | Unstamped<z.output<typeof EyedHead>>
  | null {
  const flush = flushTyped(typed);
  // what was typed of its flushness and cannot be read is not left out in silence
  if (flush === null && (typed.flush.trim() !== '' || typed.slip !== null)) return null;
  const seen = {
    hole,
    flags: typed.flags,
    ...(typed.clean.length > 0 ? { clean: typed.clean } : {}),
    ...(flush ? { flush } : {}),
    ...(typed.drivenOn ? { drivenOn: true as const } : {})
  };
  if (way === 'eye')
    return typed.flags.length === 0 && typed.clean.length === 0 && !flush
      ? null
      : { ...seen, kind: 'eyed' };
  if (way === 'plate') {
    const { fitsOver, touchesSheet, upperFits, upperTouches } = typed;
    if (plate === null || fitsOver === null || touchesSheet === null) return null;
    return { ...seen, kind: 'gauged', plate, fitsOver, touchesSheet, upperFits, upperTouches };
  }
  const [diameterIn, heightIn] = [lengthOf(typed.diameter), lengthOf(typed.height)];
  if (diameterIn === null || heightIn === null || diameterIn <= 0 || heightIn <= 0) return null;
  const { how, simulated, looked } = typed;
  if (how === 'caliper')
    return {
      ...seen,
      kind: 'checked',
      diameterIn,
      heightIn,
      ...(looked.length > 0 ? { looked } : {}),
      ...(simulated ? { simulated } : {})
    };
  const offIn = lengthOf(typed.plusMinus);
  if (!MayBeOff.safeParse(offIn).success || offIn === null) return null;
  return {
    ...seen,
    kind: 'checked',
    diameterIn,
    heightIn,
    how,
    plusMinus: { diameterIn: offIn, heightIn: offIn },
    ...(looked.length > 0 ? { looked } : {}),
    ...(simulated ? { simulated } : {})
  };
}

/** The measured head that is typed; null while it is not complete, or one of its figures cannot be. */
export function readingTyped(
  { diameter, height, flags }: TypedLook,
  size: Pick<HeadReading, 'dash' | 'limits'>
): HeadReading | null {
  if (diameter.trim() === '' || height.trim() === '') return null;
  const read = HeadReading.safeParse({ ...size, diameterIn: diameter, heightIn: height, flags });
  return read.success ? read.data : null;
}

/** A look that was handed over and not taken, as it would have been typed. */
export function typedAgain(look: HoleLook): Partial<TypedLook> {
  const seen = { flags: look.flags, clean: look.clean ?? [] };
  if (look.kind === 'eyed') return seen;
  if (look.kind === 'gauged') {
    const { fitsOver, touchesSheet, upperFits, upperTouches } = look;
    return { ...seen, fitsOver, touchesSheet, upperFits, upperTouches };
  }
  return {
    ...seen,
    diameter: String(look.diameterIn),
    height: String(look.heightIn),
    how: look.how ?? 'caliper',
    plusMinus: look.plusMinus === undefined ? '' : String(look.plusMinus.diameterIn),
    simulated: look.simulated ?? false
  };
}
