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
    label: 'Half the width of the widest set or die',
    why: 'Beside a bend the line is kept as far from where the bend begins.',
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

/** Every school of the profile, in the order of the work (handbook 4.1 to 4.7). */
export const SCHOOLS: School[] = [
  {
    key: 'diameter',
    question: 'Rivet diameter = 3 × which sheet?',
    changes: 'the rivet diameter at Size, and with it everything else',
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
    question: 'How far apart, when the load leaves a choice?',
    changes: 'how many holes Lay out sets',
    options: [
      {
        value: 'fewest',
        text: 'fewest rivets',
        who: 'Those who stretch towards the largest pitch: more rivets than needed is poor work, and each hole weakens the sheet.'
      },
      {
        value: 'near',
        text: 'near a house pitch',
        who: 'Those who match the neighbouring rows, usually about an inch.'
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
    changes: 'the rivet length at Stack',
    options: [
      {
        value: 'half',
        text: 'half sizes too',
        who: 'Shops that keep thirty-seconds in the bins and get nearer to one and a half diameters.'
      },
      {
        value: 'sixteenth',
        text: 'sixteenths only',
        who: 'Shops that keep whole dash lengths and trim or lean.'
      }
    ]
  },
  {
    key: 'lean',
    question: 'Between two lengths, which?',
    changes: 'the rivet length at Stack',
    options: [
      {
        value: 'nearest',
        text: 'the nearest',
        who: 'Most: the head comes nearest to its nominal size.'
      },
      {
        value: 'long',
        text: 'lean long',
        who: 'Those who say a little extra is easier to drive than too little; a long rivet folds more easily.'
      },
      {
        value: 'short',
        text: 'lean short',
        who: 'Those who drive thin skins by hand and want no folding.'
      }
    ]
  },
  {
    key: 'dimpled',
    question: 'From where is a dimpled stack’s protrusion reckoned?',
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
    changes: 'the order of the steps at Make ready',
    options: [
      {
        value: 'apart',
        text: 'once apart',
        who: 'Those who take apart and deburr first: nothing lies between the sheets when the cage is pressed on, and each sheet is backed by itself.'
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
    question: 'How flush is flush?',
    changes: 'the band that a countersink is set to',
    options: [
      { value: 'two-proud', text: bandOf('two-proud'), who: 'Most: a touch proud at most.' },
      {
        value: 'three-proud',
        text: bandOf('three-proud'),
        who: 'Those who let driving flatten the head.'
      },
      { value: 'aerodynamic', text: bandOf('aerodynamic'), who: 'Where the air must not notice.' }
    ]
  },
  {
    key: 'headLimits',
    question: 'How good must a driven head be?',
    changes: 'every verdict at Check',
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
    question: 'Which drill takes a rivet out?',
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
        who: 'Those in a hurry: fast, and the hole is at risk.'
      }
    ]
  },
  {
    key: 'sampling',
    question: 'Which heads are looked at?',
    changes: 'which head comes next at Check, and when all are seen',
    options: [
      { value: 'all', text: 'every one', who: 'Repairs, and whoever signs for each rivet.' },
      {
        value: 'first-then-every',
        text: 'the first ones, then every so many',
        who: 'Long rows of one setting: as many as the data allow. A bad one tightens it again.'
      }
    ]
  },
  {
    key: 'checking',
    question: 'Who judges a driven head?',
    changes: 'who may record a head at Check; the record names who drove and who looked either way',
    options: [
      {
        value: 'anyone',
        text: 'its driver too',
        who: 'Most: whoever drives measures as they go; somebody else signs.'
      },
      {
        value: 'another',
        text: 'somebody who did not drive it',
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
        text: 'somebody who drove none of it',
        who: 'Most: a second pair of eyes. Local rules say who is entitled.'
      },
      {
        value: 'anyone',
        text: 'its driver too',
        who: 'One-person shops and schools whose local rules allow it.'
      }
    ]
  }
];
