/** A small generator with a seed (mulberry32): the same seed gives the same numbers from 0 up to 1. */
export function seeded(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = state;
    mixed = Math.imul(mixed ^ (mixed >>> 15), mixed | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
}

/** A seed from a name, the same every time (FNV-1a). */
export function seedOf(name: string): number {
  let hash = 0x811c9dc5;
  for (let at = 0; at < name.length; at++)
    hash = Math.imul(hash ^ name.charCodeAt(at), 0x01000193) >>> 0;
  return hash;
}
