import { z } from 'zod';
import type { RuleProfile } from './profile.ts';

/** Rules that say who may inspect and sign, how much is inspected, and by which limits. */
const RULES = [
  'checking',
  'signing',
  'sampling',
  'sampleFirst',
  'sampleEvery',
  'tighten',
  'inspect',
  'headLimits',
  'flushness',
  'ownHeads'
] as const;

export const BoundRule = z.strictObject({
  rule: z.enum(RULES),
  /** what the shop’s own rules say, and what this joint’s do; places and own limits as a list */
  shop: z.string(),
  joint: z.string(),
  /** who set it for this joint */
  by: z.string(),
  /** it lets inspect, sign or skip what the shop’s rule does not */
  loosens: z.boolean()
});
/** A binding rule of a joint that is not the shop’s. */
export type BoundRule = z.output<typeof BoundRule>;

type Rules = Pick<RuleProfile, Exclude<(typeof RULES)[number], 'ownHeads'>>;
type Loosens = (shop: Rules, joint: Rules) => boolean;

const isSampled = ({ sampling }: Rules): boolean => sampling !== 'all';
const never: Loosens = () => false;

/** Each rule, and when a joint’s is looser than the shop’s. Limits are data: they are told, and whoever releases takes them on. */
const LOOSENS: Readonly<Record<keyof Rules, Loosens>> = {
  checking: (shop) => shop.checking === 'another',
  signing: (shop) => shop.signing === 'another',
  sampling: (shop) => shop.sampling === 'all',
  sampleFirst: (shop, joint) => joint.sampleFirst < shop.sampleFirst,
  sampleEvery: (shop, joint) => joint.sampleEvery > shop.sampleEvery,
  tighten: (shop, joint) => joint.tighten < shop.tighten,
  inspect: (shop, joint) => shop.inspect.some((place) => !joint.inspect.includes(place)),
  headLimits: never,
  flushness: never
};
/** Counts of a sample say nothing where every head is looked at. */
const OF_SAMPLE: ReadonlySet<keyof Rules> = new Set(['sampleFirst', 'sampleEvery']);

const said = (rules: Rules, rule: keyof Rules): string =>
  rule === 'inspect' ? [...rules.inspect].sort().join(', ') : String(rules[rule]);

/** Who set what for a joint. */
export interface SetBy {
  /** the rules it is planned under */
  rules: string;
  /** head limits of its own */
  ownHeads: string;
}

/**
 * The rules that bind a joint and are not the shop’s: they take effect by whoever releases it, and what loosens who may inspect,
 * who may sign or how much is looked at by a lead alone.
 *
 * @param shop the shop’s rules as they stand now
 * @param joint those that the joint is planned under
 * @param own its own head limits and the data that they stand in; null where it has none
 * @returns none where they are the same
 * @throws never
 */
export function boundRules(shop: Rules, joint: Rules, own: string | null, by: SetBy): BoundRule[] {
  const differing = (Object.keys(LOOSENS) as (keyof Rules)[]).filter(
    (rule) => said(shop, rule) !== said(joint, rule) && !(OF_SAMPLE.has(rule) && !isSampled(joint))
  );
  return [
    ...differing.map((rule) => ({
      rule,
      shop: said(shop, rule),
      joint: said(joint, rule),
      by: by.rules,
      // against a shop that looks at every head a sample is looser whatever it counts: told once
      loosens: LOOSENS[rule](shop, joint) && !(OF_SAMPLE.has(rule) && !isSampled(shop))
    })),
    ...(own === null
      ? []
      : [
          {
            rule: 'ownHeads' as const,
            shop: shop.headLimits,
            joint: own,
            by: by.ownHeads,
            loosens: false
          }
        ])
  ];
}
