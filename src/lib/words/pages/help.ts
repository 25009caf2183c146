/** What the pages of help call things: tests find them by the same words. */
export const HELP = {
  findTerm: 'Find a term',
  glossary: 'Glossary',
  noMatch: 'No matching term.',
  onePerConcept: 'One term per concept, as used on every page, file and printout.'
};
