import { num } from '../../core/answer.ts';
import { alloyFacts } from '../../core/catalog/alloys.ts';
import type { SubstituteSaid, SubstitutionSaid } from '../../core/plan/substitutions.ts';
import { placeInWords } from './places.ts';
import { refusalInWords } from './refusals.ts';
import type { WriteLength } from './writing.ts';

export const SUBSTITUTION_RULE =
  'A substitution changes approved data: get approval before driving.';

/** Which rivet stands in its place. */
export function substituteInWords(said: SubstituteSaid): string {
  switch (said.code) {
    case 'size':
      return `One size ${said.way}: dash ${said.dash}`;
    case 'head':
      return said.head === 'universal' ? 'Protruding for flush' : 'Flush for protruding';
    case 'alloy':
      return `Alloy ${said.alloy}, ${alloyFacts(said.alloy).alloy}`;
    case 'blind':
      return 'A blind fastener';
  }
}

interface WrittenSubstitution {
  label: string;
  now: string;
  then: string;
}

const BLIND: Record<Extract<SubstitutionSaid, { of: 'blind' }>['what'], WrittenSubstitution> = {
  strength: {
    label: 'Strength',
    now: 'as above',
    then: 'by its own approved data; none is calculated here'
  },
  grip: {
    label: 'Grip and hole',
    now: 'solid rivet',
    then: 'its own grip range and its own drill'
  },
  mass: { label: 'Mass and price', now: 'solid rivet', then: 'heavier, more expensive' },
  reach: {
    label: 'Where',
    now: 'both sides in reach',
    then: 'one-side access, or repeated failures'
  }
};

type HeadChange = Extract<SubstitutionSaid, { of: 'head' }>;
const newHead = ({ head, heightIn }: HeadChange['then'], length: WriteLength): string =>
  head === 'universal'
    ? `universal, ${length(heightIn)} high`
    : `countersunk, ${length(heightIn)} deep; flush heads carry less than the guidance value`;

/** One thing that another rivet changes. */
export function substitutionInWords(
  said: SubstitutionSaid,
  length: WriteLength
): WrittenSubstitution {
  const tidy = (lengthIn: number) => length(Math.round(lengthIn * 10_000) / 10_000);
  switch (said.of) {
    case 'strength': {
      const carries = ({ lb, governs }: typeof said.now) => `${num(Math.round(lb))} lb, ${governs}`;
      return { label: 'Strength per rivet', now: carries(said.now), then: carries(said.then) };
    }
    case 'needed': {
      const count = (given: number | null) => (given === null ? 'not given' : String(given));
      return {
        label: `Rivets needed ${placeInWords(said.where, length)}`,
        now: count(said.now),
        then: count(said.then)
      };
    }
    case 'edge':
    case 'pitch':
      return {
        label: said.of === 'edge' ? 'Edge distance' : 'Pitch',
        now: `${tidy(said.thereIn)} there`,
        then: `at least ${tidy(said.leastIn)}`
      };
    case 'handling': {
      const handling = (alloy: typeof said.now) =>
        alloyFacts(alloy).cold ? alloyFacts(alloy).use : 'as received';
      return { label: 'Handling', now: handling(said.now), then: handling(said.then) };
    }
    case 'use':
      return { label: 'Use', now: alloyFacts(said.now).use, then: alloyFacts(said.then).use };
    case 'head':
      return {
        label: 'Head',
        now: `${said.now.head}, ${length(said.now.heightIn)} high`,
        then: newHead(said.then, length)
      };
    case 'mass': {
      const grams = (value: number) => `${num(Math.round(value * 10) / 10)} g`;
      return {
        label: `Mass of ${said.rivets}`,
        now: grams(said.nowG),
        then: grams(said.thenG)
      };
    }
    case 'stack':
      return { label: 'Stack-up', now: 'as planned', then: refusalInWords(said.why, length) };
    case 'blind':
      return BLIND[said.what];
  }
}
