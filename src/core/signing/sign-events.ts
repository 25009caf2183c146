import { z } from 'zod';
import { answer, notPossible } from '../answer.ts';
import { CLOCK_SLACK_MS } from '../events/clock-slack.ts';
import { defineStream, MOVE_STAMP, type Recorded } from '../events/stream.ts';
import { toldKey } from './told.ts';
import { type Missing } from './missing.ts';

export const SignMove = z.strictObject({
  ...MOVE_STAMP,
  kind: z.literal('signed'),
  /** who signs; a signature is nobody else's */
  person: z.uuid('a signature names who signs'),
  /** what entitles them, as they write it: a certificate, a stamp */
  entitled: z.string().trim().min(1, 'what entitles you to sign').max(120),
  /** what they were told and accept, each by its key */
  accepted: z.array(z.string().max(120)).max(2000)
});
/** What a page sends when a release is signed. */
export type SignMove = z.output<typeof SignMove>;
export type SignEvent = Recorded<SignMove, null>;

/** What a signature is held against. */
export interface SignSubject {
  /** of a practice joint: nobody signs it */
  practice: boolean;
  missing: Missing;
  /** who drove any of its rivets, gun or bar */
  drivers: ReadonlySet<string>;
  /** the shop's rule: somebody who drove none of it, or anyone */
  signing: 'another' | 'anyone';
  /** when the last thing was logged that it rests on, ms since 1970 */
  lastAt: number;
}

/** The signature of a release; there is one, and nothing takes it back: what comes after is a new release. */
export const signStream = defineStream<SignSubject, SignMove, null, SignEvent | null>({
  name: 'sign',
  Move: SignMove,
  Frozen: z.null(),
  follow({ practice, missing, drivers, signing, lastAt }, signed, { person, accepted, at }) {
    if (practice) return notPossible('hole', { code: 'practice-not-signed' });
    if (signed) return notPossible('hole', { code: 'signed', by: signed.by });
    if (missing.must.length > 0)
      return notPossible('hole', { code: 'not-ready-to-sign', open: missing.must.length });
    if (signing === 'another' && drivers.has(person))
      return notPossible('person', { code: 'signs-own-work' });
    if (Date.parse(at) < lastAt - CLOCK_SLACK_MS)
      return notPossible('at', { code: 'signed-before-last' });
    const unread = missing.told.filter((told) => !accepted.includes(toldKey(told)));
    return unread.length > 0
      ? notPossible('accepted', { code: 'told-not-accepted', open: unread.length })
      : answer(null, []);
  },
  project: (_, events, from = null) => events.at(-1) ?? from
});
