import type { Finding, HeadVerdict } from '../../core/inspect/findings.ts';

/** One rivet as a search finds it. */
export interface FoundRivet {
  releaseId: string;
  jointId: string;
  joint: string;
  job: string;
  release: number;
  hole: number;
  life: number;
  partNumber: string;
  lot: string | null;
  batch: string | null;
  setting: string | null;
  /** the tool of that setting */
  tool: string | null;
  /** when driven, or where that was not logged first looked at */
  at: string;
  drivenAt: string | null;
  lookedAt: string | null;
  outAt: string | null;
  drove: string[];
  looked: string[];
  /** who sent what another did */
  sentBy: string[];
  verdict: HeadVerdict | null;
  findings: Finding[];
  diameterD: number | null;
  heightD: number | null;
}

/** One page of what was found. */
export interface FoundPage {
  rivets: FoundRivet[];
  /** how many there are; null: more than are counted */
  count: number | null;
  /** where the next page and the one before begin; null where there is none */
  after: string | null;
  before: string | null;
}

/** One release as a search finds it. */
export interface FoundRelease {
  releaseId: string;
  jointId: string;
  joint: string;
  job: string;
  release: number;
  /** a newer one has taken its place */
  superseded: boolean;
  issuedAt: string;
  issuedBy: string;
  signedBy: string | null;
  signedAt: string | null;
  /** rivets on record that the search asks for, or all of them */
  rivets: number;
}
export interface FoundReleases {
  releases: FoundRelease[];
  /** the page after this one; null where there is none */
  next: number | null;
}

/** By what a trend is told apart. */
export type TrendBy = 'all' | 'finding' | 'tool' | 'person';

/** Heads of one week of one group: how many were looked at, and at how many the finding was made. */
export interface TrendWeek {
  /** its Monday, as 2031-05-05 */
  week: string;
  looked: number;
  found: number;
}
/** A finding, a tool, a person, or everything; null: it was not recorded. */
export interface TrendGroup {
  name: string | null;
  /** what a list of its rivets is asked by; null where a list cannot be asked by it */
  key: string | null;
  weeks: TrendWeek[];
}

/** The weeks of a trend, the latest last, and its groups by their names. */
export interface Trend {
  weeks: string[];
  groups: TrendGroup[];
}

export const TREND_WEEKS = 26;
