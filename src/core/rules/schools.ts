import { by, len, unitLen, type Notation } from '../notation.ts';
import { FLUSHNESS_LIMITS, type FlushnessSchool } from './flushness.ts';
import type { RuleProfile } from './profile.ts';
import type { SHOP_COUNTS } from './sampling.ts';

/** One way of working: what it is called and who works that way. */
export interface SchoolOption {
  value: string;
  text: string | Notation;
  who: string;
}

/** Lengths that a shop sets for itself, in: every field of the profile that is named as one. */
type LengthKey = Extract<keyof RuleProfile, `${string}In`>;

/** What each is called and what it changes; one that belongs to a school stands beside it. */
const LENGTHS: Record<LengthKey, { label: string; why: string; beside: School['key'] | null }> = {
  housePitchIn: { label: 'House pitch', why: '', beside: 'pitch' },
  setRadiusIn: {
    label: 'Half width of the widest rivet set or die',
    why: 'Rows keep at least this distance from the bend line.',
    beside: null
  }
};
export const SHOP_LENGTHS = (Object.keys(LENGTHS) as LengthKey[]).map((key) => ({
  key,
  ...LENGTHS[key]
}));

/** A point on which the trade disagrees. */
export interface School {
  key: Exclude<
    keyof RuleProfile,
    | 'name'
    | 'version'
    | 'multipliers'
    | 'inspect'
    | 'icebox'
    | LengthKey
    | (typeof SHOP_COUNTS)[number]['key']
  >;
  question: string;
  /** what of a joint it changes */
  changes: string;
  options: SchoolOption[];
}

const bandOf = (school: FlushnessSchool): Notation => {
  const { lowIn, highIn } = FLUSHNESS_LIMITS[school];
  return lowIn === -highIn ? by`± ${unitLen(highIn)}` : by`${len(lowIn)} to +${unitLen(highIn)}`;
};

/** Every school of the profile, in the order of the work (docs/sources.md). */
export const SCHOOLS: School[] = [
  {
    key: 'diameter',
    question: 'Rivet diameter = 3 × which sheet?',
    changes: 'the rivet diameter in Size, and everything that follows',
    options: [
      {
        value: 'thickest',
        text: 'the thickest',
        who: 'Production shops: the rivet must not be the weak part of the heaviest sheet held.'
      },
      {
        value: 'thinnest',
        text: 'the thinnest',
        who: 'Light repairs: a large hole harms a thin skin more than a small rivet does.'
      }
    ]
  },
  {
    key: 'pitch',
    question: 'Rivet spacing',
    changes: 'the number of holes in Layout',
    options: [
      {
        value: 'fewest',
        text: 'fewest rivets',
        who: 'Pitch near the maximum. Extra rivets add weight, and each hole weakens the sheet.'
      },
      {
        value: 'near',
        text: 'near a house pitch',
        who: 'Matches adjacent rows, usually about one inch.'
      }
    ]
  },
  {
    key: 'drill',
    question: 'Which final drill?',
    changes: 'the hole, and the metal that is left for the shop head',
    options: [
      {
        value: 'close',
        text: 'close',
        who: 'Most shops: 0.003 to 0.004 over the shank, so that the shank fills the hole in the first blows.'
      },
      {
        value: 'loose',
        text: 'loose',
        who: 'Those who drive through primer or paint: one drill larger for dash 5 and 6.'
      }
    ]
  },
  {
    key: 'increments',
    question: 'Which lengths are stocked?',
    changes: 'the rivet length in Stack-up',
    options: [
      {
        value: 'half',
        text: 'half sizes too',
        who: 'Half dash lengths in stock. Closer to 1½ D.'
      },
      {
        value: 'sixteenth',
        text: 'sixteenths only',
        who: 'Whole dash lengths in stock; trim or round.'
      }
    ]
  },
  {
    key: 'lean',
    question: 'Rounding between rivet lengths',
    changes: 'the rivet length in Stack-up',
    options: [
      {
        value: 'nearest',
        text: 'nearest',
        who: 'Most common. Head closest to nominal size.'
      },
      {
        value: 'long',
        text: 'round up',
        who: 'A slightly long rivet fills well, but clinches more easily.'
      },
      {
        value: 'short',
        text: 'round down',
        who: 'Those who drive thin skins by hand and want no folding.'
      }
    ]
  },
  {
    key: 'dimpled',
    question: 'Protrusion in dimpled stacks measured from',
    changes: 'which of the two protrusions Stack shows first',
    options: [
      {
        value: 'flat-stack',
        text: 'the flat stack',
        who: 'Those who add up the sheets and nothing else.'
      },
      {
        value: 'at-dimple',
        text: 'at the dimple',
        who: 'Those who measure from the raised dimple: the same rivet shows one head height less.'
      }
    ]
  },
  {
    key: 'dimpleAngles',
    question: 'Which angles do dies and cutters have?',
    changes: 'the tools for flush work, and how deep a cut beneath a dimple goes',
    options: [
      {
        value: 'stepped',
        text: 'stepped',
        who: 'Shops with 110° and 120° dies, so that each sheet nests in the next.'
      },
      {
        value: 'all-100',
        text: 'all 100°',
        who: 'Shops with one set of dies: the cut beneath is made deeper instead.'
      }
    ]
  },
  {
    key: 'countersinkWhen',
    question: 'When are holes countersunk?',
    changes: 'the order of the steps in Prepare',
    options: [
      {
        value: 'apart',
        text: 'once apart',
        who: 'Disassemble and deburr first. No chips between the sheets, and each sheet is backed alone.'
      },
      {
        value: 'clamped',
        text: 'while clamped',
        who: 'Those who cut the top sheet where it lies: the sheets beneath guide the pilot. What is cut beneath a dimple waits until they are apart.'
      }
    ]
  },
  {
    key: 'flushness',
    question: 'Flushness',
    changes: 'the band that a countersink is set to',
    options: [
      { value: 'two-proud', text: bandOf('two-proud'), who: 'Most common. Slightly high at most.' },
      {
        value: 'three-proud',
        text: bandOf('three-proud'),
        who: 'Those who let driving flatten the head.'
      },
      { value: 'aerodynamic', text: bandOf('aerodynamic'), who: 'Aerodynamic surfaces.' }
    ]
  },
  {
    key: 'headLimits',
    question: 'Shop head limits',
    changes: 'every result in Inspect',
    options: [
      {
        value: 'standard',
        text: 'standard',
        who: 'Line work: 1.3 to 1.75 D wide, 0.38 to 0.65 D high.'
      },
      {
        value: 'tight',
        text: 'tight',
        who: 'Training coupons and setting gauges: 1.45 to 1.56 D wide, 0.45 to 0.55 D high.'
      },
      {
        value: 'classic-flush',
        text: 'classic flush',
        who: 'Older flush practice: 1⅓ D wide, ½ D high.'
      }
    ]
  },
  {
    key: 'removal',
    question: 'Drill for rivet removal',
    changes: 'the drill that rework calls for',
    options: [
      {
        value: 'under-shank',
        text: 'a size under the shank',
        who: 'Those who never let the hole grow.'
      },
      {
        value: 'hole-drill',
        text: 'the hole’s own drill',
        who: 'Faster, but may enlarge the hole.'
      }
    ]
  },
  {
    key: 'sampling',
    question: 'Inspection sampling',
    changes: 'which hole is inspected next, and when inspection is complete',
    options: [
      { value: 'all', text: 'every one', who: 'For repairs and when each rivet is signed for.' },
      {
        value: 'first-then-every',
        text: 'first heads, then every nth',
        who: 'Long rows of one setting: as many as the data allow. A bad one tightens it again.'
      }
    ]
  },
  {
    key: 'checking',
    question: 'Who may inspect?',
    changes: 'who may record an inspection; the record always names driver and inspector',
    options: [
      {
        value: 'anyone',
        text: 'its driver too',
        who: 'Most common. The driver inspects; another person signs.'
      },
      {
        value: 'another',
        text: 'someone who did not drive the rivet',
        who: 'Where local rules want a second pair of eyes on every head.'
      }
    ]
  },
  {
    key: 'signing',
    question: 'Who signs a joint?',
    changes: 'who may sign at Sign',
    options: [
      {
        value: 'another',
        text: 'someone who drove none of the rivets',
        who: 'Most common. A second person; local rules apply.'
      },
      {
        value: 'anyone',
        text: 'its driver too',
        who: 'One-person shops where local rules allow it.'
      }
    ]
  }
];
