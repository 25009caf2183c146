import type { Must, Told } from '../../core/signing/told.ts';
import { boundRuleInWords } from './bound-rules.ts';
import { OBJECTION_ANSWERS, objectionNamed } from './objections.ts';
import { INSPECTION_WORDS } from './heads.ts';
import { holesNamed, plural, sentence } from './writing.ts';

/** What keeps a release from being signed, and at which station it is mended. */
export function mustInWords(must: Must): {
  text: string;
  station: 'drive' | 'inspect';
  hole: number | null;
} {
  const hole = must.holes[0] ?? null;
  switch (must.code) {
    case 'not-driven':
      return {
        text: `${plural(must.holes.length, 'rivet')} not driven: ${holesNamed(must.holes)}`,
        station: 'drive',
        hole
      };
    case 'holes-empty':
      return {
        text: `${plural(must.holes.length, 'hole')} empty: ${holesNamed(must.holes)}`,
        station: 'inspect',
        hole
      };
    case 'heads-due':
      return {
        text: `${plural(must.holes.length, 'head')} to inspect: ${holesNamed(must.holes)}`,
        station: 'inspect',
        hole
      };
    case 'heads-bad':
      return {
        text: `${plural(must.holes.length, 'rejected head')}: ${holesNamed(must.holes)}`,
        station: 'inspect',
        hole
      };
    case 'heads-simulated':
      return {
        text: `${plural(must.holes.length, 'head')} measured with a simulated device (practice): ${holesNamed(must.holes)}`,
        station: 'inspect',
        hole
      };
    case 'heads-by-driver':
      return {
        text: `${plural(must.holes.length, 'head')} inspected only by the driver; shop rule requires another inspector: ${holesNamed(must.holes)}`,
        station: 'inspect',
        hole
      };
    case 'blinds-bad':
      return {
        text: `${plural(must.holes.length, 'blind rivet')} to replace: ${holesNamed(must.holes)}`,
        station: 'inspect',
        hole
      };
    case 'blinds-not-inspected':
      return {
        text: `${plural(must.holes.length, 'blind rivet')} installed but not inspected: ${holesNamed(must.holes)}`,
        station: 'inspect',
        hole
      };
    case 'blinds-not-in':
      return {
        text: `${plural(must.holes.length, 'approved blind rivet')} not installed: ${holesNamed(must.holes)}`,
        station: 'inspect',
        hole
      };
    case 'referrals-open':
      return {
        text: `${plural(must.count, 'question')} not answered${must.holes.length > 0 ? `, of hole ${holesNamed(must.holes)}` : ''}`,
        station: 'inspect',
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
      return `Left as is per engineering: hole ${holesNamed(told.holes)}`;
    case 'earlier-rework':
      return `In release ${told.release} rivets were removed or referred. This release was planned without that: hole ${holesNamed(told.holes)}. Compare their sizes with this release`;
    case 'taken-over':
      return `Carried forward from release ${told.release} as recorded there: hole ${holesNamed(told.holes)}`;
    case 'old-rivets':
      return `Plan differs from release ${told.release}, whose rivet was in the hole: hole ${holesNamed(told.holes)}. That rivet had to be removed first`;
    case 'gone-since':
      return `Rivets of release ${told.release} missing from this release: hole ${holesNamed(told.holes)} (numbers of release ${told.release}). The parts have these holes`;
    case 'driving-not-logged':
      return `Driving not logged${told.holes ? ` (inspected all the same): hole ${holesNamed(told.holes)}` : ''}: driver, order and time are not recorded`;
    case 'driving-stated':
      return `Driving logged after the inspection; driving time entered by the user: hole ${holesNamed(told.holes)}`;
    case 'lots-not-told':
      return `Lot not recorded for ${told.parts.join(', ')}`;
    case 'expired':
      return `Driven after its batch had expired: ${holesNamed(told.holes)}${told.reasons.length > 0 ? ` (${told.reasons.join('; ')})` : ''}`;
    case 'driven-against':
      return `Driven with requirements not met: ${told.answers
        .map(
          ({ key, answer, why, by }) =>
            `${objectionNamed(key)}, ${OBJECTION_ANSWERS[answer]}${why === '' ? '' : ` (${why})`}, by ${by}`
        )
        .join('; ')}`;
    case 'driven-in-question':
      return `Driven with an open question: ${holesNamed(told.holes)}`;
    case 'more-metal':
      return `A reading has more than twice the metal of the rivet: hole ${holesNamed(told.holes)}. It is kept as recorded`;
    case 'readings-voided':
      return `A reading of the empty hole was voided: hole ${holesNamed(told.holes)}. See the history for the reasons`;
    case 'rework-steps-open':
      return `Prep steps for the new rivet not completed: hole ${holesNamed(told.holes)}`;
    case 'setting-open':
      return told.tool === null
        ? `No tool setting recorded for ${told.part}`
        : `The setting of ${told.tool} for ${told.part} was never qualified`;
    case 'bound-rule':
      return `Different from shop rules: ${boundRuleInWords(told, 'decimal')}`;
    case 'kept-closed':
      return `Not disassembled after drilling; chips and burrs accepted by: ${told.by}`;
    case 'through-plastic':
      return `Solid rivets through plastic: ${told.by}`;
    case 'steps-open':
      return `${told.of - told.done} of ${told.of} prep steps not completed`;
    case 'steps-unknown':
      return 'The joint has changed since this release, so its prep steps are not counted';
    case 'changed-since':
      return `The joint is now at revision ${told.revision}; this release is unchanged`;
    case 'looks-voided':
      return `An inspection was voided: hole ${holesNamed(told.holes)}. See the history for the reasons`;
    case 'named-only':
      return `${told.by} named ${told.named} as gun or bar operator; not confirmed: hole ${holesNamed(told.holes)}`;
    case 'sent-by-another':
      return `Entries of ${told.by} were sent by ${told.sentBy}, from the device ${told.by} was signed in on${told.holes.length > 0 ? `: hole ${holesNamed(told.holes)}` : ''}`;
    case 'replaced':
      return told.was === told.now
        ? `Replaced by a new ${told.now}: hole ${holesNamed(told.holes)}`
        : `Replaced: ${told.now} where ${told.was} was released: hole ${holesNamed(told.holes)}`;
    case 'not-complete':
      return `${sentence(INSPECTION_WORDS[told.place])} not inspected: hole ${holesNamed(told.holes)}`;
    case 'not-measured':
      return `Accepted by gauge plate or feeler strip only, not measured: hole ${holesNamed(told.holes)}`;
    case 'not-looked-at':
      return `Not inspected (sampling plan): hole ${holesNamed(told.holes)}`;
  }
}

/** On what the record rests that nobody measured. */
export const ASSUMED: readonly string[] = [
  'Sheet thickness and alloy are as entered; they are not measured by the program.',
  'Heads are cylinders: a barrel measured at its widest overstates its metal.',
  'Rivets have the planned part number unless another was recorded.',
  'Clocks of the devices are right to two minutes.',
  'Each entry was made by the person signed in on that device.',
  'Limits are the shop rules unless joint data specify others; approved data take precedence.'
];
