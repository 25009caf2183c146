import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { pageWithServer, type FakeServer } from '../../../../tests/support/fake-server.ts';
import { smallRelease } from '../../../../tests/support/small-release.ts';
import type { Call, Role } from '$core/driving/two-people.ts';
import { setWhoIsHere } from '../../client/who';
import type { DriveDesk } from './drive-desk.svelte';
import { LiveTeam } from './live-team.svelte';

const ME = '6b1f6e0e-93ad-4d5a-9c3c-000000000001';
const OTHER = '6b1f6e0e-93ad-4d5a-9c3c-000000000002';
const THEIR_DEVICE = '6b1f6e0e-93ad-4d5a-9c3c-0000000000d2';

/** The stream of the server, as the page listens to it. */
class Line {
  static now: Line;
  onopen: () => void = () => undefined;
  onmessage: (said: { data: string }) => void = () => undefined;
  closed = false;
  constructor(readonly path: string) {
    Line.now = this;
  }
  close(): void {
    this.closed = true;
  }
}

let server: FakeServer;
let team: LiveTeam;
let end: () => void;
let read: () => Promise<void>;
const desk = {
  here: 13 as number | null,
  hands: null as { gun: string; bar: string } | null,
  release: smallRelease(),
  desk: {
    stored: [] as { id: string }[],
    read: () => read()
  }
};

beforeEach(() => {
  vi.useFakeTimers({ toFake: ['setInterval', 'clearInterval', 'performance', 'Date'] });
  server = pageWithServer();
  vi.stubGlobal('EventSource', Line);
  vi.stubGlobal('document', Object.assign(new EventTarget(), { visibilityState: 'visible' }));
  vi.stubGlobal('window', new EventTarget());
  setWhoIsHere(ME);
  Object.assign(desk, { here: 13, hands: null });
  desk.desk.stored = [];
  read = vi.fn(async () => undefined);
  team = new LiveTeam(desk as unknown as DriveDesk);
  end = team.run();
});
afterEach(() => {
  end();
  setWhoIsHere(null);
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

let turn = 0;
/** The other says something; the turn rises by itself. */
const hear = (role: Role, call: Call, hole: number | null = 13, at = (turn += 1)): void =>
  Line.now.onmessage({
    data: JSON.stringify({
      kind: 'word',
      word: { device: THEIR_DEVICE, role, call, hole, turn: at },
      by: 'Benn',
      person: OTHER
    })
  });
const logged = (event: string): void =>
  Line.now.onmessage({ data: JSON.stringify({ kind: 'logged', event }) });
const fires = (): boolean => team.state?.fire ?? false;

describe('two people on two devices', () => {
  it('one alone has no team, and says nothing', () => {
    expect(team.state).toBeNull();
    vi.advanceTimersByTime(5000);
    expect(server.said).toEqual([]);
    hear('bar', 'ready');
    expect(team.other).toBeNull();
  });

  it('the gun fires on ready and its own go, of one rivet', () => {
    team.take('gun');
    expect(team.state?.link).toBe('alone');
    hear('bar', 'idle');
    expect(team.state).toMatchObject({ link: 'joined', may: ['stop'] });
    // a go before ready fires nothing
    team.say('go');
    expect(fires()).toBe(false);
    team.say('idle');
    hear('bar', 'ready');
    expect(team.state?.may).toEqual(['go', 'stop']);
    team.say('go');
    expect(fires()).toBe(true);
    // the bar has gone on to another rivet
    hear('bar', 'ready', 38);
    expect(team.state?.link).toBe('apart');
    expect(fires()).toBe(false);
  });

  it('a call is over once another rivet comes next', () => {
    team.take('bar');
    hear('gun', 'idle');
    team.say('ready');
    expect(team.call).toBe('ready');
    desk.here = 38;
    expect(team.call).toBe('idle');
    // a stop stays a stop
    team.say('stop');
    desk.here = 39;
    expect(team.call).toBe('stop');
  });

  it('every call is made anew after something was logged', () => {
    team.take('gun');
    hear('bar', 'ready');
    team.say('go');
    expect(fires()).toBe(true);
    logged('6b1f6e0e-93ad-4d5a-9c3c-0000000000e1');
    expect(team.call).toBe('idle');
    expect(fires()).toBe(false);
  });

  it('a go of before the other’s stop counts no more', () => {
    team.take('gun');
    hear('bar', 'ready');
    team.say('go');
    hear('bar', 'stop');
    expect(fires()).toBe(false);
    expect(team.call).toBe('idle');
    hear('bar', 'ready');
    expect(fires()).toBe(false);
  });

  it('one’s own stop holds whatever the other says, until it is taken back', () => {
    team.take('gun');
    hear('bar', 'ready');
    team.say('stop');
    logged('6b1f6e0e-93ad-4d5a-9c3c-0000000000e2');
    expect(team.call).toBe('stop');
    expect(fires()).toBe(false);
  });

  it('nobody fires into silence, and a go made before it is over', () => {
    team.take('gun');
    hear('bar', 'ready');
    team.say('go');
    vi.advanceTimersByTime(2900);
    expect(fires()).toBe(true);
    vi.advanceTimersByTime(400);
    expect(team.state?.link).toBe('silent');
    expect(fires()).toBe(false);
    // heard again: the go of before is none
    hear('bar', 'ready');
    expect(team.state?.link).toBe('joined');
    expect(fires()).toBe(false);
  });

  it('an older word that comes late never goes over a newer one', () => {
    team.take('gun');
    hear('bar', 'ready', 13, 100);
    hear('bar', 'stop', 13, 101);
    hear('bar', 'ready', 13, 100);
    expect(team.other?.word.call).toBe('stop');
    // of another device of theirs, whatever its number
    Line.now.onmessage({
      data: JSON.stringify({
        kind: 'word',
        word: { device: ME, role: 'bar', call: 'ready', hole: 13, turn: 1 },
        by: 'Benn',
        person: OTHER
      })
    });
    expect(team.other?.word.call).toBe('ready');
    turn = 200;
  });

  it('hears neither itself nor another of its own role', () => {
    team.take('gun');
    hear('gun', 'stop');
    expect(team.other).toBeNull();
  });

  it('what it says is said again every second, with the rivet it is about', async () => {
    team.take('bar');
    hear('gun', 'idle');
    team.say('ready');
    await vi.advanceTimersByTimeAsync(0);
    const before = server.said.length;
    await vi.advanceTimersByTimeAsync(2000);
    expect(server.said.length).toBe(before + 2);
    const words = server.said as { call: Call; hole: number; turn: number; role: Role }[];
    expect(words.at(-1)).toMatchObject({ call: 'ready', hole: 13, role: 'bar' });
    expect(words.at(-1)?.turn).toBe(words.at(-2)?.turn);
    desk.here = 38;
    await vi.advanceTimersByTimeAsync(1000);
    expect(words.at(-1)).toMatchObject({ call: 'idle', hole: 38 });
  });

  it('both names go with the rivets that two drive, and end with the team', () => {
    team.take('gun');
    expect(desk.hands).toBeNull();
    hear('bar', 'idle');
    expect(desk.hands).toEqual({ gun: ME, bar: OTHER });
    team.take('bar');
    expect(desk.hands).toBeNull();
    hear('gun', 'idle');
    expect(desk.hands).toEqual({ gun: OTHER, bar: ME });
    team.take(null);
    expect(desk.hands).toBeNull();
    expect(team.state).toBeNull();
    // nobody is signed in here: whose hand it is is not known
    team.take('gun');
    setWhoIsHere(null);
    hear('bar', 'idle');
    expect(desk.hands).toBeNull();
  });

  it('reads what was logged elsewhere, not its own, and one reading at a time', async () => {
    desk.desk.stored = [{ id: '6b1f6e0e-93ad-4d5a-9c3c-0000000000e3' }];
    logged('6b1f6e0e-93ad-4d5a-9c3c-0000000000e3');
    expect(read).not.toHaveBeenCalled();
    let done = (): void => undefined;
    read = vi.fn(() => new Promise<void>((resolve) => (done = resolve)));
    for (const last of ['e4', 'e5', 'e6']) logged(`6b1f6e0e-93ad-4d5a-9c3c-0000000000${last}`);
    expect(read).toHaveBeenCalledTimes(1);
    done();
    await Promise.resolve();
    await Promise.resolve();
    // what came meanwhile is one more
    expect(read).toHaveBeenCalledTimes(2);
    done();
  });

  it('reads anew when the line is back, and is not troubled by what it cannot read', () => {
    Line.now.onopen();
    expect(read).toHaveBeenCalledTimes(1);
    expect(() => Line.now.onmessage({ data: '{"kind":"shout"}' })).not.toThrow();
    expect(() => Line.now.onmessage({ data: 'not even that' })).not.toThrow();
  });

  it('ends with its page', () => {
    team.take('gun');
    end();
    expect(Line.now.closed).toBe(true);
    const said = server.said.length;
    vi.advanceTimersByTime(5000);
    expect(server.said.length).toBe(said);
  });
});
