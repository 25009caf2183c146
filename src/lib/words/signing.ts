import type { Must, Told } from '../../core/signing/told.ts';
import { boundRuleInWords } from './bound-rules.ts';
import { OBJECTION_ANSWERS, objectionNamed } from './objections.ts';
import { INSPECTION_WORDS } from './heads.ts';
import { plural, sentence } from './writing.ts';

const MOST_NAMED = 12;
const named = (holes: readonly number[]): string => {
  const sorted = [...holes].sort((a, b) => a - b);
  return sorted.length > MOST_NAMED
    ? `${sorted.slice(0, MOST_NAMED).join(', ')} and ${sorted.length - MOST_NAMED} more`
    : sorted.join(', ');
};

/** What keeps a release from being signed, and at which station it is mended. */
export function mustInWords(must: Must): {
  text: string;
  station: 'drive' | 'check';
  hole: number | null;
} {
  const hole = must.holes[0] ?? null;
  switch (must.code) {
    case 'not-driven':
      return {
        text: `${plural(must.holes.length, 'rivet')} not driven: ${named(must.holes)}`,
        station: 'drive',
        hole
      };
    case 'holes-empty':
      return {
        text: `${plural(must.holes.length, 'hole')} empty: ${named(must.holes)}`,
        station: 'check',
        hole
      };
    case 'heads-due':
      return {
        text: `${plural(must.holes.length, 'head')} to look at: ${named(must.holes)}`,
        station: 'check',
        hole
      };
    case 'heads-bad':
      return {
        text: `${plural(must.holes.length, 'bad head')}: ${named(must.holes)}`,
        station: 'check',
        hole
      };
    case 'heads-simulated':
      return {
        text: `${plural(must.holes.length, 'head')} measured by a simulated device, which is practice: ${named(must.holes)}`,
        station: 'check',
        hole
      };
    case 'heads-by-driver':
      return {
        text: `${plural(must.holes.length, 'head')} judged only by who drove ${must.holes.length === 1 ? 'it' : 'them'}; by this shop’s rule somebody else looks: ${named(must.holes)}`,
        station: 'check',
        hole
      };
    case 'blinds-bad':
      return {
        text: `${plural(must.holes.length, 'blind rivet')} to replace: ${named(must.holes)}`,
        station: 'check',
        hole
      };
    case 'blinds-not-inspected':
      return {
        text: `${plural(must.holes.length, 'blind rivet')} installed but not inspected: ${named(must.holes)}`,
        station: 'check',
        hole
      };
    case 'blinds-not-in':
      return {
        text: `${plural(must.holes.length, 'approved blind rivet')} not installed: ${named(must.holes)}`,
        station: 'check',
        hole
      };
    case 'referrals-open':
      return {
        text: `${plural(must.count, 'question')} not answered${must.holes.length > 0 ? `, of hole ${named(must.holes)}` : ''}`,
        station: 'check',
        hole
      };
  }
}

/** What whoever signs has to know. */
export function toldInWords(told: Told): string {
  switch (told.code) {
    case 'held-open':
      return told.blind
        ? `Hole ${told.hole} has a blind rivet, ${told.blind.fastener}, ${told.blind.isIn ? 'installed' : 'not installed'}. It is not in the joint strength or the counts`
        : `Hole ${told.hole} has no rivet: ${told.reason}`;
    case 'old-work':
      return `Old work found in service on this joint: ${plural(told.findings, 'finding')}, ${told.open === 0 ? 'none open' : `${told.open} open`}. Old work does not count for a release`;
    case 'left-as-is':
      return `Left as it is on the data holder’s word: head ${named(told.holes)}`;
    case 'earlier-rework':
      return `In release ${told.release} rivets were taken out or referred, and this release was planned without it: hole ${named(told.holes)}. Hold their sizes against this one`;
    case 'taken-over':
      return `Taken over from release ${told.release}, as it was logged there: head ${named(told.holes)}`;
    case 'old-rivets':
      return `Planned otherwise than in release ${told.release}, whose rivet was in it: hole ${named(told.holes)}. That rivet had to come out first`;
    case 'gone-since':
      return `Rivets of release ${told.release} that this one does not have, by their numbers there: hole ${named(told.holes)}. The metal has these holes`;
    case 'driving-not-logged':
      return 'Driving was not logged: who drove, in which order and when is not known';
    case 'lots-not-told':
      return `Of which lot they are was not told for rivets ${told.parts.join(', ')}`;
    case 'expired':
      return `Driven after its batch had expired: ${named(told.holes)}${told.reasons.length > 0 ? ` (${told.reasons.join('; ')})` : ''}`;
    case 'driven-against':
      return `Driven although not met: ${told.answers
        .map(
          ({ key, answer, why, by }) =>
            `${objectionNamed(key)}, ${OBJECTION_ANSWERS[answer]}${why === '' ? '' : ` (${why})`}, by ${by}`
        )
        .join('; ')}`;
    case 'driven-in-question':
      return `Driven while a question about it was open: ${named(told.holes)}`;
    case 'more-metal':
      return `A reading holds more than twice the metal that the rivet had: head ${named(told.holes)}. It stands as it was taken`;
    case 'readings-voided':
      return `A reading of the empty hole was voided: hole ${named(told.holes)}. The reasons stand in the history`;
    case 'rework-steps-open':
      return `Steps before the new rivet not ticked: hole ${named(told.holes)}`;
    case 'setting-open':
      return told.tool === null
        ? `No tool’s setting is on record for ${told.part}`
        : `The setting of ${told.tool} for ${told.part} was never released by its first heads`;
    case 'bound-rule':
      return `Not by the shop’s rules: ${boundRuleInWords(told, 'decimal')}`;
    case 'kept-closed':
      return `Not taken apart after drilling; chips and burrs accepted by: ${told.by}`;
    case 'through-plastic':
      return `Solid rivets through plastic: ${told.by}`;
    case 'steps-open':
      return `${told.of - told.done} of ${told.of} steps before driving are not ticked off`;
    case 'steps-unknown':
      return 'The joint has changed since this release, so its steps before driving are not counted';
    case 'changed-since':
      return `The joint is at revision ${told.revision} by now; this release stays as it was made`;
    case 'looks-voided':
      return `A look at the head was voided: head ${named(told.holes)}. The reasons stand in the history`;
    case 'named-only':
      return `${told.named} was named by ${told.by} as holding the gun or the bar, and has not confirmed it: hole ${named(told.holes)}`;
    case 'sent-by-another':
      return `Entries of ${told.by} were sent by ${told.sentBy}, from the device ${told.by} was signed in on${told.holes.length > 0 ? `: hole ${named(told.holes)}` : ''}`;
    case 'replaced':
      return told.was === told.now
        ? `Replaced by a new ${told.now}: rivet ${named(told.holes)}`
        : `Replaced: ${told.now} where ${told.was} was released: rivet ${named(told.holes)}`;
    case 'not-complete':
      return `${sentence(INSPECTION_WORDS[told.place])} not inspected: rivet ${named(told.holes)}`;
    case 'not-measured':
      return `Good by gauge plate or slip only, which does not tell everything: head ${named(told.holes)}`;
    case 'not-looked-at':
      return `Not looked at, by the shop’s sampling: head ${named(told.holes)}`;
  }
}

/** On what the record rests that nobody measured. */
export const ASSUMED: readonly string[] = [
  'Sheets are as thick, and of the alloy, as was typed: the program measures nothing.',
  'Heads are cylinders: a barrel measured at its widest overstates its metal.',
  'Rivets are of the part number that was planned, unless somebody logged another.',
  'Clocks of the devices are right to two minutes.',
  'Who logged something is who was at the bench by that device.',
  'Limits are those of the shop’s rules, unless the joint’s own data say others: approved data come first.'
];
