import type { AdriftSaid } from '../../core/plan/adrift.ts';

const EDITS = { 'held-open': 'left open', removed: 'deleted', 'as-laid': 'moved' };

/** What was changed by hand and fits the layout no more. */
export function adriftInWords(said: AdriftSaid): string {
  switch (said.what) {
    case 'fixed':
      return `the fixed hole ${said.name} is on a line that is no longer there`;
    case 'edit': {
      const { state, reason, place } = said;
      const done = `${EDITS[state]}${state === 'held-open' ? ` (${reason})` : ''}`;
      return place === null
        ? `a hole was ${done} on a line that is no longer there`
        : `hole ${place.hole} of ${place.of} on ${place.line} was ${done}; it now has ${place.holesNow} holes`;
    }
    case 'crossing':
      return `hole ${said.hole} on ${said.line} was ${EDITS[said.state]}, but another row at this hole differs`;
    case 'datum':
      return 'the datum chosen is not there: marks run from the beginning';
  }
}
