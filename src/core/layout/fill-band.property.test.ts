import { it } from 'vitest';
import { bandAgrees } from '../../../tests/support/band-agrees';

it('fills a stretch as evenly as the search over every place, whatever is in its way', () =>
  bandAgrees(300));
