/** A bin as the Stock page shows it. */
export interface BinView {
  id: string;
  partNumber: string;
  lot: string;
  place: string;
  cold: boolean;
  count: number;
}
