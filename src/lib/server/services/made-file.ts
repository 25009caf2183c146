/** A file made for whoever asks. */
export interface MadeFile {
  type: string;
  body: string | Buffer;
  /** as it is saved: the joint's name, plain letters only */
  name: string;
}
