/** By these our services refuse for good; anything else is somebody's on the way, or is over in a while. */
const FOR_GOOD: ReadonlySet<number> = new Set([400, 404, 409, 413, 422]);

export const isForGood = (status: number): boolean => FOR_GOOD.has(status);
