import { describe, expect, it } from 'vitest';
import { definition, planned } from '../../../tests/support/joints';
import { reworkMargin } from './rework-margin';

const LAP = { widthIn: '8', dash: 4, rows: 1, perInch: '1.6', perInchReason: 'test' } as const;
const marginOf = (change: object) =>
  reworkMargin(planned(definition('lap', ['0.040', '0.040'], { ...LAP, ...change })));

describe('the rework margin of a layout', () => {
  it('is none at the least edge distance, and says what the next size asks for', () => {
    // edge 9/32 in; dash 5 asks for 2 × 5/32 = 5/16: 1/32 more
    expect(marginOf({})).toMatchObject({ take: 0, of: 13, limitedBy: 'edge', moreEdgeIn: 1 / 32 });
  });

  it('is every hole where there is room for the next size', () => {
    expect(marginOf({ edgeIn: '5/16' })).toMatchObject({ take: 13, of: 13 });
  });

  it('is no figure while there are no holes', () => {
    expect(reworkMargin({ headroom: [], holes: [] })).toBeNull();
  });
});
