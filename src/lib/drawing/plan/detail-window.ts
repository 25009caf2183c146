/** The stretch of a long joint that is shown enlarged, in inches along it. */
export interface DetailWindow {
  fromIn: number;
  toIn: number;
}

/**
 * The datum corner while the picked hole lies in it, else as much round the picked hole, never beyond the joint.
 *
 * @param pickedIn how far along the picked hole is
 * @param shownIn how much fits into the picture
 * @param marginIn what must be seen beside the picked hole
 */
export function detailWindow(
  widthIn: number,
  pickedIn: number,
  shownIn: number,
  marginIn: number
): DetailWindow {
  const fits = Math.min(shownIn, widthIn);
  if (pickedIn <= fits - marginIn) return { fromIn: 0, toIn: fits };
  const fromIn = Math.min(pickedIn - shownIn / 2, widthIn - fits);
  return { fromIn, toIn: fromIn + fits };
}
