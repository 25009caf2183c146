import { describe, expect, it } from 'vitest';
import { flushTyped, lookTyped, NOTHING_TYPED, type TypedLook } from './typed-look';

const typed = (changes: Partial<TypedLook>): TypedLook => ({
  ...NOTHING_TYPED,
  diameter: '0.19',
  height: '1/16',
  ...changes
});
const look = (changes: Partial<TypedLook>) => lookTyped(3, 'calipers', typed(changes), null);

describe('a look as typed', () => {
  it('is sent with all that was typed of it', () => {
    expect(look({ slip: 'catches', flags: ['smile'], clean: ['sheet'] })).toEqual({
      kind: 'checked',
      hole: 3,
      diameterIn: 0.19,
      heightIn: 0.0625,
      flags: ['smile'],
      clean: ['sheet'],
      flush: { by: 'slip', slipIn: 0.003, catches: true }
    });
    expect(look({ flush: '−0.002' })).toMatchObject({ flush: { by: 'number', offIn: -0.002 } });
    expect(look({ how: 'mirror', plusMinus: '0.01' })).toMatchObject({
      how: 'mirror',
      plusMinus: { diameterIn: 0.01, heightIn: 0.01 }
    });
  });

  it.each<Partial<TypedLook>>([{}, { how: 'print', plusMinus: '0.001' }])(
    'stays practice where a figure came from a simulated device: %j',
    (how) => {
      expect(look({ ...how, simulated: true })).toMatchObject({ simulated: true });
      expect(look(how)).not.toHaveProperty('simulated');
    }
  );

  it.each<[string, Partial<TypedLook>]>([
    ['a flushness that is no length', { flush: 'high' }],
    ['a flushness that no head has', { flush: '0.2' }],
    // else a head that catches would go out as one nobody felt
    ['a slip whose thickness cannot be read', { slip: 'catches', slipThick: 'thin' }],
    ['a slip that is no paper', { slip: 'catches', slipThick: '0.3' }],
    ['a mirror’s reading without how far off it may be', { how: 'mirror' }],
    ['one that is further off than tells anything', { how: 'mirror', plusMinus: '1' }],
    ['a height that is missing', { height: '' }]
  ])('is not sent with %s', (_, changes) => {
    expect(look(changes)).toBeNull();
  });

  it('has no flushness where nobody felt it', () => {
    expect(flushTyped(NOTHING_TYPED)).toBeNull();
    expect(look({})).not.toHaveProperty('flush');
  });
});
