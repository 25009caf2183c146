/** A setting that a tool was given once. */
export interface Remembered<Setup, State> {
  id: string;
  /** what for: the joint with its sheet or its part number, or empty */
  work: string;
  setup: Setup;
  state: State;
}
