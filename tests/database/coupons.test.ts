import { randomUUID } from 'node:crypto';
import { beforeAll, describe, expect, it } from 'vitest';
import { EnteredCoupon } from '../../src/core/grading/coupon.ts';
import { couponSheet, getCoupon, keepCoupon } from '../../src/lib/server/services/coupons.ts';
import { addPerson, type PersonView } from '../../src/lib/server/services/people.ts';
import { inInches } from '../../src/lib/words/writing.ts';
import { useDatabase } from './database.ts';
import { valueOf } from './value-of.ts';

const database = useDatabase();
let teacher: PersonView;
let other: PersonView;
beforeAll(async () => {
  teacher = await addPerson(database(), { name: 'Sunniva Ask', role: 'instructor' });
  other = await addPerson(database(), { name: 'Ole Brandvik', role: 'instructor' });
});
const coupon = (student: string) =>
  EnteredCoupon.parse({
    name: 'C 1',
    student,
    head: 'universal',
    dash: 4,
    places: 2,
    criteria: [],
    agreeWithin: '',
    measuringPoints: '0'
  });

describe('coupons', () => {
  it('are kept once however often they are sent, and never overwrite another hand’s', async () => {
    const id = randomUUID();
    const first = { revision: 0, coupon: coupon('Maro Lind') };
    expect(valueOf(await keepCoupon(database(), id, first, teacher.id))).toEqual({ revision: 1 });
    // the answer was lost: sent again
    expect(valueOf(await keepCoupon(database(), id, first, teacher.id))).toEqual({ revision: 1 });
    const theirs = { revision: 1, coupon: coupon('Maro Lind, second try') };
    expect(valueOf(await keepCoupon(database(), id, theirs, other.id))).toEqual({ revision: 2 });
    const late = { revision: 1, coupon: coupon('somebody else') };
    expect(await keepCoupon(database(), id, late, teacher.id)).toMatchObject({ reason: 'stale' });
    const again = { revision: 0, coupon: coupon('a third') };
    expect(await keepCoupon(database(), id, again, teacher.id)).toMatchObject({ reason: 'stale' });
    expect(valueOf(await getCoupon(database(), id))).toMatchObject({
      revision: 2,
      savedBy: 'Ole Brandvik',
      coupon: { student: 'Maro Lind, second try' }
    });
    // not whole: there is no sheet, and it says why
    const sheet = await couponSheet(database(), id, 'a4', inInches);
    expect(sheet).toMatchObject({ ok: false, reason: 'not-possible' });
    expect(!sheet.ok && sheet.inWords(inInches)).toContain('how near readings have to agree');
  });
});
