import { TERMS, type Term } from './terms.ts';

const BY_TERM = new Map(TERMS.map((entry) => [entry.term, entry]));

/** Where an entry of the glossary stands on its page. */
export const termAnchor = (term: string): string => term.replaceAll(/[^a-z]+/g, '-');

/** The entry that a label names, whatever its capitals; undefined where it is no term of its own. */
export const termOf = (label: string): Term | undefined => BY_TERM.get(label.toLowerCase());
