import { num } from '../../core/answer.ts';
import { FAMILY_CONSTANTS } from '../../core/catalog/families.ts';
import type { WaySaid } from '../../core/joint/way-out.ts';
import type { WriteLength } from './writing.ts';

/** A change that settles something, as one says what to do; the only place that has the words. */
export function wayInWords(said: WaySaid, length: WriteLength): string {
  switch (said.code) {
    case 'round-corners':
      return `round the corners to ${length(said.radiusIn)}`;
    case 'insert-edge':
      return `set the insert’s rivets ${length(said.edgeIn)} from its edge`;
    case 'usual-edge':
      return 'use the usual edge distance';
    case 'read-for':
      return `use the guidance for ${FAMILY_CONSTANTS[said.family].sheets}`;
    case 'size':
      return `use dash ${num(said.dash)} (${length(said.diameterIn)})`;
    case 'widen':
      return `widen to ${length(said.widthIn)}`;
    case 'rows-chosen':
      return 'use automatic rows';
    case 'rows-staggered':
      return 'stagger the rows';
    case 'rows-in-line':
      return 'put the rows in line';
    case 'lines-along':
      return 'set the rivets in lines along the member';
    case 'two-lines':
      return said.round === null ? 'set two lines' : `use two rows around the ${said.round}`;
    case 'rings':
      return `set ${said.rings} rings`;
    case 'no-insert':
      return 'remove the insert';
    case 'universal-heads':
      return said.dash === null
        ? 'use universal heads'
        : `use universal heads of dash ${num(said.dash)}`;
    case 'attachment-only':
      return 'set to attachment only (only if approved data show it carries no load)';
    case 'plate-without-insert':
      return 'use a plate without an insert';
  }
}
