import { BEAT_S, teamState, type Call, type Heard, type Role } from '$core/driving/two-people.ts';
import { LiveLine, sayAt } from '$lib/api/live.ts';
import { readJson } from '$lib/api/read-json.ts';
import { call } from '../../client/call';
import { whileInFront } from '../../client/devices/while-in-front';
import { whoIsHere } from '../../client/who';
import type { DriveDesk } from './drive-desk.svelte';

const TICK_MS = 200;

/** Two people at one release: what this device says, what it hears of the other, what both may do. */
export class LiveTeam {
  /** null: one drives alone, and hears only what is logged elsewhere */
  role = $state<Role | null>(null);
  #call = $state<Call>('idle');
  /** the rivet that the call was made for: it is over once another comes next */
  #calledFor = $state<number | null>(null);
  #turn = 0;
  #heard = $state.raw<Heard | null>(null);
  #nowMs = $state(performance.now());
  readonly #device = crypto.randomUUID();
  #reading = false;
  #again = false;

  constructor(private readonly desk: DriveDesk) {}

  get other(): Heard | null {
    return this.#heard;
  }
  /** what this device says; of another rivet it says nothing yet */
  readonly call = $derived.by((): Call =>
    this.#call === 'stop' || this.#calledFor === this.desk.here ? this.#call : 'idle'
  );
  readonly state = $derived.by(() =>
    this.role === null
      ? null
      : teamState(
          {
            device: this.#device,
            role: this.role,
            call: this.call,
            hole: this.desk.here,
            turn: this.#turn
          },
          this.#heard,
          this.#nowMs
        )
  );

  take(role: Role | null): void {
    this.role = role;
    this.#heard = null;
    this.desk.hands = null;
    this.say('idle');
  }

  say(what: Call): void {
    this.#call = what;
    this.#calledFor = this.desk.here;
    this.#turn += 1;
    void this.#beat();
  }

  /** A call is for one burst: once it is over, or the other says stop or is not heard, it is made anew. */
  #over(): void {
    if (this.#call === 'go' || this.#call === 'ready') this.say('idle');
  }

  async #beat(): Promise<void> {
    const { role } = this;
    if (role === null) return;
    await call(
      sayAt,
      { release: this.desk.release.id },
      {
        device: this.#device,
        role,
        call: this.call,
        hole: this.desk.here,
        turn: this.#turn
      }
    );
  }

  #take(line: string): void {
    const read = LiveLine.safeParse(readJson(line));
    if (!read.success) return;
    if (read.data.kind === 'logged') {
      const { event } = read.data;
      this.#over();
      if (!this.desk.desk.stored.some(({ id }) => id === event)) void this.#read();
      return;
    }
    const { word, by, person } = read.data;
    if (word.device === this.#device || this.role === null || word.role === this.role) return;
    const last = this.#heard?.word;
    // an older word that comes late never goes over a newer one
    if (last?.device === word.device && word.turn < last.turn) return;
    this.#heard = { word, by, person, atMs: performance.now() };
    if (word.call === 'stop') this.#over();
    const mine = whoIsHere();
    this.desk.hands =
      mine === null
        ? null
        : this.role === 'gun'
          ? { gun: mine, bar: person }
          : { gun: person, bar: mine };
  }

  /** One reading at a time; what came meanwhile asks for one more. */
  async #read(): Promise<void> {
    if (this.#reading) {
      this.#again = true;
      return;
    }
    this.#reading = true;
    do {
      this.#again = false;
      await this.desk.desk.read();
    } while (this.#again);
    this.#reading = false;
  }

  /** Runs while the page is open. */
  run(): () => void {
    const leave = whileInFront(() => {
      const source = new EventSource(sayAt.path({ release: this.desk.release.id }));
      // opened again after it was lost: what was logged meanwhile was not heard
      source.onopen = () => void this.#read();
      source.onmessage = ({ data }) => this.#take(String(data));
      return () => source.close();
    });
    const beat = setInterval(() => void this.#beat(), BEAT_S * 1000);
    const tick = setInterval(() => {
      this.#nowMs = performance.now();
      const link = this.state?.link;
      if (link === 'silent' || link === 'apart') this.#over();
    }, TICK_MS);
    return () => {
      leave();
      clearInterval(beat);
      clearInterval(tick);
    };
  }
}
