/** One change to the fields of a joint that settles something, lengths written as one types them. */
export interface WayOut {
  text: string;
  change: Record<string, string | number | boolean>;
}
