import { it } from 'vitest';
import { bandAgrees } from '../../../tests/support/band-agrees';

/** A second by itself; other work beside it makes it slow. */
const PATIENCE_MS = 60_000;

it(
  'fills a stretch as evenly as the search over every place, whatever is in its way',
  () => bandAgrees(300),
  PATIENCE_MS
);
