import { describe, expect, it } from 'vitest';
import { holeStates, type HoleEvent } from '../inspect/hole-events';
import { NOT_DRIVEN } from '../driving/drive-events';
import type { ReleasedFacts } from '../release/release';
import type { SinceRelease } from '../releases/since-release';
import { NO_REWORK, type HoleRework, type Referral } from '../reworking/rework-state';
import { missingToSign } from './missing';
import type { SignedMatter } from './signed-matter';
import { toldKey } from './told';
import {
  NOTHING_DUE,
  driven,
  drove,
  look,
  rework,
  HOLES,
  seen,
  matter
} from '../../../tests/support/signed-matter';

describe('what whoever signs is told', () => {
  it('tells what of a head nobody looked at, place by place, where the sampling wants nothing of it', () => {
    const rules = { inspect: ['manufactured', 'sheet'] } as unknown as ReleasedFacts['rules'];
    const facts = {
      keptClosed: null,
      throughPlastic: null,
      bound: null,
      stacks: [],
      predictedIn3: null,
      rules
    } as unknown as ReleasedFacts;
    const asked = new Map(
      [1, 2, 3].map((hole) => [hole, ['shop', 'manufactured', 'sheet'] as const])
    );
    const states = holeStates(
      [1, 2, 3],
      [
        look(1),
        look(2, { clean: ['manufactured'] }),
        look(3, { clean: ['manufactured', 'sheet'] })
      ],
      { asked }
    );
    const release = { facts, holes: HOLES, heldOpen: [] };
    const told = (changes: Partial<SignedMatter> = {}) =>
      missingToSign(matter({ release, states, ...changes })).told;
    expect(told()).toEqual([
      { code: 'not-complete', place: 'manufactured', holes: [1] },
      { code: 'not-complete', place: 'sheet', holes: [1, 2] }
    ]);
    expect(told({ due: { ...NOTHING_DUE, due: [1, 2] } })).toEqual([]);
  });

  it('tells every rivet that was replaced, by what was released and what is in', () => {
    const rivet = (partNumber: string) => ({ dash: 5, partNumber, lengthIn: 0.4, holeIn: 0.16 });
    const facts = { partNumber: 'P4', stacks: [] } as unknown as ReleasedFacts;
    const now = (hole: number, partNumber: string) =>
      [hole, { ...rework(hole, 'ready'), rivet: rivet(partNumber) } as HoleRework] as const;
    const { told } = missingToSign(
      matter({
        asReleased: { facts, holes: HOLES },
        rework: { ...NO_REWORK, holes: new Map([now(3, 'P5'), now(1, 'P5'), now(2, 'P4')]) }
      })
    );
    expect(told).toEqual([
      { code: 'replaced', was: 'P4', now: 'P5', holes: [1, 3] },
      { code: 'replaced', was: 'P4', now: 'P4', holes: [2] }
    ]);
  });

  it('tells of a reading that holds more than twice the metal there is, and of none within it', () => {
    // π/4 · 0.19² · 0.062 is 0.001758: of 0.00088 it is 1.998 times, of 0.00087 2.02
    const told = (predictedIn3: number) =>
      missingToSign(
        matter({
          release: {
            facts: {
              keptClosed: null,
              throughPlastic: null,
              bound: null,
              stacks: [],
              predictedIn3
            } as unknown as ReleasedFacts,
            holes: HOLES,
            heldOpen: []
          }
        })
      ).told.filter(({ code }) => code === 'more-metal');
    expect(told(0.00088)).toEqual([]);
    expect(told(0.00087)).toEqual([{ code: 'more-metal', holes: [1, 2, 3] }]);
  });

  it('tells which looks were voided', () => {
    const states = holeStates([1, 2, 3], [look(1), { ...look(1), id: 'false' }, look(2), look(3)], {
      voided: new Set(['false'])
    });
    expect(missingToSign(matter({ states })).told).toEqual([{ code: 'looks-voided', holes: [1] }]);
  });

  it('rests on no practice and on no driver’s own eyes where others looked as well', () => {
    const practice = look(2, { id: 'x', simulated: true } as Partial<HoleEvent>);
    const states = seen(look(1), practice, look(2), look(3));
    expect(missingToSign(matter({ states })).must).toEqual([]);
    // what practice found wrong keeps it from being signed all the same, until it is voided
    const bad = look(2, {
      id: 'x',
      simulated: true,
      frozen: { ...practice.frozen, verdict: 'replace' }
    } as Partial<HoleEvent>);
    expect(missingToSign(matter({ states: seen(look(1), bad, look(2), look(3)) })).must).toEqual([
      { code: 'heads-simulated', holes: [2] }
    ]);
  });

  it('tells the steps at a reworked hole that nobody ticked', () => {
    const told = (steps: HoleRework['steps']) =>
      missingToSign(
        matter({
          rework: {
            ...NO_REWORK,
            holes: new Map([
              [2, { ...rework(2, 'ready'), toDo: ['drilled', 'deburred', 'cut', 'cleaned'], steps }]
            ])
          }
        })
      ).told;
    const open = { code: 'rework-steps-open', holes: [2] };
    // it is drilled, and its countersink was not cut for the larger head
    expect(told(['drilled', 'deburred', 'cleaned'])).toContainEqual(open);
    expect(told(['drilled', 'deburred', 'cut', 'cleaned'])).not.toContainEqual(open);
  });

  it('is accepted as it was told: what changes after asks again', () => {
    const expired = { code: 'expired', holes: [1, 2], reasons: ['no other lot'] } as const;
    const key = toldKey({ ...expired, holes: [1, 2], reasons: ['no other lot'] });
    // the same, whatever the order of its fields
    expect(toldKey({ reasons: ['no other lot'], holes: [1, 2], code: 'expired' })).toBe(key);
    for (const other of [
      { holes: [1, 2, 3], reasons: ['no other lot'] },
      { holes: [1, 2], reasons: ['none in stock'] }
    ])
      expect(toldKey({ code: 'expired', ...other })).not.toBe(key);
    expect(key).toMatch(/^expired [0-9a-f]{1,16}$/);
  });

  it('tells each thing with its own holes and words, and nothing that is not so', () => {
    const since: SinceRelease = {
      issue: 'i',
      release: 4,
      carried: [{ hole: 1, was: 1, looked: true }],
      again: [
        { hole: 2, was: 2, why: 'another-rivet', inIt: true },
        { hole: 3, was: 3, why: 'another-rivet', inIt: false },
        { hole: 1, was: 1, why: 'other-limits', inIt: true }
      ],
      gone: [
        { release: 2, hole: 8, xIn: 0, yIn: 0 },
        { release: 3, hole: 9, xIn: 0, yIn: 0 },
        { release: 2, hole: 7, xIn: 0, yIn: 0 }
      ],
      replaced: [],
      blind: [],
      changes: []
    };
    const told = (changes: Partial<SignedMatter>) => missingToSign(matter(changes)).told;
    expect(told({ since })).toEqual([
      { code: 'taken-over', release: 4, holes: [1] },
      { code: 'old-rivets', release: 4, holes: [2] },
      { code: 'gone-since', release: 2, holes: [8, 7] },
      { code: 'gone-since', release: 3, holes: [9] }
    ]);
    expect(new Set(told({ since }).map(toldKey)).size).toBe(4);
    expect(told({ since: { ...since, carried: [], again: [], gone: [] } })).toEqual([]);
    expect(told({ withoutLot: ['MS20470AD4-5'] })).toEqual([
      { code: 'lots-not-told', parts: ['MS20470AD4-5'] }
    ]);
    expect(told({ steps: null })).toEqual([{ code: 'steps-unknown' }]);
    expect(told({ steps: { done: 8, of: 9 } })).toEqual([{ code: 'steps-open', done: 8, of: 9 }]);
    expect(told({ changedTo: 7 })).toEqual([{ code: 'changed-since', revision: 7 }]);
    expect(told({ left: new Set([2, 9]) })).toEqual([{ code: 'left-as-is', holes: [2] }]);
    expect(told({ settings: [{ part: 'P', tool: 'gun 2' }] })).toEqual([
      { code: 'setting-open', part: 'P', tool: 'gun 2' }
    ]);
    expect(told({ earlier: [{ release: 2, holes: [5] }] })).toEqual([
      { code: 'earlier-rework', release: 2, holes: [5] }
    ]);
  });

  it('tells each reason for an expired rivet once, and of none that was not', () => {
    const holes = new Map([
      [1, driven({ expired: true, late: 'lead agreed' })],
      [2, driven({ expired: true, late: 'lead agreed' })],
      [3, driven({ expired: true, late: '' })]
    ]);
    expect(missingToSign(matter({ drive: { ...drove(1, 2, 3), holes } })).told).toEqual([
      { code: 'expired', holes: [1, 2, 3], reasons: ['lead agreed'] }
    ]);
  });

  it('takes a head that was looked at for a rivet that is in, and an empty hole for neither', () => {
    const drive = {
      ...drove(1),
      holes: new Map([
        [1, driven()],
        [2, driven({ driven: false })]
      ])
    };
    // 2 was taken back, 3 never logged, but somebody looked at 3
    expect(missingToSign(matter({ drive, states: seen(look(1), look(3)) })).must).toEqual([
      { code: 'not-driven', holes: [2] }
    ]);
    // what is empty is neither due, nor bad, nor not driven, nor not looked at
    const found = missingToSign(
      matter({
        drive,
        states: seen(look(1), look(3)),
        due: { ...NOTHING_DUE, due: [2], open: [2] },
        rework: {
          holes: new Map([[2, rework(2, 'ask')]]),
          referrals: new Map(),
          voidedLooks: new Map(),
          blinds: new Map()
        }
      })
    );
    expect(found).toEqual({
      must: [{ code: 'holes-empty', holes: [2] }],
      // 3 was looked at, and its driving is on no record
      told: [{ code: 'driving-not-logged', holes: [3] }]
    });
  });

  it('waits for every question, of a hole or of the joint, that nobody has answered', () => {
    const asked = (
      id: string,
      hole: number | null,
      answered: unknown = null
    ): [string, Referral] => [
      id,
      {
        id,
        hole,
        question: '?',
        instead: false,
        by: 'Ilse',
        at: '',
        answered: answered as Referral['answered']
      }
    ];
    const referrals = new Map([asked('a', null), asked('b', 2), asked('c', 3, { answer: 'ok' })]);
    expect(
      missingToSign(
        matter({
          rework: { holes: new Map(), referrals, voidedLooks: new Map(), blinds: new Map() }
        })
      ).must
    ).toEqual([{ code: 'referrals-open', count: 2, holes: [2] }]);
  });

  it('calls a head not measured only where it is good and the plate could not tell all', () => {
    const by = (verdict: string, cannotTell: string[]) =>
      look(1, {
        kind: 'gauged',
        frozen: { verdict, findings: [], diameterD: null, heightD: null, cannotTell } as never
      });
    const codes = (event: HoleEvent) =>
      missingToSign(matter({ states: seen(event, look(2), look(3)) })).told.map(({ code }) => code);
    expect(codes(by('accept', ['too-wide']))).toEqual(['not-measured']);
    expect(codes(by('accept', []))).toEqual([]);
    expect(codes(by('measure', ['too-narrow']))).toEqual([]);
  });

  it('counts a head as not inspected only where nothing else asks for it', () => {
    const states = seen(look(1));
    const told = (changes: Partial<SignedMatter>) =>
      missingToSign(matter({ states, ...changes })).told;
    expect(told({})).toEqual([{ code: 'not-looked-at', holes: [2, 3] }]);
    expect(told({ due: { ...NOTHING_DUE, due: [2] } })).toEqual([
      { code: 'not-looked-at', holes: [3] }
    ]);
  });

  it('tells each rivet whose time of driving is only stated', () => {
    const drive = { ...drove(1, 2, 3) };
    drive.holes = new Map([...drive.holes, [2, driven({ stated: true })]]);
    expect(missingToSign(matter({ drive })).told).toEqual([{ code: 'driving-stated', holes: [2] }]);
  });

  it('says where driving was never logged, instead of calling every rivet missing', () => {
    const { must, told } = missingToSign(matter({ drive: NOT_DRIVEN }));
    expect([must, told]).toEqual([[], [{ code: 'driving-not-logged' }]]);
  });
});
