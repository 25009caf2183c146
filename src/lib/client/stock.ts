import type { BinView } from '$lib/stock-view.ts';
import { getContext, setContext } from 'svelte';

/** What is in the bins while a joint is open, by canonical part number. */
export interface Stock {
  readonly onHand: Readonly<Record<string, number>>;
  /** bins with rivets in them, each with its lot and place */
  readonly drawers: readonly BinView[];
}

/** Counts by part number, all bins together. */
export function countsOf(drawers: readonly BinView[]): Record<string, number> {
  const counts: Record<string, number> = {};
  for (const { partNumber, count } of drawers)
    counts[partNumber] = (counts[partNumber] ?? 0) + count;
  return counts;
}

const KEY = Symbol('stock');
export const provideStock = (stock: Stock): Stock => setContext(KEY, stock);
export const useStock = (): Stock => getContext<Stock>(KEY);
