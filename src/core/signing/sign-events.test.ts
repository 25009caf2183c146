import { describe, expect, it } from 'vitest';
import { missingToSign } from './missing';
import { sentByOthers } from './signed-matter';
import { toldKey } from './told';
import { SignMove, signStream, type SignSubject } from './sign-events';
import { matter } from '../../../tests/support/signed-matter';

describe('a signature', () => {
  const TOMAS = '00000000-0000-4000-8000-0000000000aa';
  const signing = (changes: object = {}) =>
    SignMove.parse({
      id: '00000000-0000-4000-8000-000000000099',
      at: '2031-05-02T10:00:00Z',
      kind: 'signed',
      person: TOMAS,
      entitled: 'stamp 7',
      accepted: [],
      ...changes
    });
  const subject: SignSubject = {
    practice: false,
    missing: { must: [], told: [] },
    drivers: new Set<string>(),
    signing: 'another',
    lastAt: Date.parse('2031-05-02T09:59:00Z')
  };
  const may = (of: Partial<SignSubject>, move = signing(), state = null) =>
    signStream.follow({ ...subject, ...of }, state, move);

  it('needs nothing missing, everything read, and another hand', () => {
    expect(may({}).ok).toBe(true);
    const code = (answer: ReturnType<typeof may>) => (answer.ok ? null : answer.error.said.code);
    expect(code(may({ missing: { must: [{ code: 'heads-due', holes: [1] }], told: [] } }))).toBe(
      'not-ready-to-sign'
    );
    const told = { missing: { must: [], told: [{ code: 'steps-unknown' as const }] } };
    expect(code(may(told))).toBe('told-not-accepted');
    // the code alone accepts nothing: what was told counts
    expect(code(may(told, signing({ accepted: ['steps-unknown'] })))).toBe('told-not-accepted');
    const accepted = told.missing.told.map(toldKey);
    expect(may(told, signing({ accepted })).ok).toBe(true);
    const own = { drivers: new Set([TOMAS]) };
    expect(code(may(own))).toBe('signs-own-work');
    expect(may({ ...own, signing: 'anyone' }).ok).toBe(true);
  });

  it('comes after what it rests on', () => {
    expect(may({}, signing({ at: '2031-05-02T09:50:00Z' }))).toMatchObject({
      ok: false,
      error: { said: { code: 'signed-before-last' } }
    });
    // two clocks may be so far apart
    expect(may({}, signing({ at: '2031-05-02T09:57:30Z' })).ok).toBe(true);
  });

  it('is one, and stays', () => {
    const signed = { ...signing(), by: 'Tomas', frozen: null };
    expect(signStream.project(subject, [signed])).toBe(signed);
    expect(signStream.follow(subject, signed, signing())).toMatchObject({
      ok: false,
      error: { said: { code: 'signed', by: 'Tomas' } }
    });
  });
});

describe('what one sent of another’s work', () => {
  it('is told by the two names, each pair once, and asks anew when it grows', () => {
    const events = [
      { by: 'Benn', sentBy: 'Ilse', hole: 4 },
      { by: 'Ilse', hole: 1 },
      { by: 'Benn', sentBy: 'Ilse', hole: 2 },
      { by: 'Benn', sentBy: 'Ilse', hole: 4 },
      { by: 'Tomas', sentBy: 'Ilse', hole: null },
      { by: 'Benn', sentBy: 'Tomas', hole: 3 }
    ];
    const sent = sentByOthers(events);
    expect(sent).toEqual([
      { by: 'Benn', sentBy: 'Ilse', holes: [2, 4] },
      { by: 'Tomas', sentBy: 'Ilse', holes: [] },
      { by: 'Benn', sentBy: 'Tomas', holes: [3] }
    ]);
    const told = missingToSign(matter({ sent })).told.filter(
      ({ code }) => code === 'sent-by-another'
    );
    expect(told).toEqual(sent.map((one) => ({ code: 'sent-by-another', ...one })));
    expect(new Set(told.map(toldKey)).size).toBe(3);
    const [first] = sentByOthers(events.slice(0, 1));
    expect(first && toldKey({ code: 'sent-by-another', ...first })).not.toBe(
      toldKey(told[0] as never)
    );
    expect(sentByOthers([{ by: 'Ilse', hole: 1 }])).toEqual([]);
  });
});
