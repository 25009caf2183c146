import { getContext, setContext } from 'svelte';

/** What is in the bins while a joint is open, by canonical part number. */
export interface Stock {
  readonly onHand: Readonly<Record<string, number>>;
}

const KEY = Symbol('stock');
export const provideStock = (stock: Stock): Stock => setContext(KEY, stock);
export const useStock = (): Stock => getContext<Stock>(KEY);
