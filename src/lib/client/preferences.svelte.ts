import { getContext, setContext } from 'svelte';
import {
  FIRST_STYLE,
  formatLength,
  type LengthStyle,
  type WrittenLength
} from '$core/units/format-length.ts';
import type { Paper } from '$core/exchange/tiles.ts';
import type { RefusalSaid } from '$core/refusal-said.ts';
import { refusalInWords } from '$lib/words/refusals';
import { carryUnit, sayInches } from '$lib/words/carry-unit';
import { exactDecimal, inStyle, type WriteLength } from '$lib/words/writing';

export type Mode = 'light' | 'dark';

/** A browser may keep a cookie for 400 days at most. */
const KEEP_S = 400 * 24 * 3600;
const remember = (name: string, value: string): void => {
  document.cookie = `${name}=${encodeURIComponent(value)}; path=/; max-age=${KEEP_S}; samesite=strict`;
};

/** How this person wants lengths written and the screen lit; kept in cookies so that the server renders the same. */
export class Preferences {
  lengths = $state<LengthStyle>(FIRST_STYLE);
  mode = $state<Mode>('light');

  /** what the shop's printer holds */
  paper = $state<Paper>('a4');

  constructor(lengths: LengthStyle, mode: Mode, paper: Paper) {
    this.lengths = lengths;
    this.mode = mode;
    this.paper = paper;
  }

  setLengths(lengths: LengthStyle): void {
    this.lengths = lengths;
    remember('lengths', lengths);
  }

  setPaper(paper: Paper): void {
    this.paper = paper;
    remember('paper', paper);
  }

  toggleMode(): void {
    this.mode = this.mode === 'light' ? 'dark' : 'light';
    document.documentElement.dataset['mode'] = this.mode;
    remember('mode', this.mode);
  }

  write(lengthIn: number): WrittenLength {
    return formatLength(lengthIn, this.lengths);
  }

  /** Writes a length as it stands in a sentence. */
  get inWords(): WriteLength {
    return inStyle(this.lengths);
  }

  /** To the last place that says something, in this person's unit. */
  exact(lengthIn: number): string {
    return exactDecimal(lengthIn, this.lengths);
  }

  /** Why something cannot be, in this person's unit. */
  refusal(said: RefusalSaid): string {
    return refusalInWords(said, this.inWords);
  }

  /** Said once on a drawing whose figures carry no unit; empty where they do. */
  get drawingNote(): string {
    return ['mm', 'thou'].includes(this.lengths) ? '' : 'dimensions in inches';
  }

  /** What this person typed, with its unit where they work in millimeters. */
  typed(text: string): string {
    return this.lengths === 'mm' ? carryUnit(text) : text;
  }

  /** A figure in inches as a choice for a box: there a bare one is read in this person’s unit. */
  offered(text: string): string {
    return this.lengths === 'mm' ? sayInches(text) : text;
  }

  /** Figure and unit in one text; the unit is left off inches on drawings that state it once. */
  text(lengthIn: number): string {
    const { figure, unit } = this.write(lengthIn);
    return unit === 'in' ? figure : `${figure} ${unit}`;
  }
}

const KEY = Symbol('preferences');
export const providePreferences = (preferences: Preferences): Preferences =>
  setContext(KEY, preferences);
export const usePreferences = (): Preferences => getContext<Preferences>(KEY);
