import type { Upcast } from './document.ts';

type Item = Record<string, unknown>;

const listAt = (older: Record<string, unknown>, key: string): Item[] =>
  Array.isArray(older[key]) ? (older[key] as Item[]) : [];

/** Items get the ids that their places make: whatever referred to a place finds its item by it. */
const named = (items: Item[], stem: string): Item[] =>
  items.map((item, index) => ({ id: `${stem}-${index + 1}`, ...item }));

/** Lists whose items referred to each other by place, or were referred to so. */
const STEMS: Record<string, string> = {
  sheets: 'sheet',
  keepOuts: 'keep-out',
  fixed: 'fixed',
  tries: 'try',
  divides: 'divide',
  zones: 'zone'
};

/** Version 2: items carry ids, the datum names its hole by id, the joint of two straps has its trade name. */
const itemsByTheirIds: Upcast = (older) => {
  const lists = Object.entries(STEMS).flatMap(([key, stem]) =>
    key in older ? [[key, named(listAt(older, key), stem)] as const] : []
  );
  const edits = listAt(older, 'edits').map((edit) => ({
    id: `${String(edit['line'])}:${String(edit['index'])}/${String(edit['of'])}`,
    ...edit
  }));
  const place = /^fixed-(\d+)$/.exec(String(older['datum'] ?? ''))?.[1];
  return {
    ...older,
    ...Object.fromEntries(lists),
    ...('edits' in older ? { edits } : {}),
    ...(place === undefined ? {} : { datum: `fixed:fixed-${Number(place) + 1}` }),
    ...(older['kind'] === 'sandwich' ? { kind: 'double-strap' } : {})
  };
};

/** Version 3: a splice between two straps says which way its rivets run. */
const strapsSayTheirRun: Upcast = (older) =>
  older['kind'] === 'double-strap' ? { run: 'fits', ...older } : older;

/** Version 4: where a plate lies over the skin, the sheets that nobody renamed are called so. */
const plateOverItsSkin: Upcast = (older) => {
  const sheets = listAt(older, 'sheets');
  const [first, second, ...more] = sheets;
  return older['style'] === 'plate-over' &&
    first?.['name'] === 'skin' &&
    second?.['name'] === 'doubler'
    ? { ...older, sheets: [{ ...first, name: 'plate' }, { ...second, name: 'skin' }, ...more] }
    : older;
};

/** Version 5: a frame round plastic says by whose word solid rivets go through it; nobody has said so yet. */
const plasticByWhoseWord: Upcast = (older) =>
  older['kind'] === 'panel' ? { plasticReason: '', ...older } : older;

/**
 * Version 6: divisions are counted from the datum, and the usual edge distance lies on one. A joint that was laid out
 * before stays where it is: it counts from its first hole, and its edge is the next whole 1/32.
 */
const divisionsAsTheyWere: Upcast = (older) => ({ divisionsFrom: 'first-hole', ...older });

/** Version 7: a largest pitch of the job's own names the data it stands in; nobody has said so yet. */
const largestPitchByWhoseData: Upcast = (older) => ({ holdPitchReason: '', ...older });

/** What a joint's fields were called and looked like, version by version; a step is never changed. */
export const JOINT_HISTORY: readonly Upcast[] = [
  itemsByTheirIds,
  strapsSayTheirRun,
  plateOverItsSkin,
  plasticByWhoseWord,
  divisionsAsTheyWere,
  largestPitchByWhoseData
];
