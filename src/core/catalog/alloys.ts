import type { Alloy } from '../schema/fields.ts';

/** What an alloy's mark looks like from above, for the drawing. */
export type MarkShape = 'plain' | 'dimple' | 'raised-dot' | 'two-dashes' | 'cross' | 'ring';

/** A rivet alloy as one meets it at the bench (rivets). */
export interface AlloyFacts {
  /** M has part numbers of its own and is shown for reference only */
  code: Alloy | 'M';
  alloy: string;
  mark: string;
  shape: MarkShape;
  use: string;
  /** minutes out of the refrigerator; null where it is driven as received */
  cold: { dueMinutes: number; limitMinutes: number } | null;
}

export const ALLOYS: readonly AlloyFacts[] = [
  {
    code: 'A',
    alloy: '1100-F',
    mark: 'plain',
    shape: 'plain',
    use: 'non-structural only',
    cold: null
  },
  {
    code: 'AD',
    alloy: '2117-T4',
    mark: 'one dimple',
    shape: 'dimple',
    use: 'as received; standard field rivet',
    cold: null
  },
  {
    code: 'D',
    alloy: '2017-T4',
    mark: 'one raised dot',
    shape: 'raised-dot',
    use: 'icebox; drive within 1 hour of removal',
    cold: { dueMinutes: 60, limitMinutes: 60 }
  },
  {
    code: 'DD',
    alloy: '2024-T4',
    mark: 'two raised dashes',
    shape: 'two-dashes',
    use: 'icebox; drive within 10 min of removal, never after 20 min',
    cold: { dueMinutes: 10, limitMinutes: 20 }
  },
  {
    code: 'B',
    alloy: '5056-H32',
    mark: 'raised cross',
    shape: 'cross',
    use: 'for magnesium structure',
    cold: null
  },
  {
    code: 'E',
    alloy: '7050-T73',
    mark: 'raised ring',
    shape: 'ring',
    use: 'as received, high strength',
    cold: null
  },
  {
    code: 'M',
    alloy: 'nickel-copper',
    mark: 'plain, a recessed double dot on some',
    shape: 'plain',
    use: 'steels, heat; part numbers of its own, reference only here',
    cold: null
  }
];

/** @returns the facts of an alloy that is calculated here */
export function alloyFacts(code: Alloy): AlloyFacts {
  const found = ALLOYS.find((alloy) => alloy.code === code);
  if (!found) throw new RangeError(`no rivet alloy ${code}`);
  return found;
}

/** A rivet that is met at the bench and not planned here: identified, and never driven for another. */
export interface OtherMark {
  metal: string;
  mark: string;
}

/** Marks that are met and not planned here (rivets). */
const OTHER_MARKS: readonly OtherMark[] = [
  { metal: '7075-T73', mark: 'three raised dashes' },
  { metal: 'corrosion-resistant steel', mark: 'recessed dash' },
  { metal: 'carbon steel', mark: 'recessed triangle' },
  { metal: 'titanium', mark: 'recessed large and small dot' },
  { metal: 'nickel-copper, some', mark: 'recessed double dot' },
  { metal: 'copper', mark: 'plain, reddish' },
  { metal: 'brass', mark: 'plain, yellow' }
];

/** What a head may be by its mark: alloys that are planned here, and rivets that are not. */
export interface MarkedAs {
  alloys: AlloyFacts[];
  others: OtherMark[];
}

/**
 * Rivets whose head carries a mark, found by its words: "one raised dot", "cross", "plain".
 *
 * @returns both empty where no list has it: such a rivet is not identified
 */
export function byMark(words: string): MarkedAs {
  const asked = words
    .toLowerCase()
    .split(/[^a-z]+/)
    .filter((word) => word !== '');
  const carries = ({ mark }: { mark: string }): boolean => {
    const said = mark.split(/[^a-z]+/);
    return asked.every((word) => said.some((part) => part.startsWith(word) || `${part}s` === word));
  };
  return { alloys: ALLOYS.filter(carries), others: OTHER_MARKS.filter(carries) };
}

/** Older heads: their pictures help to recognise a rivet; none is calculated here (rivets). */
export const OLDER_HEADS = [
  { standard: 'AN430', head: 'round' },
  { standard: 'AN442', head: 'flat' },
  { standard: 'AN456', head: 'brazier' }
] as const;
