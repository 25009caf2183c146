/** One column: what a row is sorted and searched by, and how that is shown where it differs. */
export interface TableColumn<Row> {
  key: string;
  title: string;
  of: (row: Row) => string | number;
  text?: (row: Row) => string;
  /** it calls for somebody: shown in brick, beside its own words */
  bad?: (row: Row) => boolean;
  /** words stand at the left, figures at the right */
  words?: boolean;
}
