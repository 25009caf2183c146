import { z } from 'zod';

/** What a camera gives: a picture, and what one must know of it to measure in it. */
export const CameraShot = z.strictObject({
  /** which camera */
  name: z.string().max(60),
  /** it does not exist: what is measured in it is practice */
  simulated: z.boolean(),
  /** anything a browser draws, by its address or as data */
  picture: z.string().max(400_000),
  widthPx: z.number().positive(),
  heightPx: z.number().positive(),
  /** how long the scale in the picture is, lying on the sheet, in */
  scaleIn: z.number().positive(),
  /** from the lens to the sheet, in */
  standoffIn: z.number().positive(),
  /** where the rod stood, in */
  indexIn: z.number()
});
export type CameraShot = z.output<typeof CameraShot>;
