import { describe, expect, it } from 'vitest';
import { BenchHub } from './bench-hub.ts';
import { OpenStreams } from '../open-streams.ts';
import { lineStream } from './line-stream.ts';

const nothing = (): void => undefined;

describe('the simulated benches', () => {
  it('answer everyone who listens to that cage, and nobody else', () => {
    const hub = new BenchHub();
    const heard: string[][] = [[], [], []];
    const hear = (at: number) => (line: string) => heard[at]?.push(line);
    hub.listen('a', hear(0), nothing);
    const leave = hub.listen('a', hear(1), nothing);
    hub.listen('b', hear(2), nothing);
    hub.say('a', 'SIM TURN 5');
    leave();
    hub.say('a', 'SIM CUT');
    expect(heard).toEqual([['AT 5', 'CUT 5'], ['AT 5'], []]);
  });

  it('keep their hole and their zero for whoever comes back', () => {
    const hub = new BenchHub();
    hub.listen('a', nothing, nothing)();
    hub.say('a', 'ZERO');
    hub.say('a', 'SIM CUT');
    const heard: string[] = [];
    hub.listen('a', (line) => heard.push(line), nothing);
    hub.say('a', 'READ');
    expect(heard).toHaveLength(1);
    expect(heard[0]).toMatch(/^FLUSH \+0\.\d{4,5} in$/);
  });

  it('are forgotten beyond fifty, those in use last', () => {
    const hub = new BenchHub();
    const used: string[] = [];
    hub.listen('used', (line) => used.push(line), nothing);
    hub.say('used', 'SIM CUT');
    for (let other = 0; other < 80; other++) hub.say(`other ${other}`, 'SIM CUT');
    hub.say('used', 'READ');
    expect(used.at(-1)).toMatch(/^FLUSH/);
    const heard: string[] = [];
    hub.listen('other 0', (line) => heard.push(line), nothing);
    hub.say('other 0', 'READ');
    expect(heard).toEqual(['ERROR no hole cut yet']);
  });

  it('end every stream when the server is to end, also those that come after', async () => {
    const hub = new BenchHub();
    const nobodys = {
      session: undefined,
      open: new OpenStreams(() => {
        throw new Error('no database is asked');
      })
    };
    const stream = () => lineStream(nobodys, (send, close) => hub.listen('a', send, close)).text();
    const before = stream();
    hub.say('a', 'ID?');
    hub.closeAll();
    expect(await before).toBe(': open\n\ndata: ID depth gauge SIMULATED\n\n');
    expect(await stream()).toBe(': open\n\n');
  });
});
