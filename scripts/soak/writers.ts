import { randomUUID } from 'node:crypto';
import type { EnteredJoint } from '../../src/core/kinds/joint.ts';
import { rivetSize } from '../../src/core/catalog/rivets.ts';
import type { Release } from '../../src/core/release/release.ts';
import { toldKey } from '../../src/core/signing/told.ts';
import { SaveOutcome } from '../../src/lib/api/joints.ts';
import { SigningView } from '../../src/lib/api/signing.ts';
import type { Hand } from '../fresh-shop.ts';
import { deliver } from './deliver.ts';
import type { Ledger } from './ledger.ts';
import { plainTap } from '../plain-tap.ts';

/** Where the writers write. */
export interface Places {
  /** a release that is driven and looked at for as long as the soak lasts */
  release: Pick<Release, 'id' | 'holes'>;
  /** a joint that is changed and ticked */
  changed: SavedJoint;
  /** a driven joint that is saved, released and signed again and again */
  signed: SavedJoint;
}

export interface SavedJoint {
  id: string;
  title: string;
  revision: number;
  definition: EnteredJoint;
}

interface Round {
  places: Places;
  ledger: Ledger;
  going: () => boolean;
  /** a number below one, by the soak's seed */
  random: () => number;
}

const now = () => new Date().toISOString();

async function sendEvent(
  hand: Hand,
  { ledger, going }: Round,
  stream: 'hole' | 'drive' | 'step' | 'sign',
  subject: string,
  move: object
): Promise<boolean> {
  const id = randomUUID();
  const sent = { id, at: now(), person: hand.person, ...move };
  ledger.sent.add(id);
  const path = `/api/events/${stream}/${subject}`;
  const answer = await deliver(hand, ledger, going, 'POST', path, [sent]);
  if (answer === null) return false;
  const payload = Object.fromEntries(Object.entries(move).filter(([name]) => name !== 'kind'));
  const table = `${stream}_events`;
  ledger.acknowledged.push({ what: 'event', table, subject, id, payload: JSON.stringify(payload) });
  return true;
}

/** Saves a joint under a title of its own. @returns its revision; null where it was refused or the soak ended */
async function save(
  hand: Hand,
  { ledger, going }: Round,
  joint: SavedJoint,
  baseRevision: number
): Promise<number | null> {
  const title = `${joint.title} ${randomUUID().slice(0, 13)}`;
  ledger.titles.add(title);
  const answer = await deliver(hand, ledger, going, 'PUT', `/api/joints/${joint.id}`, {
    baseRevision,
    title,
    definition: joint.definition
  });
  if (answer === null) return null;
  const outcome = SaveOutcome.parse(answer);
  if (!outcome.saved) {
    ledger.refused.push(`a save upon ${baseRevision} found ${outcome.revision}`);
    return null;
  }
  const { revision } = outcome;
  ledger.acknowledged.push({ what: 'save', joint: joint.id, revision, title });
  return revision;
}

/** Looks at heads, one after the other: good ones, and some that are not. */
export async function lookAtHeads(hand: Hand, round: Round): Promise<void> {
  const { id, holes } = round.places.release;
  for (let at = 0; round.going(); at++) {
    const { number: hole, dash } = ofTurn(holes, at);
    const thousandths = (inD: number) => Math.round(inD * rivetSize(dash).diameterIn * 1000) / 1000;
    await sendEvent(hand, round, 'hole', id, {
      kind: 'checked',
      hole,
      diameterIn: thousandths(1.35 + 0.3 * round.random()),
      heightIn: thousandths(0.45 + 0.15 * round.random()),
      flags: []
    });
  }
}

const ofTurn = (holes: Release['holes'], at: number): Release['holes'][number] => {
  const hole = holes[at % holes.length];
  if (!hole) throw new Error('this release has no holes');
  return hole;
};

/** Taps while driving, and ticks of steps between. */
export async function driveAndTick(hand: Hand, round: Round): Promise<void> {
  const { release, changed } = round.places;
  for (let at = 0; round.going(); at++) {
    const { number: hole } = ofTurn(release.holes, at);
    await sendEvent(hand, round, 'drive', release.id, plainTap(hole));
    await sendEvent(hand, round, 'step', changed.id, {
      kind: 'ticked',
      step: 'layout',
      hole: null,
      of: release.holes.length,
      done: at % 2 === 0,
      timed: null
    });
  }
}

/** Changes a joint, upon what was saved last. */
export async function changeJoint(hand: Hand, round: Round): Promise<void> {
  let revision: number | null = round.places.changed.revision;
  while (round.going() && revision !== null)
    revision = await save(hand, round, round.places.changed, revision);
}

/** Saves, releases and signs a joint, upon what was saved last. */
export async function releaseAndSign(hand: Hand, round: Round): Promise<void> {
  const { ledger, going, places } = round;
  const { signed: joint } = places;
  let revision: number | null = joint.revision;
  for (;;) {
    revision = await save(hand, round, joint, revision);
    if (revision === null) return;
    const path = `/api/joints/${joint.id}`;
    const made = await deliver(hand, ledger, going, 'POST', `${path}/issues`, { revision });
    if (made === null) return;
    const { number } = made as { number: number };
    ledger.acknowledged.push({ what: 'release', joint: joint.id, revision, number });
    const asked = await deliver(hand, ledger, going, 'GET', `${path}/record`);
    if (asked === null) return;
    const view = SigningView.parse(asked);
    const signature = {
      kind: 'signed',
      entitled: 'soak, stamp 0',
      accepted: view.told.map(toldKey)
    };
    if (!(await sendEvent(hand, round, 'sign', view.releaseId, signature)) || !going()) return;
  }
}
