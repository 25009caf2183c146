import { describe, expect, it } from 'vitest';
import type { HoleEvent } from '../inspect/hole-events';
import type { HeldOpenHole, ReleasedFacts, ReleasedHole } from '../release/release';
import { NO_REWORK, type HoleRework } from '../reworking/rework-state';
import { missingToSign } from './missing';
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

describe('what is missing before a signature', () => {
  it('asks for the look at a blind rivet that is in, and tells of one that is not', () => {
    const blind = { fastener: 'NAS1398D4-2', drillIn: 0.1285, grip: null };
    const open = { number: 9, reason: 'closed tube', blind } as HeldOpenHole;
    const of = (stage: HoleRework['stage'] | null, looks: ('ring' | null)[] | null) =>
      missingToSign(
        matter({
          release: { ...matter().release, heldOpen: [open] },
          rework: {
            ...NO_REWORK,
            holes: stage === null ? new Map() : new Map([[9, rework(9, stage)]]),
            blinds:
              looks === null
                ? new Map()
                : new Map([
                    [
                      9,
                      {
                        ...{
                          hole: 9,
                          lot: '',
                          by: 'Benn',
                          person: 'benn',
                          at: '2031-05-02T08:00:00Z'
                        },
                        looks: looks.map((one) => ({
                          ...{ by: 'Ilse', person: 'ilse', at: '2031-05-02T09:00:00Z', note: '' },
                          found: one === null ? [] : [one]
                        }))
                      }
                    ]
                  ])
          }
        })
      );
    const told = (isIn: boolean) => [
      {
        code: 'held-open',
        hole: 9,
        reason: 'closed tube',
        blind: { fastener: 'NAS1398D4-2', isIn }
      }
    ];
    expect(of(null, null)).toEqual({ must: [], told: told(false) });
    // the data holder's word was that it goes in
    expect(of('blind', null).must).toEqual([{ code: 'blinds-not-in', holes: [9] }]);
    expect(of(null, [])).toEqual({
      must: [{ code: 'blinds-not-inspected', holes: [9] }],
      told: told(true)
    });
    expect(of(null, [null])).toEqual({ must: [], told: told(true) });
    expect(of(null, ['ring', null]).must).toEqual([{ code: 'blinds-bad', holes: [9] }]);
  });

  it('is nothing where all is driven, looked at and good', () => {
    expect(missingToSign(matter())).toEqual({ must: [], told: [] });
  });

  it('is every rivet, head, hole and question that is open', () => {
    const { must } = missingToSign(
      matter({
        drive: drove(1),
        states: seen(look(1)),
        due: { ...NOTHING_DUE, due: [1], open: [1] },
        rework: {
          holes: new Map([[3, rework(3, 'out')]]),
          referrals: new Map([
            [
              'a',
              {
                id: 'a',
                hole: 3,
                question: '?',
                instead: false,
                by: 'Ilse',
                at: '',
                answered: null
              }
            ]
          ]),
          voidedLooks: new Map(),
          blinds: new Map()
        }
      })
    );
    expect(must).toEqual([
      { code: 'not-driven', holes: [2] },
      { code: 'holes-empty', holes: [3] },
      { code: 'heads-due', holes: [1] },
      { code: 'heads-bad', holes: [1] },
      { code: 'referrals-open', count: 1, holes: [3] }
    ]);
  });

  it('never takes practice for a record', () => {
    const states = seen(look(1), look(2, { simulated: true } as Partial<HoleEvent>), look(3));
    expect(missingToSign(matter({ states })).must).toEqual([
      { code: 'heads-simulated', holes: [2] }
    ]);
  });

  it('asks for other eyes where a tap came in after its driver’s own look', () => {
    const facts = (checking: string) =>
      ({
        keptClosed: null,
        throughPlastic: null,
        bound: null,
        stacks: [],
        predictedIn3: null,
        rules: { checking }
      }) as unknown as ReleasedFacts;
    const drive = {
      ...drove(1, 2, 3),
      holes: new Map(
        [1, 2, 3].map((hole) => [hole, driven({ people: hole === 2 ? ['ilse'] : [] })])
      )
    };
    const states = seen(
      look(1, { person: 'ilse' }),
      look(2, { person: 'ilse' }),
      look(3, { person: 'ilse' })
    );
    const must = (checking: string) =>
      missingToSign(
        matter({ release: { facts: facts(checking), holes: HOLES, heldOpen: [] }, drive, states })
      ).must;
    expect(must('another')).toEqual([{ code: 'heads-by-driver', holes: [2] }]);
    expect(must('anyone')).toEqual([]);
  });

  it('tells what whoever signs has to know', () => {
    const plate = look(2, {
      kind: 'gauged',
      frozen: {
        verdict: 'accept',
        findings: [],
        diameterD: null,
        heightD: null,
        cannotTell: ['too-wide'],
        seat: null
      }
    });
    const { must, told } = missingToSign(
      matter({
        release: {
          facts: {
            stacks: [],
            predictedIn3: null,
            keptClosed: 'Ilse, sheet 2',
            throughPlastic: 'sleeves, sheet QR-3'
          } as unknown as ReleasedFacts,
          holes: HOLES,
          heldOpen: [{ number: 9, reason: 'latch' } as ReleasedHole & { reason: string }]
        },
        drive: {
          ...drove(1, 2, 3),
          holes: new Map([
            [1, driven({ expired: true, late: 'no other lot' })],
            [2, driven()],
            [3, driven()]
          ])
        },
        states: seen(look(1), plate),
        left: new Set([1]),
        earlier: [{ release: 1, holes: [4] }],
        settings: [{ part: 'MS20470AD4-5', tool: null }],
        steps: { done: 3, of: 9 },
        changedTo: 4
      })
    );
    expect(must).toEqual([]);
    expect(told.map(({ code }) => code)).toEqual([
      'held-open',
      'left-as-is',
      'earlier-rework',
      'expired',
      'setting-open',
      'through-plastic',
      'kept-closed',
      'steps-open',
      'changed-since',
      'not-measured',
      'not-looked-at'
    ]);
    expect(told.find(({ code }) => code === 'expired')).toMatchObject({
      holes: [1],
      reasons: ['no other lot']
    });
  });
});
